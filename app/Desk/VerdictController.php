<?php

declare(strict_types=1);

namespace App\Desk;

use App\Api\Put;
use App\Page\Piece\Piece;
use Illuminate\Http\Response;

/** A bar is easy or hard, whatever was reckoned. */
final class VerdictController
{
    #[Put('/pieces/{piece}/verdict')]
    public function update(VerdictRequest $request, Piece $piece): Response
    {
        $of = ['piece_id' => $piece->id, 'measure' => $request->integer('measure')];
        $request->filled('verdict')
            ? Verdict::query()->updateOrCreate($of, ['studio_id' => $piece->studio_id, 'verdict' => $request->string('verdict')->toString()])
            : Verdict::query()->where($of)->delete();

        return new Response(status: 204);
    }
}

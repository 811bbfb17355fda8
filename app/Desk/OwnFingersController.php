<?php

declare(strict_types=1);

namespace App\Desk;

use App\Api\Put;
use App\Page\Piece\Piece;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

/** The fingers that the teacher sets over what is printed or worked out. */
final class OwnFingersController
{
    #[Put('/pieces/{piece}/fingers')]
    public function update(OwnFingersRequest $request, Piece $piece): Response
    {
        DB::transaction(static function () use ($request, $piece): void {
            $piece->ownFingers()->delete();
            OwnFinger::query()->insert(array_map(static fn (array $one): array => [...$one, 'studio_id' => $piece->studio_id, 'piece_id' => $piece->id], $request->fingers()));
        });

        return new Response(status: 204);
    }
}

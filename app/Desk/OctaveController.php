<?php

declare(strict_types=1);

namespace App\Desk;

use App\Api\Put;
use App\Page\Piece\Piece;
use Illuminate\Http\Response;

/** In a duet the student may play an octave from where it is written. */
final class OctaveController
{
    #[Put('/pieces/{piece}/octave')]
    public function update(OctaveRequest $request, Piece $piece): Response
    {
        $piece->update(['octave' => $request->integer('octave')]);

        return new Response(status: 204);
    }
}

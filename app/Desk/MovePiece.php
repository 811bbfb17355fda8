<?php

declare(strict_types=1);

namespace App\Desk;

use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Fingering\FingerSearch;
use Nasturtium\Core\Fingering\OtherPosition;
use Nasturtium\Core\Refusal;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Piece;

/** Moves a piece to another five-finger position, with the fingers it has where it stands. */
final class MovePiece
{
    /** @throws ValidationException under the name `key` when a note would leave the keyboard */
    public function __invoke(Piece $piece, Settings $settings, Key $key, int $direction): OtherPosition
    {
        try {
            return OtherPosition::of($piece, [
                'R' => FingerSearch::for($piece, Hand::Right, $settings->fingers, $settings->handSize()),
                'L' => FingerSearch::for($piece, Hand::Left, $settings->fingers, $settings->handSize()),
            ], $key, $direction);
        } catch (Refusal $reason) {
            throw ValidationException::withMessages(['key' => "It cannot be moved there: {$reason->getMessage()}."]);
        }
    }
}

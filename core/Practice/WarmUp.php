<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Fingering\FingerSearch;
use Nasturtium\Core\Fingering\Positions;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece;

/** Five fingers up and down, where the newest piece has the hands. */
final readonly class WarmUp
{
    /** Two minutes. */
    public const HALF_MINUTES = 4;

    public static function for(?Piece $piece): string
    {
        $names = [];
        foreach (Hand::cases() as $hand) {
            if ($piece === null) {
                break;
            }
            foreach (array_slice(Positions::of($piece, FingerSearch::for($piece, $hand), $hand, null), 0, 1) as $position) {
                $names[] = "{$hand->word()}: thumb on {$position->thumb->name()}";
            }
        }

        return 'Five fingers up and down, each hand alone, then together.'.($names === [] ? '' : ' '.ucfirst(implode('; ', $names)).'.');
    }
}

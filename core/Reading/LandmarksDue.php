<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

use Nasturtium\Core\Words;

/** A way of more than five letters is a sign that the next landmarks are due (trade 3.4). */
final class LandmarksDue
{
    private const MOST_LETTERS = 5;

    /**
     * @param  list<InventoryNote>  $notes  of a page
     * @return string|null a sentence for the teacher; null where no way is long, or every landmark is known
     */
    public static function of(array $notes, Landmarks $landmarks): ?string
    {
        $next = $landmarks->next();
        $longest = null;
        foreach ($notes as $note) {
            if (abs($note->steps) > abs($longest->steps ?? 0)) {
                $longest = $note;
            }
        }
        $letters = 1 + abs($longest->steps ?? 0);
        if ($next === null || $longest === null || $letters <= self::MOST_LETTERS) {
            return null;
        }
        $names = Words::listed(array_keys($next->adds()));

        return "The way to {$longest->pitch->name()} has {$letters} letters: the landmarks {$names} are due.";
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Kinds;

use Nasturtium\Core\Drill\AnswerBy;
use Nasturtium\Core\Drill\Card;
use Nasturtium\Core\Drill\CardMaker;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Reading\KeyPlace;

/** A note on its staff: which key? (trade 15.1, kind 2) */
final readonly class FindIt implements CardMaker
{
    public function cards(Material $material): array
    {
        return array_map(static function (array $note) use ($material): Card {
            [$clef, $pitch] = $note;
            $name = Shown::nameOf($clef, $pitch);

            return new Card(
                "find {$name}",
                'Find this note on the piano.',
                AnswerBy::Key,
                [(string) $pitch->midi()],
                $material->way($clef, $pitch).' '.Shown::spelled($pitch).' is '.KeyPlace::of($pitch).'.',
                Shown::note($clef, $pitch),
                note: $name,
            );
        }, $material->notes);
    }
}

<?php

declare(strict_types=1);

namespace App\Page\Piece;

use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;

/** Which notes stand in some bars, as they are kept: `treble:C4`, each once, divided by commas. */
final class NoteNames
{
    /** @param Measure|list<Measure> $measures */
    public function of(Measure|array $measures, ?Hand $hand = null): string
    {
        $names = [];
        foreach (is_array($measures) ? $measures : [$measures] as $measure) {
            foreach ($measure->events() as $event) {
                foreach ($hand === null || $event->hand === $hand ? $event->notes : [] as $note) {
                    $names["{$event->clef->value}:{$note->pitch->name()}"] = true;
                }
            }
        }

        return implode(',', array_keys($names));
    }
}

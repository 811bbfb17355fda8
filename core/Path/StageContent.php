<?php

declare(strict_types=1);

namespace Nasturtium\Core\Path;

use Nasturtium\Core\Pattern\Chunk;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Lyric;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Piece;

/** What a stage works on, as a text that changes when the page is corrected there and only then: a passed stage whose text is the same stays passed. */
final class StageContent
{
    /** @var array<string, array<int, string>> what each bar says, by what is looked at and index */
    private array $bars = [];

    public function __construct(private readonly Piece $piece) {}

    /** @param list<Chunk> $chunks */
    public function of(PathStep $step, array $chunks): string
    {
        $look = ($step->hand->value ?? '').($step->petal === Petal::Fingers ? 'f' : '').match (true) {
            $step->kind === StageKind::Articulation, $step->kind === StageKind::Words => $step->kind->value,
            // Tapping needs no pitch.
            $step->petal === Petal::Counts && $step->hand === null => 'beat',
            default => '',
        };
        $said = [];
        foreach ($chunks as $chunk) {
            for ($i = $chunk->first; $i <= $chunk->last; $i++) {
                $said[$i] ??= $this->bars[$look][$i] ??= self::bar($this->piece->measures[$i], $step);
            }
        }

        return hash('xxh128', implode('|', $said));
    }

    private static function bar(Measure $measure, PathStep $step): string
    {
        $said = "{$measure->meter} {$measure->length}";
        foreach ($measure->inTime($step->hand) as $event) {
            if (! $event->isRest()) {
                $said .= " {$event->hand->value}{$event->onset}:{$event->duration->whole}".self::event($event, $step);
            }
        }
        if ($step->kind === StageKind::Articulation) {
            foreach ($measure->signs as $sign) {
                $said .= " {$sign->kind->value}{$sign->onset}";
            }
        }

        return $said;
    }

    /** Fingers, words and articulation are looked at where they are what is learnt. */
    private static function event(Event $event, PathStep $step): string
    {
        if ($step->petal === Petal::Counts && $step->hand === null && $step->kind !== StageKind::Words) {
            return $event->isHeld() ? '~' : '';
        }
        $said = implode('+', array_map(static fn (Note $note): string => $note->pitch->name()
            .($note->tieStop ? '~' : '')
            .($step->petal === Petal::Fingers ? "f{$note->finger}" : ''), $event->notes));
        if ($step->kind === StageKind::Words) {
            $said .= implode(' ', array_map(static fn (Lyric $lyric): string => $lyric->text, $event->ink->lyrics));
        }
        if ($step->kind === StageKind::Articulation) {
            $said .= implode(' ', array_map(static fn (Mark $mark): string => $mark->value, $event->ink->marks)).count($event->ink->slurs);
        }

        return $said;
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** Everything that is on a page as texts, so that two pieces can be held against each other bar by bar. Which number a slur bears is no part of a page. */
final readonly class MusicText
{
    /** @return list<string> the head of the piece, then one text a measure */
    public static function of(Piece $piece): array
    {
        return [self::head($piece), ...array_map(self::measure(...), $piece->measures)];
    }

    /**
     * @return list<int> indices of the measures in which the second piece is other music, or printed otherwise; -1 for the head, and one index for each
     *                   measure that only one of them has
     */
    public static function differences(Piece $one, Piece $other): array
    {
        [$a, $b] = [self::of($one), self::of($other)];
        $found = [];
        for ($i = 0; $i < max(count($a), count($b)); $i++) {
            if (($a[$i] ?? null) !== ($b[$i] ?? null)) {
                $found[] = $i - 1;
            }
        }

        return $found;
    }

    private static function head(Piece $piece): string
    {
        $credits = $piece->credits;
        ksort($credits);

        return self::joined([$piece->title, $piece->composer, $piece->tempoWords, self::metronome($piece->metronome), $piece->notation->value, ...array_keys($credits), ...array_values($credits)]);
    }

    private static function measure(Measure $measure): string
    {
        $changes = array_map(static fn (Change $change): string => self::joined([$change->onset, $change->staff?->value, $change->to instanceof Clef ? $change->to->value : $change->to->typed()]), $measure->changes);
        $signs = array_map(static fn (Sign $sign): string => self::joined([$sign->onset, $sign->staff->value, $sign->kind->value, $sign->text, $sign->above ? 'above' : 'below', self::metronome($sign->metronome)]), $measure->signs);
        // What stands at one moment has no order of its own.
        sort($changes);
        sort($signs);

        return implode("\n", [
            self::joined([
                $measure->number, $measure->meter->printed(), $measure->key->typed(), $measure->length, $measure->after, $measure->pickup ? 'pickup' : '', $measure->repeatStart ? '|:' : '',
                $measure->repeatEnd ? ":|{$measure->times}" : '', implode(',', $measure->endings), $measure->newLine ? 'line' : '', $measure->barStyle, $measure->sameAsBefore ? '%' : '',
                $measure->clefs['R']->value, $measure->clefs['L']->value,
                ...array_map(static fn (Navigation $sign): string => $sign->value, $measure->navigation),
            ]),
            ...$changes,
            ...$signs,
            ...array_map(self::event(...), $measure->events()),
        ]);
    }

    private static function event(Event $event): string
    {
        $ink = $event->ink;

        return self::joined([
            $event->hand->value, $event->voice, $event->onset, $event->duration->whole, $event->clef->value, $event->crossed ? 'crossed' : '', $event->ottava,
            $ink->tuplet === null ? '' : "{$ink->tuplet->actual}:{$ink->tuplet->normal}".($ink->tuplet->starts ? '{' : '').($ink->tuplet->stops ? '}' : ''),
            ...array_map(static fn (Note $note): string => $note->pitch->name().'^'.$note->finger.($note->tieStart ? '~' : '').($note->tieStop ? '<' : '').($note->courtesy ? '!' : ''), $event->notes),
            ...array_map(static fn (Mark $mark): string => $mark->value, $ink->marks),
            self::slurs($ink->slurs),
            ...array_map(static fn (Lyric $lyric): string => self::joined([$lyric->verse, $lyric->text, $lyric->joined ? '-' : '', $lyric->continues ? '<' : '', $lyric->extended ? '_' : '']), $ink->lyrics),
            ...array_map(static fn (Grace $grace): string => self::joined([$grace->pitch->name(), $grace->value, $grace->slashed ? '/' : '', $grace->finger, $grace->chord ? '+' : '', self::slurs($grace->slurs)]), $ink->graces),
        ]);
    }

    /** @param list<SlurEnd> $slurs */
    private static function slurs(array $slurs): string
    {
        return implode('', array_map(static fn (SlurEnd $end): string => $end->starts ? '(' : ')', $slurs));
    }

    private static function metronome(?Metronome $mark): string
    {
        return $mark === null ? '' : "{$mark->unit->whole}={$mark->from}-{$mark->goal}";
    }

    /** @param list<string|int|Fraction|null> $parts */
    private static function joined(array $parts): string
    {
        return implode(' | ', array_map(strval(...), $parts));
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Score\Change;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Line;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Navigation;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\PrintedAccidentals;
use Nasturtium\Core\Score\Sign;

/** Writes a piece as MusicXML 4.0 on one grand staff; note ids are the ids of its events. */
final class MusicXmlWriter
{
    private readonly XmlPen $xml;

    private readonly SignWriting $signs;

    private readonly int $divisions;

    /** Voices of the left hand are numbered on from here: 4, or more where the right hand has more. */
    private readonly int $leftFrom;

    private ?Measure $before = null;

    /**
     * @param  list<Measure>  $measures  of the piece, those that are written
     * @param  bool  $alone  they are one printed line by itself
     */
    private function __construct(private readonly Piece $piece, private readonly array $measures, private readonly bool $alone = false)
    {
        $this->xml = new XmlPen();
        $this->signs = new SignWriting($this->xml);
        $this->divisions = self::divisionsFor($measures);
        $this->leftFrom = self::leftFrom($piece);
    }

    private static function leftFrom(Piece $piece): int
    {
        $most = 4;
        foreach ($piece->measures as $measure) {
            foreach ($measure->inner as $event) {
                $most = $event->hand === Hand::Right ? max($most, $event->voice) : $most;
            }
        }

        return $most;
    }

    public static function write(Piece $piece): string
    {
        return (new self($piece, $piece->measures))->score();
    }

    /**
     * Each printed line as a score of its own, for an engraver that draws only the line that has changed. What goes on
     * from one line to the next is cut at its end; a page without a staff is one score.
     *
     * @return non-empty-list<string>
     */
    public static function lines(Piece $piece): array
    {
        if (! $piece->notation->hasStaff()) {
            return [self::write($piece)];
        }

        return array_map(
            static fn (Line $line): string => (new self($piece, array_slice($piece->measures, $line->from, $line->to - $line->from + 1), true))->score(),
            $piece->lines(),
        ) ?: [self::write($piece)];
    }

    private function score(): string
    {
        $this->xml->open('score-partwise', ['version' => '4.0']);
        $this->xml->open('work');
        $this->xml->leaf('work-title', $this->piece->title);
        $this->xml->close();
        $this->identification();
        $this->xml->open('part-list');
        $this->xml->open('score-part', ['id' => 'P1']);
        $this->xml->leaf('part-name', 'Piano', ['print-object' => 'no']);
        $this->xml->close(2);
        $this->xml->open('part', ['id' => 'P1']);
        foreach ($this->measures as $measure) {
            $this->measure($measure);
            $this->before = $measure;
        }
        $this->xml->close(2);

        return $this->xml->document();
    }

    private function identification(): void
    {
        $creators = array_filter(['composer' => $this->piece->composer] + array_diff_key($this->piece->credits, ['rights' => '']));
        $rights = $this->piece->credits['rights'] ?? null;
        $staff = $this->piece->notation->hasStaff();
        if ($creators === [] && $rights === null && $staff) {
            return;
        }
        $this->xml->open('identification');
        foreach ($creators as $type => $name) {
            $this->xml->leaf('creator', $name, ['type' => $type]);
        }
        if ($rights !== null) {
            $this->xml->leaf('rights', $rights);
        }
        if (! $staff) {
            $this->xml->open('miscellaneous');
            $this->xml->leaf('miscellaneous-field', $this->piece->notation->value, ['name' => MusicXmlReader::NOTATION_FIELD]);
            $this->xml->close();
        }
        $this->xml->close();
    }

    /** @param list<Measure> $measures */
    private static function divisionsFor(array $measures): int
    {
        $divisions = 1;
        foreach ($measures as $measure) {
            $moments = [$measure->length];
            foreach ($measure->events() as $event) {
                $moments[] = $event->duration->whole;
                $moments[] = $event->onset;
            }
            foreach ([...$measure->signs, ...$measure->changes] as $at) {
                $moments[] = $at->onset;
            }
            foreach ($moments as $moment) {
                $needed = $moment->times(Fraction::of(4))->denominator;
                $divisions = Fraction::of($divisions, $needed)->numerator * $needed;
            }
        }

        return $divisions;
    }

    private function measure(Measure $measure): void
    {
        // A measure that adds no number to the count of the page has none here either.
        $before = $this->piece->measures[$measure->index - 1] ?? null;
        $isUnnumbered = $before !== null && $before->number === $measure->number;
        $this->xml->open('measure', ['number' => ($isUnnumbered ? "X{$measure->index}" : (string) $measure->number)] + ($measure->pickup || $isUnnumbered ? ['implicit' => 'yes'] : []));
        // A line by itself begins with its break, so that an engraver has no others to look for.
        if ($this->before !== null ? $measure->newLine : $this->alone) {
            $this->xml->leaf('print', '', ['new-system' => 'yes']);
        }
        $this->attributes($measure);
        $this->barline($measure, 'left');
        if ($measure->index === 0) {
            $this->signs->tempo($this->piece);
        }
        foreach ([Navigation::Segno, Navigation::Coda] as $sign) {
            if ($measure->has($sign)) {
                $this->signs->navigation($sign);
            }
        }
        $this->voices($measure);
        foreach ($measure->navigation as $sign) {
            if ($sign !== Navigation::Segno && $sign !== Navigation::Coda) {
                $this->signs->navigation($sign);
            }
        }
        $this->barline($measure, 'right');
        $this->xml->close();
    }

    private function attributes(Measure $measure): void
    {
        $before = $this->before;
        $key = $before === null || ! $before->keyAtEnd()->equals($measure->key);
        $time = $before === null || ! $before->meter->looksLike($measure->meter);
        $clefs = [];
        foreach (Hand::cases() as $staff) {
            if ($before === null || $before->clefAtEnd($staff) !== $measure->clefs[$staff->value]) {
                $clefs[$staff->value] = $measure->clefs[$staff->value];
            }
        }
        $again = $measure->sameAsBefore !== ($before !== null && $before->sameAsBefore);
        if ($before !== null && ! $key && ! $time && $clefs === [] && ! $again) {
            return;
        }
        $this->xml->open('attributes');
        if ($before === null) {
            $this->xml->leaf('divisions', (string) $this->divisions);
        }
        if ($key && $measure->key->fixed) {
            $this->key($measure->key);
        }
        if ($time) {
            // At the head of a later line the time signature is known, and not printed again.
            $known = $before === null && ($this->piece->measures[$measure->index - 1] ?? null)?->meter->looksLike($measure->meter) === true;
            $this->time($measure->meter, ! $known);
        }
        if ($before === null) {
            $this->xml->leaf('staves', '2');
        }
        foreach ($clefs as $staff => $clef) {
            $this->clef(Hand::from($staff), $clef);
        }
        if ($before === null && ! $this->piece->notation->hasStaff()) {
            foreach (['1', '2'] as $staff) {
                $this->xml->open('staff-details', ['number' => $staff]);
                $this->xml->leaf('staff-lines', '0');
                $this->xml->close();
            }
        }
        if ($again) {
            $this->xml->open('measure-style');
            $this->xml->leaf('measure-repeat', $measure->sameAsBefore ? '1' : '', ['type' => $measure->sameAsBefore ? 'start' : 'stop']);
            $this->xml->close();
        }
        $this->xml->close();
    }

    private function key(Key $key): void
    {
        $this->xml->open('key');
        $this->xml->leaf('fifths', (string) $key->fifths);
        $this->xml->leaf('mode', $key->minor ? 'minor' : 'major');
        $this->xml->close();
    }

    private function time(Meter $meter, bool $printed): void
    {
        $this->xml->open('time', ($printed ? [] : ['print-object' => 'no']) + ($meter->symbol === '' ? [] : ['symbol' => $meter->symbol]));
        $this->xml->leaf('beats', $meter->groups === [] ? (string) $meter->count : implode('+', $meter->groups));
        $this->xml->leaf('beat-type', (string) $meter->unit);
        $this->xml->close();
    }

    private function clef(Hand $staff, Clef $clef): void
    {
        $this->xml->open('clef', ['number' => $staff === Hand::Right ? '1' : '2']);
        $this->xml->leaf('sign', $clef->sign());
        $this->xml->leaf('line', (string) $clef->line());
        if ($clef->octaves() !== 0) {
            $this->xml->leaf('clef-octave-change', (string) $clef->octaves());
        }
        $this->xml->close();
    }

    private function barline(Measure $measure, string $side): void
    {
        $left = $side === 'left';
        $repeats = $left ? $measure->repeatStart : $measure->repeatEnd;
        $neighbour = $this->piece->measures[$measure->index + ($left ? -1 : 1)] ?? null;
        $ending = $measure->endings !== [] && ($neighbour?->endings !== $measure->endings || ($left ? $neighbour->repeatEnd : $measure->repeatEnd));
        $style = match (true) {
            $left => $repeats ? 'heavy-light' : '',
            $repeats, $neighbour === null && $measure->barStyle === '' => 'light-heavy',
            default => $measure->barStyle,
        };
        if (! $repeats && ! $ending && $style === '') {
            return;
        }
        $this->xml->open('barline', ['location' => $side]);
        if ($style !== '') {
            $this->xml->leaf('bar-style', $style);
        }
        if ($ending) {
            // A first ending has its hook where the repeat sends the player back; the last one stays open.
            $stop = $repeats || $measure->index === count($this->piece->measures) - 1 ? 'stop' : 'discontinue';
            $this->xml->leaf('ending', '', ['number' => implode(',', $measure->endings), 'type' => $left ? 'start' : $stop]);
        }
        if ($repeats) {
            $this->xml->leaf('repeat', '', ['direction' => $left ? 'forward' : 'backward'] + (! $left && $measure->times !== 2 ? ['times' => (string) $measure->times] : []));
        }
        $this->xml->close();
    }

    /** Each voice from the start of the measure; what stands at a staff goes with the main voice of its own hand. */
    private function voices(Measure $measure): void
    {
        $accidentals = PrintedAccidentals::in($measure);
        $cursor = Fraction::zero();
        foreach (Hand::cases() as $hand) {
            foreach ($measure->voices($hand) as $number => $voice) {
                $signs = $number === 1 ? $this->standing($measure, $hand) : [];
                if ($voice === [] && $signs === []) {
                    continue;
                }
                $this->moveTo($cursor, Fraction::zero());
                $notes = new NoteWriting($this->xml, $this->divisions, $measure, $accidentals, Beams::of($measure, $voice), $this->leftFrom);
                foreach (self::inTime($voice, $signs) as $item) {
                    $this->moveTo($cursor, $item->onset);
                    if ($item instanceof Event) {
                        $notes->event($item);
                        $cursor = $item->end;
                    } else {
                        $this->stand($item);
                    }
                }
            }
        }
        // Other programs read the end of the measure where the writing stops.
        $this->moveTo($cursor, $measure->length);
    }

    /** @return list<Sign|Change> of one staff; keys stand with the upper one */
    private function standing(Measure $measure, Hand $hand): array
    {
        return [
            ...array_filter($measure->changes, static fn (Change $change): bool => ($change->staff ?? Hand::Right) === $hand),
            ...array_filter($measure->signs, static fn (Sign $sign): bool => $sign->staff === $hand),
        ];
    }

    /**
     * @param  list<Event>  $voice
     * @param  list<Sign|Change>  $signs
     * @return list<Event|Sign|Change> in time; what stands at a moment comes before the note there
     */
    private static function inTime(array $voice, array $signs): array
    {
        $items = [...$signs, ...$voice];
        usort($items, static fn (Event|Sign|Change $a, Event|Sign|Change $b): int => $a->onset->compare($b->onset) ?: ($a instanceof Event) <=> ($b instanceof Event));

        return $items;
    }

    private function stand(Sign|Change $item): void
    {
        if ($item instanceof Sign) {
            $this->signs->sign($item);

            return;
        }
        $this->xml->open('attributes');
        if ($item->to instanceof Key) {
            $this->key($item->to);
        } else {
            $this->clef($item->staff ?? Hand::Right, $item->to);
        }
        $this->xml->close();
    }

    private function moveTo(Fraction &$cursor, Fraction $to): void
    {
        $by = $to->minus($cursor);
        if ($by->isZero()) {
            return;
        }
        $back = $by->numerator < 0;
        $this->xml->open($back ? 'backup' : 'forward');
        $this->xml->leaf('duration', NoteWriting::ticks($back ? $cursor->minus($to) : $by, $this->divisions));
        $this->xml->close();
        $cursor = $to;
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Pitch;

/** A few bars on one staff, as MusicXML: what a card or a worksheet shows. Eighths and shorter are beamed within their beat. */
final class StaffLine
{
    private const ACCIDENTALS = [-2 => 'flat-flat', -1 => 'flat', 1 => 'sharp', 2 => 'double-sharp'];

    private readonly XmlPen $xml;

    private readonly int $divisions;

    /**
     * @param  list<list<array{0: ?Pitch, 1: Duration, 2?: list<string>}>>  $bars  notes, or rests where there is no pitch, and their marks: `staccato`, `fermata`, `tied start`, `slur stop`; the n-th of all has the id `n1`, `n2`, …
     * @param  ?Meter  $meter  printed, and beamed by; null where the notes have no time
     * @param  bool  $open  no bar lines are printed
     * @param  bool  $numbered  the bars have their numbers over them
     */
    private function __construct(private readonly Clef $clef, private readonly array $bars, private readonly ?Meter $meter, private readonly bool $open, private readonly bool $numbered)
    {
        $this->xml = new XmlPen();
        $divisions = 1;
        foreach (array_merge(...$bars) as [, $duration]) {
            $needed = $duration->whole->times(Fraction::of(4))->denominator;
            $divisions = intdiv($divisions * $needed, self::common($divisions, $needed));
        }
        $this->divisions = $divisions;
    }

    /**
     * @param  list<list<array{0: ?Pitch, 1: Duration, 2?: list<string>}>>  $bars
     * @param  ?Meter  $meter  null where the notes have no time: then they have no stems either
     * @param  bool  $open  no bar lines are printed
     * @param  bool  $numbered  the bars have their numbers over them
     */
    public static function write(Clef $clef, array $bars, ?Meter $meter = null, bool $open = false, bool $numbered = false): string
    {
        return (new self($clef, $bars, $meter, $open || $meter === null, $numbered))->score();
    }

    private static function common(int $a, int $b): int
    {
        return $b === 0 ? $a : self::common($b, $a % $b);
    }

    private function score(): string
    {
        $this->xml->open('score-partwise', ['version' => '4.0']);
        $this->xml->open('part-list');
        $this->xml->open('score-part', ['id' => 'P1']);
        $this->xml->leaf('part-name');
        $this->xml->close(2);
        $this->xml->open('part', ['id' => 'P1']);
        $note = 0;
        foreach ($this->bars as $at => $bar) {
            $this->xml->open('measure', ['number' => $this->numbered ? (string) ($at + 1) : '']);
            if ($at === 0) {
                $this->attributes($bar);
            }
            $beams = $this->beams($bar);
            foreach ($bar as $i => $one) {
                $this->note('n'.++$note, $one[0], $one[1], $beams[$i] ?? null, $one[2] ?? []);
            }
            if ($this->open) {
                $this->xml->open('barline', ['location' => 'right']);
                $this->xml->leaf('bar-style', 'none');
                $this->xml->close();
            }
            $this->xml->close();
        }
        $this->xml->close(2);

        return $this->xml->document();
    }

    /** @param list<array{0: ?Pitch, 1: Duration, 2?: list<string>}> $bar the first */
    private function attributes(array $bar): void
    {
        $this->xml->open('attributes');
        $this->xml->leaf('divisions', (string) $this->divisions);
        $this->xml->open('time', $this->meter === null ? ['print-object' => 'no'] : []);
        $this->xml->leaf('beats', (string) ($this->meter->count ?? max(1, count($bar))));
        $this->xml->leaf('beat-type', (string) ($this->meter->unit ?? 4));
        $this->xml->close();
        $this->xml->open('clef');
        $this->xml->leaf('sign', $this->clef->sign());
        $this->xml->leaf('line', (string) $this->clef->line());
        $this->xml->close(2);
    }

    /** @param list<string> $marks */
    private function note(string $id, ?Pitch $pitch, Duration $duration, ?string $beam, array $marks): void
    {
        $this->xml->open('note', ['id' => $id]);
        if ($pitch === null) {
            $this->xml->leaf('rest');
        } else {
            $this->xml->open('pitch');
            $this->xml->leaf('step', $pitch->letter());
            if ($pitch->alter !== 0) {
                $this->xml->leaf('alter', (string) $pitch->alter);
            }
            $this->xml->leaf('octave', (string) $pitch->octave);
            $this->xml->close();
        }
        $this->xml->leaf('duration', (string) $duration->whole->times(Fraction::of(4 * $this->divisions))->floor());
        $this->xml->leaf('voice', '1');
        [$value, $dots] = $duration->asNote() ?? ['quarter', 0];
        $this->xml->leaf('type', $value);
        for ($dot = 0; $dot < $dots; $dot++) {
            $this->xml->leaf('dot');
        }
        if ($pitch !== null && $pitch->alter !== 0) {
            $this->xml->leaf('accidental', self::ACCIDENTALS[$pitch->alter]);
        }
        if ($this->meter === null) {
            $this->xml->leaf('stem', 'none');
        }
        if ($beam !== null) {
            $this->xml->leaf('beam', $beam, ['number' => '1']);
        }
        $this->marks($marks);
        $this->xml->close();
    }

    /** @param list<string> $marks */
    private function marks(array $marks): void
    {
        foreach ($marks as $mark) {
            $this->xml->open('notations');
            [$name, $how] = [...explode(' ', $mark), ''];
            match (true) {
                $how !== '' => $this->xml->leaf($name, '', ['type' => $how] + ($name === 'slur' ? ['number' => '1'] : [])),
                $name === Mark::Fermata->value => $this->xml->leaf($name),
                default => $this->articulation($name),
            };
            $this->xml->close();
        }
    }

    private function articulation(string $name): void
    {
        $this->xml->open('articulations');
        $this->xml->leaf($name);
        $this->xml->close();
    }

    /**
     * @param  list<array{0: ?Pitch, 1: Duration, 2?: list<string>}>  $bar
     * @return array<int, string> begin, continue or end, by note
     */
    private function beams(array $bar): array
    {
        if ($this->meter === null) {
            return [];
        }
        $beat = $this->meter->beat();
        $groups = [];
        $at = Fraction::zero();
        foreach ($bar as $i => [$pitch, $duration]) {
            if ($pitch !== null && $duration->whole->compare(Fraction::of(1, 8)) <= 0) {
                $groups[$at->dividedBy($beat)->floor()][] = $i;
            }
            $at = $at->plus($duration->whole);
        }
        $beams = [];
        foreach ($groups as $group) {
            $last = count($group) - 1;
            foreach ($last === 0 ? [] : $group as $place => $i) {
                $beams[$i] = match ($place) {
                    0 => 'begin',
                    $last => 'end',
                    default => 'continue',
                };
            }
        }

        return $beams;
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Pitch;

/** Writes a piece as MusicXML 4.0 on one grand staff; note ids are the ids of its events. */
final class MusicXmlWriter
{
    private const ARTICULATIONS = ['staccato' => Mark::Staccato, 'tenuto' => Mark::Tenuto, 'accent' => Mark::Accent];

    private \XMLWriter $xml;

    private int $divisions = 1;

    /** @var array<string, Clef> by hand, as last written */
    private array $clefs = [];

    public static function write(Piece $piece): string
    {
        return (new self())->score($piece);
    }

    private function score(Piece $piece): string
    {
        $this->xml = new \XMLWriter();
        $this->xml->openMemory();
        $this->xml->setIndent(true);
        $this->xml->startDocument('1.0', 'UTF-8');
        $this->divisions = $this->divisionsFor($piece);
        $this->open('score-partwise', ['version' => '4.0']);
        $this->open('work');
        $this->leaf('work-title', $piece->title);
        $this->close();
        if ($piece->composer !== null) {
            $this->open('identification');
            $this->leaf('creator', $piece->composer, ['type' => 'composer']);
            $this->close();
        }
        $this->open('part-list');
        $this->open('score-part', ['id' => 'P1']);
        $this->leaf('part-name', 'Piano', ['print-object' => 'no']);
        $this->close(2);
        $this->open('part', ['id' => 'P1']);
        foreach ($piece->measures as $measure) {
            $this->measure($piece, $measure);
        }
        $this->close(2);
        $this->xml->endDocument();

        return $this->xml->outputMemory();
    }

    private function divisionsFor(Piece $piece): int
    {
        $divisions = 1;
        foreach ($piece->measures as $measure) {
            $lengths = [$measure->length];
            foreach ($measure->events() as $event) {
                $lengths[] = $event->duration->whole;
                $lengths[] = $event->onset;
            }
            foreach ($lengths as $length) {
                $needed = $length->times(Fraction::of(4))->denominator;
                $divisions = Fraction::of($divisions, $needed)->numerator * $needed;
            }
        }

        return $divisions;
    }

    private function measure(Piece $piece, Measure $measure): void
    {
        $this->open('measure', ['number' => (string) $measure->number] + ($measure->pickup ? ['implicit' => 'yes'] : []));
        if ($measure->newLine && $measure->index > 0) {
            $this->leaf('print', '', ['new-system' => 'yes']);
        }
        $this->attributes($piece, $measure);
        $this->barline($piece, $measure, 'left');
        if ($measure->index === 0) {
            $this->tempo($piece);
        }
        $this->hand($measure, Hand::Right);
        if ($measure->left !== []) {
            $written = Fraction::zero();
            foreach ($measure->right as $event) {
                $written = $written->max($event->end);
            }
            if (! $written->isZero()) {
                $this->open('backup');
                $this->leaf('duration', $this->ticks($written));
                $this->close();
            }
            $this->hand($measure, Hand::Left);
        }
        $this->barline($piece, $measure, 'right');
        $this->close();
    }

    private function attributes(Piece $piece, Measure $measure): void
    {
        $before = $piece->measures[$measure->index - 1] ?? null;
        $key = $before === null || $before->key->fifths !== $measure->key->fifths || $before->key->minor !== $measure->key->minor;
        $time = $before === null || ! $before->meter->equals($measure->meter);
        $clefs = $this->startingClefs($piece, $measure);
        if ($before !== null && ! $key && ! $time && $clefs === []) {
            return;
        }
        $this->open('attributes');
        if ($before === null) {
            $this->leaf('divisions', (string) $this->divisions);
        }
        if ($key && $measure->key->fixed) {
            $this->open('key');
            $this->leaf('fifths', (string) $measure->key->fifths);
            $this->leaf('mode', $measure->key->minor ? 'minor' : 'major');
            $this->close();
        }
        if ($time) {
            $this->open('time');
            $this->leaf('beats', (string) $measure->meter->count);
            $this->leaf('beat-type', (string) $measure->meter->unit);
            $this->close();
        }
        if ($before === null) {
            $this->leaf('staves', '2');
        }
        foreach ($clefs as $hand => $clef) {
            $this->clef($hand, $clef);
        }
        $this->close();
    }

    /** @return array<string, Clef> the clefs to write at the start of this measure, by hand */
    private function startingClefs(Piece $piece, Measure $measure): array
    {
        $clefs = [];
        foreach (Hand::cases() as $hand) {
            $clef = ($measure->of($hand)[0] ?? null)?->clef;
            if ($clef === null && $measure->index === 0) {
                $clef = ($piece->hand($hand)[0] ?? null)->clef ?? ($hand === Hand::Right ? Clef::Treble : Clef::Bass);
            }
            if ($clef !== null && ($this->clefs[$hand->value] ?? null) !== $clef) {
                $clefs[$hand->value] = $clef;
            }
        }

        return $clefs;
    }

    private function clef(string $hand, Clef $clef): void
    {
        $this->clefs[$hand] = $clef;
        $this->open('clef', ['number' => $hand === Hand::Right->value ? '1' : '2']);
        $this->leaf('sign', $clef === Clef::Treble ? 'G' : 'F');
        $this->leaf('line', $clef === Clef::Treble ? '2' : '4');
        $this->close();
    }

    private function tempo(Piece $piece): void
    {
        if ($piece->tempoWords === null && $piece->tempo === null) {
            return;
        }
        $this->open('direction', ['placement' => 'above']);
        if ($piece->tempoWords !== null) {
            $this->open('direction-type');
            $this->leaf('words', $piece->tempoWords);
            $this->close();
        }
        if ($piece->tempo !== null) {
            $this->open('direction-type');
            $this->open('metronome');
            $this->leaf('beat-unit', 'quarter');
            $this->leaf('per-minute', ($piece->tempoFrom === null ? '' : "{$piece->tempoFrom}-").$piece->tempo);
            $this->close(2);
        }
        $this->leaf('staff', '1');
        $this->close();
    }

    private function barline(Piece $piece, Measure $measure, string $side): void
    {
        $left = $side === 'left';
        $repeats = $left ? $measure->repeatStart : $measure->repeatEnd;
        $neighbour = $piece->measures[$measure->index + ($left ? -1 : 1)] ?? null;
        $ending = $measure->endings !== [] && $neighbour?->endings !== $measure->endings;
        $end = ! $left && $neighbour === null;
        if (! $repeats && ! $ending && ! $end) {
            return;
        }
        $this->open('barline', ['location' => $side]);
        if ($repeats || $end) {
            $this->leaf('bar-style', $left ? 'heavy-light' : 'light-heavy');
        }
        if ($ending) {
            $this->leaf('ending', '', ['number' => implode(',', $measure->endings), 'type' => $left ? 'start' : 'stop']);
        }
        if ($repeats) {
            $this->leaf('repeat', '', ['direction' => $left ? 'forward' : 'backward']);
        }
        $this->close();
    }

    private function hand(Measure $measure, Hand $hand): void
    {
        $beams = Beams::of($measure, $hand);
        $accidentals = new PrintedAccidentals($measure->key);
        foreach ($measure->of($hand) as $event) {
            if (($this->clefs[$hand->value] ?? null) !== $event->clef) {
                $this->open('attributes');
                $this->clef($hand->value, $event->clef);
                $this->close();
            }
            if ($event->dynamic !== null) {
                $this->dynamic($event->dynamic, $hand);
            }
            foreach ($event->notes === [] ? [null] : $event->notes as $i => $note) {
                $this->note($measure, $event, $note, $i, $beams[$event->id] ?? null, $note === null ? null : $accidentals->shown($note));
            }
        }
    }

    private function dynamic(string $dynamic, Hand $hand): void
    {
        $this->open('direction', ['placement' => 'below']);
        $this->open('direction-type');
        $this->open('dynamics');
        $known = preg_match('/^(p{1,3}|f{1,3}|m[pf]|sf|sfz|fp)$/', $dynamic) === 1;
        $this->leaf($known ? $dynamic : 'other-dynamics', $known ? '' : $dynamic);
        $this->close(2);
        $this->leaf('staff', $hand === Hand::Right ? '1' : '2');
        $this->close();
    }

    private function note(Measure $measure, Event $event, ?Note $note, int $inChord, ?string $beam, ?string $accidental): void
    {
        $this->open('note', ['id' => $inChord === 0 ? $event->id : "{$event->id}.{$inChord}"]);
        if ($inChord > 0) {
            $this->leaf('chord', '');
        }
        if ($note === null) {
            $whole = $event->onset->isZero() && $event->duration->whole->equals($measure->length);
            $this->leaf('rest', '', $whole ? ['measure' => 'yes'] : []);
        } else {
            $this->pitch($note->pitch);
        }
        $this->leaf('duration', $this->ticks($event->duration->whole));
        foreach (['stop' => $note?->tieStop, 'start' => $note?->tieStart] as $type => $is) {
            if ($is === true) {
                $this->leaf('tie', '', ['type' => $type]);
            }
        }
        $this->leaf('voice', $event->hand === Hand::Right ? '1' : '2');
        $written = $event->duration->asNote();
        if ($written !== null) {
            $this->leaf('type', $written[0]);
            for ($dot = 0; $dot < $written[1]; $dot++) {
                $this->leaf('dot', '');
            }
        }
        if ($accidental !== null) {
            $this->leaf('accidental', $accidental);
        }
        $this->leaf('staff', $event->hand === Hand::Right ? '1' : '2');
        if ($beam !== null && $inChord === 0) {
            $this->leaf('beam', $beam, ['number' => '1']);
        }
        $this->notations($event, $note, $inChord);
        if ($inChord === 0 && $event->lyric !== null) {
            $this->lyric($event->lyric);
        }
        $this->close();
    }

    private function pitch(Pitch $pitch): void
    {
        $this->open('pitch');
        $this->leaf('step', $pitch->letter());
        if ($pitch->alter !== 0) {
            $this->leaf('alter', (string) $pitch->alter);
        }
        $this->leaf('octave', (string) $pitch->octave);
        $this->close();
    }

    private function notations(Event $event, ?Note $note, int $inChord): void
    {
        $marks = $inChord === 0 ? $event->marks : [];
        if ($marks === [] && $note?->finger === null && $note?->tieStart !== true && $note?->tieStop !== true) {
            return;
        }
        $this->open('notations');
        foreach (['stop' => $note?->tieStop, 'start' => $note?->tieStart] as $type => $is) {
            if ($is === true) {
                $this->leaf('tied', '', ['type' => $type]);
            }
        }
        foreach (['stop' => Mark::SlurStop, 'start' => Mark::SlurStart] as $type => $mark) {
            if (in_array($mark, $marks, true)) {
                $this->leaf('slur', '', ['type' => $type, 'number' => '1']);
            }
        }
        if ($note?->finger !== null) {
            $this->open('technical');
            $this->leaf('fingering', (string) $note->finger);
            $this->close();
        }
        $articulations = array_keys(array_filter(self::ARTICULATIONS, static fn (Mark $mark): bool => in_array($mark, $marks, true)));
        if ($articulations !== []) {
            $this->open('articulations');
            foreach ($articulations as $name) {
                $this->leaf($name, '');
            }
            $this->close();
        }
        if (in_array(Mark::Fermata, $marks, true)) {
            $this->leaf('fermata', '');
        }
        $this->close();
    }

    private function lyric(string $lyric): void
    {
        $begins = str_ends_with($lyric, '-');
        $this->open('lyric', ['number' => '1']);
        $this->leaf('syllabic', $begins ? 'begin' : 'single');
        $this->leaf('text', $begins ? substr($lyric, 0, -1) : $lyric);
        $this->close();
    }

    private function ticks(Fraction $whole): string
    {
        return (string) $whole->times(Fraction::of(4 * $this->divisions));
    }

    /** @param array<string, string> $attributes */
    private function open(string $name, array $attributes = []): void
    {
        $this->xml->startElement($name);
        foreach ($attributes as $attribute => $value) {
            $this->xml->writeAttribute($attribute, $value);
        }
    }

    private function close(int $levels = 1): void
    {
        for ($level = 0; $level < $levels; $level++) {
            $this->xml->endElement();
        }
    }

    /** @param array<string, string> $attributes */
    private function leaf(string $name, string $text, array $attributes = []): void
    {
        $this->open($name, $attributes);
        if ($text !== '') {
            $this->xml->text($text);
        }
        $this->close();
    }
}

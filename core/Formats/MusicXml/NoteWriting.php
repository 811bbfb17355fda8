<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Grace;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Lyric;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Score\PrintedAccidentals;
use Nasturtium\Core\Score\SlurEnd;
use Nasturtium\Core\Score\Tuplet;

/** Writes the notes of one measure as MusicXML. */
final readonly class NoteWriting
{
    /**
     * @param  int  $divisions  of a quarter note
     * @param  array<string, string>  $accidentals  as PrintedAccidentals gives them
     * @param  array<string, list<string>>  $beams  by event id
     * @param  int  $leftFrom  voices of the left hand are numbered on from here
     */
    public function __construct(
        private XmlPen $xml,
        private int $divisions,
        private Measure $measure,
        private array $accidentals,
        private array $beams,
        private int $leftFrom,
    ) {}

    public static function ticks(Fraction $whole, int $divisions): string
    {
        return (string) $whole->times(Fraction::of(4 * $divisions));
    }

    public function event(Event $event): void
    {
        foreach ($event->ink->graces as $grace) {
            $this->grace($event, $grace);
        }
        foreach ($event->notes === [] ? [null] : $event->notes as $i => $note) {
            $this->note($event, $note, $i);
        }
    }

    private function grace(Event $event, Grace $grace): void
    {
        $this->xml->open('note');
        $this->xml->leaf('grace', '', $grace->slashed ? ['slash' => 'yes'] : []);
        if ($grace->chord) {
            $this->xml->leaf('chord');
        }
        $this->pitch($grace->pitch);
        $this->xml->leaf('voice', $this->voice($event));
        $this->xml->leaf('type', $grace->value);
        $this->xml->leaf('staff', self::staff($event));
        if ($grace->finger !== null || $grace->slurs !== []) {
            $this->xml->open('notations');
            $this->slurs($grace->slurs);
            if ($grace->finger !== null) {
                $this->finger($grace->finger);
            }
            $this->xml->close();
        }
        $this->xml->close();
    }

    private function note(Event $event, ?Note $note, int $inChord): void
    {
        $this->xml->open('note', ['id' => $inChord === 0 ? $event->id : "{$event->id}.{$inChord}"]);
        if ($inChord > 0) {
            $this->xml->leaf('chord');
        }
        if ($note === null) {
            $whole = $event->onset->isZero() && $event->duration->whole->equals($this->measure->length);
            $this->xml->leaf('rest', '', $whole ? ['measure' => 'yes'] : []);
        } else {
            $this->pitch($note->pitch);
        }
        $this->xml->leaf('duration', self::ticks($event->duration->whole, $this->divisions));
        $this->ties('tie', $note);
        $this->xml->leaf('voice', $this->voice($event));
        $this->value($event);
        $accidental = $this->accidentals["{$event->id}.{$inChord}"] ?? null;
        if ($accidental !== null) {
            $this->xml->leaf('accidental', $accidental);
        }
        if ($event->ink->tuplet !== null) {
            $this->xml->open('time-modification');
            $this->xml->leaf('actual-notes', (string) $event->ink->tuplet->actual);
            $this->xml->leaf('normal-notes', (string) $event->ink->tuplet->normal);
            $this->xml->close();
        }
        $this->xml->leaf('staff', self::staff($event));
        foreach ($inChord === 0 ? $this->beams[$event->id] ?? [] : [] as $level => $beam) {
            $this->xml->leaf('beam', $beam, ['number' => (string) ($level + 1)]);
        }
        $this->notations($event, $note, $inChord);
        foreach ($inChord === 0 ? $event->ink->lyrics : [] as $lyric) {
            $this->lyric($lyric);
        }
        $this->xml->close();
    }

    private function value(Event $event): void
    {
        $written = $event->writtenLength()->asNote();
        if ($written === null) {
            return;
        }
        $this->xml->leaf('type', $written[0]);
        for ($dot = 0; $dot < $written[1]; $dot++) {
            $this->xml->leaf('dot');
        }
    }

    private function pitch(Pitch $pitch): void
    {
        $this->xml->open('pitch');
        $this->xml->leaf('step', $pitch->letter());
        if ($pitch->alter !== 0) {
            $this->xml->leaf('alter', (string) $pitch->alter);
        }
        $this->xml->leaf('octave', (string) $pitch->octave);
        $this->xml->close();
    }

    private function ties(string $element, ?Note $note): void
    {
        foreach (['stop' => $note?->tieStop, 'start' => $note?->tieStart] as $type => $is) {
            if ($is === true) {
                $this->xml->leaf($element, '', ['type' => $type]);
            }
        }
    }

    private function notations(Event $event, ?Note $note, int $inChord): void
    {
        $ink = $event->ink;
        $arpeggio = $event->has(Mark::Arpeggio);
        $bracket = $inChord === 0 && $ink->tuplet !== null && ($ink->tuplet->starts || $ink->tuplet->stops);
        $own = $inChord === 0 && ($ink->slurs !== [] || $ink->marks !== []);
        if (! $own && ! $bracket && ! $arpeggio && $note?->finger === null && $note?->tieStart !== true && $note?->tieStop !== true) {
            return;
        }
        $this->xml->open('notations');
        $this->ties('tied', $note);
        if ($inChord === 0) {
            $this->slurs($ink->slurs);
            $this->tuplet($ink->tuplet);
            $this->marks('ornaments', array_filter($ink->marks, static fn (Mark $mark): bool => $mark->isOrnament()));
        }
        if ($note?->finger !== null) {
            $this->finger($note->finger);
        }
        if ($inChord === 0) {
            $this->marks('articulations', array_filter($ink->marks, static fn (Mark $mark): bool => $mark->isArticulation() || $mark->isBreath()));
            if ($event->has(Mark::Fermata)) {
                $this->xml->leaf('fermata');
            }
        }
        if ($arpeggio) {
            $this->xml->leaf('arpeggiate');
        }
        $this->xml->close();
    }

    /** @param list<SlurEnd> $slurs */
    private function slurs(array $slurs): void
    {
        foreach ($slurs as $slur) {
            $this->xml->leaf('slur', '', ['type' => $slur->starts ? 'start' : 'stop', 'number' => (string) $slur->number]);
        }
    }

    private function tuplet(?Tuplet $tuplet): void
    {
        if ($tuplet?->starts === true) {
            $this->xml->leaf('tuplet', '', ['type' => 'start', 'number' => '1', 'bracket' => 'yes']);
        }
        if ($tuplet?->stops === true) {
            $this->xml->leaf('tuplet', '', ['type' => 'stop', 'number' => '1']);
        }
    }

    /** @param array<int, Mark> $marks */
    private function marks(string $group, array $marks): void
    {
        if ($marks === []) {
            return;
        }
        $this->xml->open($group);
        foreach ($marks as $mark) {
            $this->xml->leaf($mark->value);
        }
        $this->xml->close();
    }

    private function finger(int $finger): void
    {
        $this->xml->open('technical');
        $this->xml->leaf('fingering', (string) $finger);
        $this->xml->close();
    }

    private function lyric(Lyric $lyric): void
    {
        $this->xml->open('lyric', ['number' => (string) $lyric->verse]);
        $this->xml->leaf('syllabic', match (true) {
            $lyric->joined && $lyric->continues => 'middle',
            $lyric->joined => 'begin',
            $lyric->continues => 'end',
            default => 'single',
        });
        $this->xml->leaf('text', $lyric->text);
        if ($lyric->extended) {
            $this->xml->leaf('extend');
        }
        $this->xml->close();
    }

    private function voice(Event $event): string
    {
        return (string) ($event->voice + ($event->hand === Hand::Left ? $this->leftFrom : 0));
    }

    private static function staff(Event $event): string
    {
        return $event->staff() === Hand::Right ? '1' : '2';
    }
}

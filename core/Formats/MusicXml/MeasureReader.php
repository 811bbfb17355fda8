<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Score\DraftEvent;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Grace;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Limits;
use Nasturtium\Core\Score\MeasureDraft;
use Nasturtium\Core\Score\Navigation;
use Nasturtium\Core\Score\PrintedAccidentals;
use Nasturtium\Core\Score\Tuplet;
use Nasturtium\Core\Score\TupletGroups;

/** Reads one measure of a MusicXML part. */
final class MeasureReader
{
    /** Bar lines that are kept as they are printed. */
    private const STYLES = ['light-light' => true, 'light-heavy' => true, 'heavy' => true, 'heavy-light' => true, 'heavy-heavy' => true, 'dotted' => true, 'dashed' => true, 'tick' => true, 'short' => true, 'none' => true];

    private Fraction $cursor;

    /** @var \Closure(string): void */
    private readonly \Closure $notRead;

    /** @var list<ReadNote> */
    private array $notes = [];

    private ?ReadNote $last = null;

    /** Whose note was read last. */
    private ?Hand $speaking = null;

    /** @var array<string, list<Grace>> waiting for their note, by voice */
    private array $graces = [];

    private function __construct(
        private readonly FileState $state,
        private readonly VoiceHomes $homes,
        private readonly MeasureDraft $measure,
        private readonly SignReading $signs,
    ) {
        $this->cursor = Fraction::zero();
        $this->notRead = $state->notRead(...);
    }

    /**
     * @param  \DOMElement  $measure  bears the number
     * @param  \DOMElement  $content  holds the music
     *
     * @throws BadInput
     */
    public static function read(\DOMElement $measure, \DOMElement $content, FileState $state, VoiceHomes $homes): void
    {
        $clefs = [];
        $keys = [];
        $newLine = false;
        $attributes = new AttributesReading($state);
        // What stands at the start of the measure is in force before its first note is read.
        foreach (Xml::children($content) as $child) {
            if ($child->localName === 'note' || $child->localName === 'forward' || $child->localName === 'backup') {
                break;
            }
            if ($child->localName === 'attributes') {
                $attributes->read($child, Fraction::zero(), $clefs, $keys);
            }
            $newLine = $newLine || ($child->localName === 'print' && ($child->getAttribute('new-system') === 'yes' || $child->getAttribute('new-page') === 'yes'));
        }
        $printed = $measure->getAttribute('number');
        $number = preg_match('/^\d{1,6}$/', $printed) === 1 ? (int) $printed : null;
        $isUnnumbered = $measure->getAttribute('implicit') === 'yes' || ($number === null && $printed !== '' && $state->builder->count() > 0);
        $draft = $state->builder->measure($state->meter, $state->key, $number, $isUnnumbered, $newLine);
        $draft->clefs = $clefs;
        $draft->repeatStart = $state->repeatStarts;
        $state->repeatStarts = false;
        $reader = new self($state, $homes, $draft, new SignReading($state->builder, $draft, $state->notRead(...)));
        $reader->music($content, $attributes);
        $reader->finish();
    }

    private function music(\DOMElement $content, AttributesReading $attributes): void
    {
        $begun = false;
        foreach (Xml::children($content) as $child) {
            switch ($child->localName) {
                case 'note':
                    $begun = true;
                    $this->note($child);
                    break;
                case 'backup':
                case 'forward':
                    $begun = true;
                    $this->move($child);
                    break;
                case 'attributes':
                    if ($begun) {
                        $attributes->read($child, $this->cursor, $this->measure->clefs, $this->measure->keys);
                    }
                    break;
                case 'direction':
                    $this->direction($child);
                    break;
                case 'sound':
                    $this->signs->sound($child);
                    break;
                case 'barline':
                    $this->barline($child);
                    break;
                case 'print':
                case 'listening':
                    break;
                case 'harmony':
                    $this->signs->harmony($child, $this->state->hand($this->staffOf($child)), $this->cursor);
                    break;
                default:
                    $this->state->notRead(Xml::word($child));
            }
        }
    }

    private function move(\DOMElement $element): void
    {
        $by = $this->counted(Xml::text($element, 'duration') ?? '', $element)->whole;
        if ($element->localName === 'forward') {
            $this->cursor = $this->cursor->plus($by);
            $this->silent();
        } else {
            $this->cursor = $this->cursor->minus($by)->max(Fraction::zero());
        }
        $this->last = null;
        $this->hold();
    }

    /** Where a voice goes on without a note it rests, though no rest is written; a file of our own writes its rests. */
    private function silent(): void
    {
        if ($this->speaking !== null && ! $this->homes->isOwn()) {
            $filled = &$this->measure->filled[$this->speaking->value];
            $filled = $filled->max($this->cursor);
        }
    }

    /** @throws InvalidScore when the measure is longer than any */
    private function hold(): void
    {
        if ($this->measure->meter->beats($this->cursor)->compare(Fraction::of(Limits::BEATS_IN_MEASURE)) > 0) {
            throw InvalidScore::longerThanABar();
        }
        if (count($this->notes) > Limits::EVENTS_IN_MEASURE) {
            throw InvalidScore::tooMany('it', count($this->notes), 'notes and rests', Limits::EVENTS_IN_MEASURE);
        }
    }

    private function staffOf(\DOMElement $element): int
    {
        return max(1, (int) (Xml::text($element, 'staff') ?? 1));
    }

    private function direction(\DOMElement $element): void
    {
        $staff = $this->staffOf($element);
        if ($staff > 2) {
            $this->thirdStaff();

            return;
        }
        $onset = $this->cursor->plus($this->state->length(Xml::text($element, 'offset') ?? '0') ?? Fraction::zero())->max(Fraction::zero());
        $this->signs->direction($element, $this->state->hand($staff), $onset);
    }

    private function note(\DOMElement $element): void
    {
        $reading = new NoteReading($element, $this->notRead, fn (): string => $this->state->at($element));
        $staff = max(1, (int) ($reading->text('staff') ?? 1));
        $voice = mb_substr($reading->text('voice') ?? "staff {$staff}", 0, 40);
        if ($staff > 2) {
            $this->thirdStaff();
            $this->cursor = $reading->has('grace') || $reading->has('chord') ? $this->cursor : $this->cursor->plus($this->noteLength($element, $reading, $reading->tuplet())->whole);
            $this->last = null;

            return;
        }
        if ($reading->has('grace')) {
            $grace = $reading->grace();
            if ($grace !== null) {
                $this->graces[$voice][] = $grace;
            }

            return;
        }
        $note = $reading->note();
        if ($reading->has('chord')) {
            if ($this->last === null) {
                throw BadMusicXml::chordOfNothing($this->state->at($element));
            }
            if ($this->last->staff !== $staff) {
                $this->state->notRead('a chord that stands on both staves');
            }
            if ($note !== null) {
                $this->last->notes[] = $note;
            }
            if (count($this->last->notes) > Limits::NOTES_IN_CHORD) {
                throw InvalidScore::tooMany('a chord', count($this->last->notes), 'notes', Limits::NOTES_IN_CHORD);
            }
            $this->last->join($reading);

            return;
        }
        $tuplet = $reading->tuplet();
        $length = $this->noteLength($element, $reading, $tuplet);
        $onset = $this->cursor;
        $this->cursor = $onset->plus($length->whole);
        $this->speaking = $this->state->hand($this->state->staves < 2 ? 1 : $this->homes->home($voice, $staff));
        $this->hold();
        if ($reading->has('cue')) {
            $this->state->notRead('cue note');

            return;
        }
        if ($note === null && $element->getAttribute('print-object') === 'no') {
            $this->silent();

            return;
        }
        $read = new ReadNote($voice, $staff, $onset, $length);
        $read->notes = $note === null ? [] : [$note];
        $read->tuplet = $tuplet ?? Tuplet::fitting($length);
        $read->join($reading);
        if ($note !== null) {
            $read->graces = $this->graces[$voice] ?? [];
            unset($this->graces[$voice]);
        }
        foreach ($reading->dynamics as $dynamic) {
            $this->signs->dynamic($dynamic, $this->state->hand($staff), $onset);
        }
        $this->notes[] = $read;
        $this->last = $read;
    }

    /** What is written is exact where the count of divisions had to be rounded. */
    private function noteLength(\DOMElement $element, NoteReading $reading, ?Tuplet $tuplet): Duration
    {
        $written = $reading->written();
        $counted = $reading->has('duration') ? $this->counted($reading->text('duration') ?? '', $element) : null;
        if ($counted === null || $counted->whole->isZero()) {
            $written ?? throw BadMusicXml::noteWithoutLength($this->state->at($element));

            return $tuplet === null ? $written : Duration::ofWhole($written->whole->times($tuplet->ratio()));
        }
        if ($tuplet === null || $written === null) {
            return $counted;
        }
        $exact = $written->whole->times($tuplet->ratio());
        $off = $exact->minus($counted->whole);
        $off = $off->compare(Fraction::zero()) < 0 ? Fraction::zero()->minus($off) : $off;

        return $off->compare(Fraction::of(1, 4 * $this->state->divisions)) < 0 ? Duration::ofWhole($exact) : $counted;
    }

    /** @param string $text of a duration element */
    private function counted(string $text, \DOMElement $element): Duration
    {
        $length = $this->state->length($text);
        if ($length === null || $length->numerator < 0) {
            throw BadMusicXml::noDuration($this->state->at($element), $text, $element->localName);
        }

        return Duration::ofWhole($length);
    }

    private function barline(\DOMElement $element): void
    {
        $style = Xml::text($element, 'bar-style') ?? '';
        $location = $element->getAttribute('location');
        foreach (Xml::children($element) as $child) {
            switch ($child->localName) {
                case 'repeat':
                    $this->repeat($child, $location);
                    break;
                case 'ending':
                    $this->ending($child);
                    break;
                case 'segno':
                    $this->measure->navigate(Navigation::Segno);
                    break;
                case 'coda':
                    $this->measure->navigate(Navigation::Coda);
                    break;
                case 'bar-style':
                    break;
                default:
                    $this->state->notRead(Xml::word($child).' on a bar line');
            }
        }
        $before = $location === 'left' ? $this->before() : $this->measure;
        if ($location === 'middle') {
            $this->state->notRead('bar line inside a bar');
        } elseif ($before !== null && Xml::one($element, 'repeat') === null && isset(self::STYLES[$style])) {
            $before->barStyle = $location === 'left' && $before->barStyle !== '' ? $before->barStyle : $style;
        }
    }

    /** A sign belongs to the bar that it ends or begins, on whichever bar line a file has put it. */
    private function repeat(\DOMElement $element, string $location): void
    {
        if ($element->getAttribute('direction') === 'forward') {
            if ($location === 'left') {
                $this->measure->repeatStart = true;
            } else {
                $this->state->repeatStarts = true;
            }

            return;
        }
        $ends = $location === 'left' ? $this->before() : $this->measure;
        if ($ends !== null) {
            $ends->repeatEnd = true;
            $ends->barStyle = '';
            $times = $element->getAttribute('times');
            $ends->times = preg_match('/^[2-9]$/', $times) === 1 ? (int) $times : 2;
        }
    }

    private function before(): ?MeasureDraft
    {
        $drafts = $this->state->builder->drafts();

        return $drafts[count($drafts) - 2] ?? null;
    }

    private function thirdStaff(): void
    {
        if (! $this->state->thirdStaff) {
            $this->state->notRead('what stands on a third staff');
            $this->state->thirdStaff = true;
        }
    }

    private function ending(\DOMElement $element): void
    {
        if ($element->getAttribute('type') === 'start') {
            preg_match_all('/\d{1,2}/', $element->getAttribute('number'), $found);
            $this->state->ending = array_map(intval(...), $found[0]);
            $this->measure->endings = $this->state->ending;
        } else {
            $this->measure->endings = $this->state->ending;
            $this->state->ending = [];
        }
    }

    /** The measures before once more, where the page has only the sign for it. */
    private function again(): void
    {
        $drafts = $this->state->builder->drafts();
        $of = $drafts[count($drafts) - 1 - $this->state->repeating] ?? null;
        if ($of === null) {
            $this->state->notRead('the sign to repeat a bar, with no bar before it,');

            return;
        }
        if (array_filter($this->notes, static fn (ReadNote $note): bool => $note->notes !== []) === []) {
            $this->notes = [];
            $this->measure->events = $of->events;
            $this->measure->sameAsBefore = $this->state->repeating === 1;
        }
    }

    private function finish(): void
    {
        if ($this->state->repeating > 0) {
            $this->again();
        }
        if ($this->measure->endings === []) {
            $this->measure->endings = $this->state->ending;
        }
        if (array_filter($this->graces) !== []) {
            $this->state->notRead('grace note after the last note');
        }
        $byVoice = [];
        if (count(array_unique(array_map(static fn (ReadNote $note): string => $note->voice, $this->notes))) > 2 * Limits::VOICES) {
            throw InvalidScore::tooManyVoices();
        }
        foreach ($this->notes as $note) {
            $byVoice["{$note->voice} {$this->homes->home($note->voice, $note->staff)}"][] = $note;
        }
        foreach ($byVoice as $notes) {
            usort($notes, static fn (ReadNote $a, ReadNote $b): int => $a->onset->compare($b->onset));
            $tuplets = TupletGroups::of(array_map(static fn (ReadNote $note): array => [$note->onset, $note->length->whole, $note->tuplet], $notes));
            foreach ($notes as $i => $note) {
                $note->tuplet = $tuplets[$i];
            }
        }
        foreach ($this->notes as $note) {
            $home = $this->state->staves < 2 ? 1 : $this->homes->home($note->voice, $note->staff);
            $this->measure->events[] = new DraftEvent(
                $this->state->hand($home),
                $note->voice,
                $note->onset,
                $note->length,
                $note->notes,
                $note->ink(),
                $this->state->staves > 1 && $note->staff !== $home,
            );
        }
        PrintedAccidentals::settle($this->measure);
        $drafts = $this->state->builder->drafts();
        $before = $drafts[count($drafts) - 2] ?? null;
        if ($this->state->repeating === 1 && $before !== null && $this->measure->struck() === $before->struck()) {
            $this->measure->sameAsBefore = true;
        }
    }
}

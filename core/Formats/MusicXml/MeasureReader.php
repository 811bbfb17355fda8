<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Score\DraftEvent;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Grace;
use Nasturtium\Core\Score\MeasureDraft;
use Nasturtium\Core\Score\Navigation;
use Nasturtium\Core\Score\PrintedAccidentals;
use Nasturtium\Core\Score\Tuplet;
use Nasturtium\Core\Score\TupletGroups;

/** Reads one measure of a MusicXML part. */
final class MeasureReader
{
    private Fraction $cursor;

    /** @var \Closure(string): void */
    private readonly \Closure $notRead;

    /** @var list<ReadNote> */
    private array $notes = [];

    private ?ReadNote $last = null;

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
        $draft = $state->builder->measure($state->meter, $state->key, $number, $measure->getAttribute('implicit') === 'yes', $newLine);
        $draft->clefs = $clefs;
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
                    break;
                default:
                    $this->state->notRead(Xml::word($child));
            }
        }
    }

    private function move(\DOMElement $element): void
    {
        $by = $this->counted(Xml::text($element, 'duration') ?? '', $element)->whole;
        $this->cursor = $element->localName === 'forward'
            ? $this->cursor->plus($by)
            : $this->cursor->minus($by)->max(Fraction::zero());
        $this->last = null;
    }

    private function direction(\DOMElement $element): void
    {
        $staff = max(1, (int) (Xml::text($element, 'staff') ?? 1));
        $offset = Xml::text($element, 'offset') ?? '0';
        $onset = preg_match('/^-?\d{1,7}$/', $offset) === 1
            ? $this->cursor->plus(Fraction::of((int) $offset, 4 * $this->state->divisions))->max(Fraction::zero())
            : $this->cursor;
        $this->signs->direction($element, $this->state->hand($staff), $onset);
    }

    private function note(\DOMElement $element): void
    {
        $reading = new NoteReading($element, $this->notRead, fn (): string => $this->state->at($element));
        $staff = max(1, min(2, (int) ($reading->text('staff') ?? 1)));
        $voice = $reading->text('voice') ?? "staff {$staff}";
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
                throw new BadInput($this->state->at($element).'a chord note has no note before it to join.');
            }
            if ($this->last->staff !== $staff) {
                $this->state->notRead('a chord that stands on both staves');
            }
            if ($note !== null) {
                $this->last->notes[] = $note;
            }
            $this->last->join($reading);

            return;
        }
        $tuplet = $reading->tuplet();
        $length = $this->noteLength($element, $reading, $tuplet);
        $onset = $this->cursor;
        $this->cursor = $onset->plus($length->whole);
        if ($reading->has('cue')) {
            $this->state->notRead('cue note');

            return;
        }
        if ($note === null && $element->getAttribute('print-object') === 'no') {
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
            $written ?? throw new BadInput($this->state->at($element).'a note has neither a duration nor a type that can be read.');

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
        if (preg_match('/^\d{1,9}(\.0*)?$/', $text) !== 1) {
            throw new BadInput($this->state->at($element)."the duration '".mb_substr($text, 0, 20)."' of a {$element->localName} is not a number above zero.");
        }

        return Duration::of((int) $text, 4 * $this->state->divisions);
    }

    private function barline(\DOMElement $element): void
    {
        $style = Xml::text($element, 'bar-style') ?? '';
        $location = $element->getAttribute('location');
        foreach (Xml::children($element) as $child) {
            switch ($child->localName) {
                case 'repeat':
                    if ($child->getAttribute('direction') === 'forward') {
                        $this->measure->repeatStart = true;
                    } else {
                        $this->measure->repeatEnd = true;
                        $times = $child->getAttribute('times');
                        $this->measure->times = preg_match('/^[2-9]$/', $times) === 1 ? (int) $times : 2;
                    }
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
        if ($location === 'middle') {
            $this->state->notRead('bar line inside a bar');
        } elseif ($location !== 'left' && Xml::one($element, 'repeat') === null && ! in_array($style, ['', 'regular'], true)) {
            $this->measure->barStyle = $style;
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

    private function finish(): void
    {
        if ($this->measure->endings === []) {
            $this->measure->endings = $this->state->ending;
        }
        if (array_filter($this->graces) !== []) {
            $this->state->notRead('grace note after the last note');
        }
        $byVoice = [];
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
    }
}

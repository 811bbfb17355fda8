<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Grace;
use Nasturtium\Core\Score\Lyric;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Score\SlurEnd;
use Nasturtium\Core\Score\Tuplet;

/** What one MusicXML note element says of itself. */
final class NoteReading
{
    /** Read by MeasureReader, or worked out anew by the engraver. */
    private const ELSEWHERE = [
        'grace' => true, 'cue' => true, 'chord' => true, 'pitch' => true, 'unpitched' => true, 'rest' => true, 'duration' => true,
        'voice' => true, 'type' => true, 'staff' => true, 'time-modification' => true, 'stem' => true, 'beam' => true, 'instrument' => true,
    ];

    private const VALUES = ['whole', 'half', 'quarter', 'eighth', '16th', '32nd', '64th'];

    /** @var array<string, \DOMElement> what stands in the note, the first of each name */
    private array $parts = [];

    private int $dots = 0;

    /** @var list<Mark> */
    public array $marks = [];

    /** @var list<SlurEnd> */
    public array $slurs = [];

    /** @var list<Lyric> */
    public array $lyrics = [];

    /** @var list<string> dynamics that stand at the note itself */
    public array $dynamics = [];

    private bool $tieStart = false;

    private bool $tieStop = false;

    private ?int $finger = null;

    private bool $accidental = false;

    private bool $tupletStarts = false;

    private bool $tupletStops = false;

    /**
     * @param  \Closure(string): void  $notRead  told what is not understood
     * @param  \Closure(): string  $at  names the place in a message
     */
    public function __construct(\DOMElement $element, private readonly \Closure $notRead, private readonly \Closure $at)
    {
        foreach (Xml::children($element) as $child) {
            $name = (string) $child->localName;
            $this->parts[$name] ??= $child;
            switch ($name) {
                case 'dot':
                    $this->dots++;
                    break;
                case 'tie':
                    $this->tie($child);
                    break;
                case 'accidental':
                    $this->accidental = true;
                    break;
                case 'lyric':
                    $this->lyric($child);
                    break;
                case 'notehead':
                    if (! in_array(trim($child->textContent), ['normal', ''], true)) {
                        $notRead("note head '".trim($child->textContent)."'");
                    }
                    break;
                case 'notations':
                    foreach (Xml::children($child) as $notation) {
                        $this->notation($notation);
                    }
                    break;
                default:
                    if (! isset(self::ELSEWHERE[$name])) {
                        $notRead(Xml::word($child));
                    }
            }
        }
    }

    /**
     * @return Note|null null for a rest
     *
     * @throws BadInput
     */
    public function note(): ?Note
    {
        $pitch = $this->pitch();

        return $pitch === null ? null : new Note($pitch, $this->finger, $this->tieStart, $this->tieStop, $this->accidental);
    }

    /** @throws BadInput */
    public function grace(): ?Grace
    {
        $pitch = $this->pitch();
        $value = $this->text('type') ?? 'eighth';

        return $pitch === null ? null : new Grace(
            $pitch,
            in_array($value, self::VALUES, true) ? $value : 'eighth',
            ($this->parts['grace'] ?? null)?->getAttribute('slash') === 'yes',
            $this->finger,
            $this->has('chord'),
            $this->slurs,
        );
    }

    public function has(string $name): bool
    {
        return isset($this->parts[$name]);
    }

    /** The trimmed text of a part; null when there is none. */
    public function text(string $name): ?string
    {
        $text = trim($this->parts[$name]->textContent ?? '');

        return $text === '' ? null : $text;
    }

    /** The length as it is written, by its value and dots; null when the value is not one that a page has. */
    public function written(): ?Duration
    {
        $value = $this->text('type');

        return in_array($value, self::VALUES, true) ? Duration::ofNote($value, min(2, $this->dots)) : null;
    }

    public function tuplet(): ?Tuplet
    {
        $ratio = $this->parts['time-modification'] ?? null;
        if ($ratio === null) {
            return null;
        }
        $actual = Xml::text($ratio, 'actual-notes');
        $normal = Xml::text($ratio, 'normal-notes');
        if ($actual === null || $normal === null) {
            return null;
        }
        if (preg_match('/^[1-9]\d?$/', $actual) !== 1 || preg_match('/^[1-9]\d?$/', $normal) !== 1 || max((int) $actual, (int) $normal) > 32) {
            throw BadMusicXml::noTuplet(($this->at)(), $actual, $normal);
        }

        return $actual === $normal ? null : new Tuplet((int) $actual, (int) $normal, $this->tupletStarts, $this->tupletStops);
    }

    private function pitch(): ?Pitch
    {
        $pitch = $this->parts['pitch'] ?? null;
        if ($pitch === null) {
            if (! $this->has('rest')) {
                ($this->notRead)('unpitched note');
            }

            return null;
        }
        $step = array_search(Xml::text($pitch, 'step'), Pitch::LETTERS, true);
        $octave = Xml::text($pitch, 'octave') ?? '';
        $alter = Xml::text($pitch, 'alter') ?? '0';
        if ($step === false || preg_match('/^\d$/', $octave) !== 1 || preg_match('/^[+-]?[012](\.0*)?$/', $alter) !== 1) {
            throw BadMusicXml::noteWithoutPitch(($this->at)());
        }

        return new Pitch($step, (int) $octave, (int) $alter);
    }

    private function notation(\DOMElement $element): void
    {
        switch ($element->localName) {
            case 'tied':
                $this->tie($element);
                break;
            case 'slur':
                $type = $element->getAttribute('type');
                if ($type === 'start' || $type === 'stop') {
                    $this->slurs[] = new SlurEnd(max(1, (int) $element->getAttribute('number')), $type === 'start');
                }
                break;
            case 'tuplet':
                if ((int) $element->getAttribute('number') > 1) {
                    ($this->notRead)('tuplet inside a tuplet');
                }
                $this->tupletStarts = $this->tupletStarts || $element->getAttribute('type') === 'start';
                $this->tupletStops = $this->tupletStops || $element->getAttribute('type') === 'stop';
                break;
            case 'technical':
                $this->technical($element);
                break;
            case 'articulations':
            case 'ornaments':
                foreach (Xml::children($element) as $child) {
                    $this->mark($child);
                }
                break;
            case 'dynamics':
                foreach (Xml::children($element) as $child) {
                    $this->dynamics[] = $child->localName === 'other-dynamics' ? mb_substr(Xml::line($child), 0, 40) : (string) $child->localName;
                }
                break;
            default:
                $this->mark($element);
        }
    }

    private function mark(\DOMElement $element): void
    {
        $mark = Mark::tryFrom((string) $element->localName);
        if ($mark === null) {
            ($this->notRead)(Xml::word($element));
        } else {
            $this->marks[] = $mark;
        }
    }

    private function tie(\DOMElement $element): void
    {
        match ($element->getAttribute('type')) {
            'start' => $this->tieStart = true,
            'stop' => $this->tieStop = true,
            'let-ring' => ($this->notRead)('tie that rings on'),
            default => null,
        };
    }

    private function technical(\DOMElement $element): void
    {
        foreach (Xml::children($element) as $child) {
            $text = trim($child->textContent);
            if ($child->localName !== 'fingering') {
                ($this->notRead)(Xml::word($child));
            } elseif ($this->finger !== null || preg_match('/^\d$/', $text) !== 1) {
                ($this->notRead)("finger change '".mb_substr($text, 0, 10)."'");
                $this->finger ??= preg_match('/\d/', $text, $found) === 1 ? (int) $found[0] : null;
            } else {
                $this->finger = (int) $text;
            }
        }
    }

    private function lyric(\DOMElement $element): void
    {
        $text = implode('', array_map(
            static fn (\DOMElement $part): string => $part->localName === 'elision' ? ' ' : Xml::line($part),
            array_filter(iterator_to_array(Xml::children($element), false), static fn (\DOMElement $part): bool => in_array($part->localName, ['text', 'elision'], true)),
        ));
        if ($text === '') {
            return;
        }
        $verse = $element->getAttribute('number');
        $this->lyrics[] = new Lyric(
            mb_substr($text, 0, 200),
            preg_match('/^[1-9]\d?$/', $verse) === 1 ? (int) $verse : count($this->lyrics) + 1,
            in_array(Xml::text($element, 'syllabic'), ['begin', 'middle'], true),
            in_array(Xml::text($element, 'syllabic'), ['middle', 'end'], true),
            Xml::one($element, 'extend') !== null,
        );
    }
}

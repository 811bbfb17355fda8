<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Pitch;

/** Reads what one MusicXML note element says of itself. */
final readonly class NoteReading
{
    private const ARTICULATIONS = ['staccato' => Mark::Staccato, 'tenuto' => Mark::Tenuto, 'accent' => Mark::Accent];

    /**
     * @param  \Closure(string): void  $notRead  told what is not understood
     * @param  \Closure(): string  $at  names the place in a message
     */
    public function __construct(private \DOMElement $element, private \Closure $notRead, private \Closure $at) {}

    /**
     * @return Note|null null for a rest
     *
     * @throws BadInput
     */
    public function note(): ?Note
    {
        $pitch = Xml::one($this->element, 'pitch');
        if ($pitch === null) {
            if (Xml::one($this->element, 'rest') === null) {
                ($this->notRead)('unpitched note');
            }

            return null;
        }
        $step = array_search(Xml::text($pitch, 'step'), Pitch::LETTERS, true);
        $octave = Xml::text($pitch, 'octave') ?? '';
        $alter = Xml::text($pitch, 'alter') ?? '0';
        if ($step === false || preg_match('/^-?\d$/', $octave) !== 1 || preg_match('/^-?[012](\.0*)?$/', $alter) !== 1) {
            throw new BadInput(($this->at)().'a note has no pitch that can be read (step, octave, alter).');
        }
        $ties = [];
        foreach ([...Xml::all($this->element, 'tie'), ...$this->notations('tied')] as $tie) {
            $ties[$tie->getAttribute('type')] = true;
        }

        return new Note(new Pitch($step, (int) $octave, (int) $alter), $this->finger(), isset($ties['start']), isset($ties['stop']));
    }

    /** @return list<Mark> */
    public function marks(): array
    {
        $marks = [];
        foreach (Xml::all($this->element, 'notations') as $notations) {
            foreach (Xml::children($notations) as $child) {
                switch ($child->localName) {
                    case 'articulations':
                        foreach (Xml::children($child) as $articulation) {
                            $mark = self::ARTICULATIONS[$articulation->localName] ?? null;
                            $mark === null ? ($this->notRead)(Xml::word($articulation)) : $marks[] = $mark;
                        }
                        break;
                    case 'fermata':
                        $marks[] = Mark::Fermata;
                        break;
                    case 'slur':
                        $marks[] = $child->getAttribute('type') === 'stop' ? Mark::SlurStop : Mark::SlurStart;
                        break;
                    case 'ornaments':
                    case 'arpeggiate':
                    case 'glissando':
                        ($this->notRead)(Xml::word($child));
                }
            }
        }

        return $marks;
    }

    public function lyric(): ?string
    {
        $verses = Xml::all($this->element, 'lyric');
        if ($verses === []) {
            return null;
        }
        if (count($verses) > 1) {
            ($this->notRead)('second verse');
        }
        $text = Xml::text($verses[0], 'text');

        return $text !== null && in_array(Xml::text($verses[0], 'syllabic'), ['begin', 'middle'], true) ? "{$text}-" : $text;
    }

    private function finger(): ?int
    {
        foreach ($this->notations('technical') as $technical) {
            $text = Xml::text($technical, 'fingering');
            if ($text !== null && preg_match('/^\d/', $text) === 1) {
                return (int) $text[0];
            }
        }

        return null;
    }

    /** @return list<\DOMElement> */
    private function notations(string $name): array
    {
        $found = [];
        foreach (Xml::all($this->element, 'notations') as $notations) {
            array_push($found, ...Xml::all($notations, $name));
        }

        return $found;
    }
}

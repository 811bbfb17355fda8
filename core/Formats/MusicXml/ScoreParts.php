<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Formats\ScorePart;

/** The parts of a MusicXML document and their measures, whichever of the two ways it is written. */
final readonly class ScoreParts
{
    public function __construct(private \DOMElement $root) {}

    /** @return list<ScorePart> in the order of the file */
    public function all(): array
    {
        $names = [];
        foreach (Xml::all(Xml::one($this->root, 'part-list'), 'score-part') as $part) {
            $names[$part->getAttribute('id')] = Xml::text($part, 'part-name') ?? '';
        }
        $notes = [];
        $staves = [];
        foreach ($this->pieces() as [$id, $content]) {
            $notes[$id] ??= 0;
            foreach (Xml::children($content) as $child) {
                if ($child->localName === 'note') {
                    $named = Xml::named($child);
                    $notes[$id] += isset($named['pitch']) ? 1 : 0;
                    $staves[$id] = max($staves[$id] ?? 1, (int) trim($named['staff']->textContent ?? '1'));
                }
                if ($child->localName === 'attributes') {
                    $staves[$id] = max($staves[$id] ?? 1, (int) (Xml::text($child, 'staves') ?? 1));
                }
            }
        }
        $parts = [];
        foreach ($notes as $id => $count) {
            $name = $names[$id] ?? '';
            $parts[] = new ScorePart((string) $id, $name === '' ? (string) $id : $name, $staves[$id] ?? 1, $count);
        }

        return $parts;
    }

    /** @return \Generator<int, array{\DOMElement, \DOMElement}> each measure's own element, and the one with its music */
    public function measures(string $part): \Generator
    {
        foreach ($this->pieces() as [$id, $content, $measure]) {
            if ($id === $part) {
                yield [$measure, $content];
            }
        }
    }

    /** @return \Generator<int, array{string, \DOMElement, \DOMElement}> part id, music, measure */
    private function pieces(): \Generator
    {
        $timewise = $this->root->localName === 'score-timewise';
        foreach (Xml::all($this->root, $timewise ? 'measure' : 'part') as $outer) {
            foreach (Xml::all($outer, $timewise ? 'part' : 'measure') as $inner) {
                yield [($timewise ? $inner : $outer)->getAttribute('id'), $inner, $timewise ? $outer : $inner];
            }
        }
    }
}

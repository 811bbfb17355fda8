<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

/** Small steps through a document tree, each linear in the number of children. */
final readonly class Xml
{
    /** @return \Generator<int, \DOMElement> */
    public static function children(\DOMElement $of): \Generator
    {
        for ($node = $of->firstChild; $node !== null; $node = $node->nextSibling) {
            if ($node instanceof \DOMElement) {
                yield $node;
            }
        }
    }

    /** @return array<string, \DOMElement> the first child of each name */
    public static function named(\DOMElement $of): array
    {
        $named = [];
        for ($node = $of->firstChild; $node !== null; $node = $node->nextSibling) {
            if ($node instanceof \DOMElement) {
                $named[(string) $node->localName] ??= $node;
            }
        }

        return $named;
    }

    /** @return list<\DOMElement> */
    public static function all(?\DOMElement $of, string $name): array
    {
        $found = [];
        foreach ($of === null ? [] : self::children($of) as $child) {
            if ($child->localName === $name) {
                $found[] = $child;
            }
        }

        return $found;
    }

    public static function one(?\DOMElement $of, string ...$path): ?\DOMElement
    {
        foreach ($path as $name) {
            $next = null;
            foreach ($of === null ? [] : self::children($of) as $child) {
                if ($child->localName === $name) {
                    $next = $child;
                    break;
                }
            }
            $of = $next;
        }

        return $of;
    }

    /** The trimmed text at a path; null when there is none. */
    public static function text(\DOMElement $of, string ...$path): ?string
    {
        $text = trim(self::one($of, ...$path)->textContent ?? '');

        return $text === '' ? null : $text;
    }

    /** The text of an element on one line: breaks and runs of spaces are one space. */
    public static function line(\DOMElement $of): string
    {
        return trim((string) preg_replace('/\s+/u', ' ', mb_scrub($of->textContent)));
    }

    /** An element's name as words: `octave-shift` is 'octave shift', and `harmony` what a page calls it. */
    public static function word(\DOMElement $of): string
    {
        return $of->localName === 'harmony' ? 'chord symbol' : str_replace('-', ' ', (string) $of->localName);
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Formats\BadInput;

use Nasturtium\Core\Formats\NavigationWords;

use Nasturtium\Core\Formats\ReadScore;

use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Notation;
use Nasturtium\Core\Score\PieceBuilder;
use Nasturtium\Core\Score\Place;

/**
 * Reads one part of a MusicXML file, partwise or timewise: the upper staff is the right hand, the lower the left.
 * What it does not understand becomes a check that names it and its bar; docs/formats.md has the table.
 */
final class MusicXmlReader
{
    private const MAX_MEASURES = 10_000;

    /** Where the file written by MusicXmlWriter says how a page without a staff shows its notes. */
    public const NOTATION_FIELD = 'notation';

    /**
     * @param  string|null  $part  the id of a part; without one, the only part, or the only one on two staves
     *
     * @throws BadInput
     */
    public static function read(string $bytes, ?string $part = null): ReadScore
    {
        $root = ScoreFile::open($bytes);
        $parts = new ScoreParts($root);
        $all = $parts->all();
        $chosen = self::choose($all, $part);
        $state = new FileState(new PieceBuilder());
        foreach ($all as $other) {
            if ($other->id !== $chosen->id) {
                $state->noted[] = [0, "Bar 1: the part '{$other->name}' is left out."];
            }
        }
        self::header($root, $state);
        $piece = null;
        try {
            $homes = new VoiceHomes($parts->measures($chosen->id));
            $state->staves = $homes->both ? 2 : 1;
            foreach ($parts->measures($chosen->id) as [$measure, $content]) {
                if ($state->builder->count() >= self::MAX_MEASURES) {
                    throw new BadInput('The file has more than '.self::MAX_MEASURES.' bars. Export the page you need alone.');
                }
                $printed = $measure->getAttribute('number');
                $state->bar = $printed === '' ? (string) ($state->builder->count() + 1) : mb_substr($printed, 0, 12);
                MeasureReader::read($measure, $content, $state, $homes);
            }
            if ($state->builder->count() === 0) {
                throw new BadInput('The part has no bars in it, so there is nothing to play.');
            }
            NavigationWords::settle($state->builder->drafts());
            $piece = $state->builder->piece();
        } catch (InvalidScore $reason) {
            throw new BadInput("Bar {$state->bar}: {$reason->getMessage()}.", previous: $reason);
        }
        if (! $piece->plays(Hand::Right) && ! $piece->plays(Hand::Left)) {
            throw new BadInput('There is nothing to play in the file: it has bars, but no notes.');
        }

        return new ReadScore($piece, array_map(
            static fn (array $noted): Check => new Check('not_read', Place::start($piece->measures[$noted[0]]->number), null, $noted[1]),
            $state->noted,
        ));
    }

    /**
     * @return list<ScorePart>
     *
     * @throws BadInput
     */
    public static function parts(string $bytes): array
    {
        return (new ScoreParts(ScoreFile::open($bytes)))->all();
    }

    /** @param list<ScorePart> $parts */
    private static function choose(array $parts, ?string $id): ScorePart
    {
        $names = implode(', ', array_map(static fn (ScorePart $part): string => "{$part->id} ({$part->name})", $parts));
        if ($parts === []) {
            throw new BadInput('The file has no part in it, so there is nothing to play.');
        }
        if ($id !== null) {
            foreach ($parts as $part) {
                if ($part->id === $id) {
                    return $part;
                }
            }
            throw new BadInput("The file has no part '{$id}'. Its parts are {$names}.");
        }
        $grand = array_values(array_filter($parts, static fn (ScorePart $part): bool => $part->staves > 1));

        return match (true) {
            count($parts) === 1 => $parts[0],
            count($grand) === 1 => $grand[0],
            default => throw new BadInput('The file has '.count($parts)." parts: {$names}. Choose the student's."),
        };
    }

    private static function header(\DOMElement $root, FileState $state): void
    {
        $builder = $state->builder;
        $title = Xml::text($root, 'work', 'work-title') ?? Xml::text($root, 'movement-title') ?? self::credit($root) ?? 'Untitled';
        $builder->title = mb_substr((string) preg_replace('/\s+/u', ' ', $title), 0, 120);
        $identification = Xml::one($root, 'identification');
        foreach ($identification === null ? [] : Xml::children($identification) as $child) {
            $type = $child->localName === 'creator' ? $child->getAttribute('type') : (string) $child->localName;
            $text = mb_substr(trim((string) preg_replace('/\s+/u', ' ', $child->textContent)), 0, 200);
            if ($text === '') {
                continue;
            }
            if ($type === 'composer') {
                $builder->composer = mb_substr($text, 0, 120);
            } elseif (in_array($type, ['lyricist', 'arranger', 'rights'], true)) {
                $builder->credits[$type] = $text;
            } elseif ($child->localName === 'creator') {
                $state->notRead("{$type} '{$text}'");
            }
        }
        self::credits($root, $state);
        foreach (Xml::all(Xml::one($identification, 'miscellaneous'), 'miscellaneous-field') as $field) {
            if ($field->getAttribute('name') === self::NOTATION_FIELD) {
                $builder->notation = Notation::tryFrom(trim($field->textContent)) ?? $builder->notation;
            }
        }
    }

    /** What else is printed on the page, and is not known from the head of the file. */
    private static function credits(\DOMElement $root, FileState $state): void
    {
        $known = [$state->builder->title, $state->builder->composer, ...$state->builder->credits];
        foreach (Xml::all($root, 'credit') as $credit) {
            $words = mb_substr(trim(Xml::text($credit, 'credit-words') ?? ''), 0, 80);
            if ($words !== '' && ! in_array($words, $known, true) && ! in_array(Xml::text($credit, 'credit-type'), ['page number', 'part name'], true)) {
                $state->notRead("the printed text '{$words}'");
            } elseif (Xml::one($credit, 'credit-image') !== null) {
                $state->notRead('a picture');
            }
        }
        if (Xml::one($root, 'defaults') !== null) {
            $state->notRead('the layout of the print (page, margins, fonts)');
        }
    }

    /** Some programs print the title on the page and name it nowhere else. */
    private static function credit(\DOMElement $root): ?string
    {
        foreach (Xml::all($root, 'credit') as $credit) {
            if (Xml::text($credit, 'credit-type') === 'title') {
                return Xml::text($credit, 'credit-words');
            }
        }

        return null;
    }
}

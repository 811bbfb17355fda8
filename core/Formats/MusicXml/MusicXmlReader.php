<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\NavigationWords;
use Nasturtium\Core\Formats\PartChoice;
use Nasturtium\Core\Formats\ReadScore;
use Nasturtium\Core\Formats\ScorePart;
use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Limits;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Notation;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\PieceBuilder;
use Nasturtium\Core\Score\Place;

/**
 * Reads one part of a MusicXML file, partwise or timewise: the upper staff is the right hand, the lower the left.
 * What it does not understand becomes a check that names it and its bar; docs/formats.md has the table.
 */
final class MusicXmlReader
{
    /** Where the file written by MusicXmlWriter says how a page without a staff shows its notes. */
    public const NOTATION_FIELD = 'notation';

    /**
     * @param  PartChoice|null  $choice  without one, the only part, or the only one on two staves
     *
     * @throws BadInput also when nothing sounds in it
     */
    public static function read(string $bytes, ?PartChoice $choice = null): ReadScore
    {
        $read = self::anything($bytes, $choice);
        if (! $read->piece->plays(Hand::Right) && ! $read->piece->plays(Hand::Left)) {
            throw BadMusicXml::withoutNotes();
        }

        return $read;
    }

    /**
     * A piece that was kept, also one of rests alone.
     *
     * @throws BadInput when it was not written by MusicXmlWriter
     */
    public static function kept(string $music): Piece
    {
        return self::anything($music, null, isKept: true)->piece;
    }

    /** @throws BadInput */
    private static function anything(string $bytes, ?PartChoice $choice, bool $isKept = false): ReadScore
    {
        $root = ScoreFile::open($bytes, $isKept);
        $parts = new ScoreParts($root);
        $all = $parts->all();
        $choice = self::chosen($all, $choice);
        $state = new FileState(new PieceBuilder($isKept ? Limits::KEPT_EVENTS : Limits::EVENTS));
        foreach ($all as $part) {
            if (! in_array($part->id, [$choice->student, $choice->left, $choice->duet], true)) {
                $state->noted[] = [0, "Bar 1: the part '{$part->name}' is left out."];
            }
        }
        self::header($root, $state);
        $state->onlyHand = $choice->left === null ? null : Hand::Right;
        self::music($parts, $choice->student, $state);
        if ($choice->left !== null) {
            self::addLeft($parts, $choice->left, $state);
        }
        $piece = self::built($state);

        return new ReadScore($piece, array_map(
            static fn (array $noted): Check => new Check('not_read', Place::start($piece->measures[$noted[0]]->number), null, $noted[1]),
            $state->noted,
        ), $choice->duet === null ? null : self::duet($root, $parts, $choice->duet));
    }

    /** @throws BadInput */
    private static function music(ScoreParts $parts, string $id, FileState $state): void
    {
        $homes = new VoiceHomes($parts->measures($id));
        $state->staves = $homes->both ? 2 : 1;
        try {
            foreach ($parts->measures($id) as [$measure, $content]) {
                if ($state->builder->count() >= Limits::MEASURES) {
                    throw BadMusicXml::tooManyBars();
                }
                $printed = $measure->getAttribute('number');
                $state->bar = $printed === '' ? (string) ($state->builder->count() + 1) : mb_substr($printed, 0, 12);
                MeasureReader::read($measure, $content, $state, $homes);
            }
        } catch (InvalidScore $reason) {
            throw BadMusicXml::inBar($state->bar, $reason);
        }
    }

    /** Some programs write the two hands as two parts of one staff each. */
    private static function addLeft(ScoreParts $parts, string $id, FileState $state): void
    {
        $left = new FileState(new PieceBuilder());
        $left->onlyHand = Hand::Left;
        self::music($parts, $id, $left);
        foreach ($left->builder->drafts() as $i => $measure) {
            $beside = $state->builder->drafts()[$i] ?? $state->builder->measure($measure->meter, $measure->key, $measure->number, $measure->implicit, $measure->newLine);
            array_push($beside->events, ...$measure->events);
            array_push($beside->clefs, ...$measure->clefs);
            $beside->filled['L'] = $measure->filled['L'];
            array_push($beside->signs, ...$measure->signs);
        }
        array_push($state->noted, ...$left->noted);
    }

    /** @throws BadInput */
    private static function built(FileState $state): Piece
    {
        if ($state->builder->count() === 0) {
            throw BadMusicXml::withoutBars();
        }
        NavigationWords::settle($state->builder->drafts());
        if (! $state->timed) {
            self::timeFromBars($state);
        }
        try {
            return $state->builder->piece();
        } catch (InvalidScore $reason) {
            throw BadMusicXml::inPiece($reason);
        }
    }

    /** A page without a time signature has the one that most of its bars are as long as. */
    private static function timeFromBars(FileState $state): void
    {
        $lengths = [];
        foreach ($state->builder->drafts() as $draft) {
            if ($draft->struck() !== []) {
                $lengths[] = (string) $draft->length();
            }
        }
        $often = array_count_values($lengths);
        arsort($often);
        $usual = array_key_first($often);
        [$count, $unit] = $usual === null ? [1, 1] : array_map(intval(...), [...explode('/', (string) $usual), '1']);
        while ($unit < 4) {
            [$count, $unit] = [2 * $count, 2 * $unit];
        }
        if ($count > 32 || ! in_array($unit, [4, 8, 16, 32], true)) {
            return;
        }
        $meter = new Meter($count, $unit);
        foreach ($state->builder->drafts() as $draft) {
            $draft->meter = $meter;
        }
        if ($meter->equals(new Meter(4, 4))) {
            return;
        }
        $state->noted[] = [0, "Bar 1: the file has no time signature; {$meter} is taken from the length of its bars."];
    }

    private static function duet(\DOMElement $root, ScoreParts $parts, string $id): Piece
    {
        $state = new FileState(new PieceBuilder());
        self::header($root, $state);
        self::music($parts, $id, $state);

        return self::built($state);
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
    private static function chosen(array $parts, ?PartChoice $choice): PartChoice
    {
        $names = implode(', ', array_map(static fn (ScorePart $part): string => "{$part->id} ({$part->name})", $parts));
        $ids = array_map(static fn (ScorePart $part): string => $part->id, $parts);
        if ($parts === []) {
            throw BadMusicXml::withoutPart();
        }
        if ($choice !== null) {
            foreach (array_diff(array_filter([$choice->student, $choice->left, $choice->duet], is_string(...)), $ids) as $missing) {
                throw BadMusicXml::noSuchPart($missing, $names);
            }

            return $choice;
        }
        $grand = array_values(array_filter($parts, static fn (ScorePart $part): bool => $part->staves > 1));

        return match (true) {
            count($parts) === 1 => new PartChoice($parts[0]->id),
            count($grand) === 1 => new PartChoice($grand[0]->id),
            default => throw BadMusicXml::severalParts(count($parts), $names),
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

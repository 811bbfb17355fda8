<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\Zip;

/** A score as it comes and goes, plain or compressed. Everything in what comes is taken to be hostile. */
final readonly class ScoreFile
{
    public const MAX_BYTES = 5 * 1024 * 1024;

    public const MAX_UNPACKED = 50 * 1024 * 1024;

    private const MAX_XML = 8 * 1024 * 1024;

    /** A document tree takes some three hundred bytes for each of its elements and attributes, outside PHP's own limit. */
    private const MAX_NODES = 120_000;

    /** Of music as it is kept, which says more than most files. */
    private const MAX_KEPT_NODES = 200_000;

    private const MAX_DEPTH = 32;

    private const MAX_ENTRIES = 500;

    private const CONTAINER = 'META-INF/container.xml';

    /**
     * @param  string  $bytes  of a .musicxml, .xml or .mxl file
     * @param  bool  $isKept  it was written here
     *
     * @throws BadInput
     */
    public static function open(string $bytes, bool $isKept = false): \DOMElement
    {
        if (strlen($bytes) > self::MAX_BYTES) {
            throw BadMusicXml::tooLarge();
        }

        return self::parse(str_starts_with($bytes, "PK\x03\x04") ? self::unpack($bytes) : $bytes, $isKept ? self::MAX_KEPT_NODES : self::MAX_NODES);
    }

    private static function parse(string $xml, int $mostNodes): \DOMElement
    {
        if (trim($xml) === '') {
            throw BadMusicXml::emptyFile();
        }
        if (strlen($xml) > self::MAX_XML) {
            throw BadMusicXml::tooLong();
        }
        $xml = self::inUtf8($xml);
        self::refuseEntities($xml);
        $before = libxml_use_internal_errors(true);
        try {
            self::count($xml, $mostNodes);
            $document = new \DOMDocument();
            $document->recover = false;
            $whole = $document->loadXML($xml, LIBXML_NONET | LIBXML_COMPACT | LIBXML_NOBLANKS);
            $error = libxml_get_errors()[0] ?? null;
        } finally {
            libxml_clear_errors();
            libxml_use_internal_errors($before);
        }
        if (! $whole || $document->documentElement === null) {
            self::refuseBroken($xml, $error);
        }
        $root = $document->documentElement;
        if (! in_array($root->localName, ['score-partwise', 'score-timewise'], true)) {
            throw BadMusicXml::beginsOtherwise($root->getLineNo(), $root->localName);
        }

        return $root;
    }

    /** Some programs say one encoding and write another: what the bytes are is believed. */
    private static function inUtf8(string $xml): string
    {
        $utf16 = match (true) {
            str_starts_with($xml, "\xFF\xFE"), str_starts_with($xml, "<\0") => 'UTF-16LE',
            str_starts_with($xml, "\xFE\xFF"), str_starts_with($xml, "\0<") => 'UTF-16BE',
            default => null,
        };
        if ($utf16 !== null) {
            $xml = (string) preg_replace('/^\x{FEFF}/u', '', mb_convert_encoding($xml, 'UTF-8', $utf16));
        }
        $isMislabelled = $utf16 !== null || preg_match('/^(?:\xEF\xBB\xBF)?\s*<\?xml[^>]{0,200}\bencoding\s*=\s*["\']UTF-16/i', substr($xml, 0, 300)) === 1;

        return $isMislabelled ? (string) preg_replace('/\bencoding\s*=\s*(["\'])[^"\']{1,40}\1/', 'encoding="UTF-8"', $xml, 1) : $xml;
    }

    /**
     * Counts what the tree would hold, before it is built.
     *
     * @throws BadInput
     */
    private static function count(string $xml, int $most): void
    {
        $reader = new \XMLReader();
        $reader->XML($xml, null, LIBXML_NONET | LIBXML_COMPACT);
        $nodes = 0;
        while (@$reader->read()) {
            if ($reader->nodeType !== \XMLReader::ELEMENT) {
                continue;
            }
            $nodes += 1 + $reader->attributeCount;
            if ($nodes > $most) {
                throw BadMusicXml::tooManyElements($most);
            }
            if ($reader->depth > self::MAX_DEPTH) {
                throw BadMusicXml::tooDeep(self::MAX_DEPTH);
            }
        }
        $reader->close();
    }

    private static function refuseEntities(string $xml): void
    {
        $at = stripos($xml, '<!ENTITY');
        if ($at !== false) {
            $line = substr_count($xml, "\n", 0, $at) + 1;
            throw BadMusicXml::ownEntities($line);
        }
    }

    private static function refuseBroken(string $xml, ?\LibXMLError $error): never
    {
        $line = $error instanceof \LibXMLError && $error->line > 0 ? $error->line : 1;
        if (preg_match('/<score-(part|time)wise\b/', substr($xml, 0, 4096)) !== 1) {
            throw BadMusicXml::notMusicXml();
        }
        $measures = preg_match_all('/<measure[\s>]/', $xml);
        $bar = $measures > 0 ? " in bar {$measures} of the file" : '';
        throw BadMusicXml::cutShort($line, $bar);
    }

    private static function unpack(string $bytes): string
    {
        return Zip::read($bytes, 'compressed file', self::MAX_ENTRIES, self::MAX_UNPACKED, static fn (Zip $zip): string => self::entry($zip, self::rootFile($zip)));
    }

    private static function rootFile(Zip $zip): string
    {
        $container = self::entry($zip, self::CONTAINER);
        if (preg_match('/<rootfile\b[^>]*\bfull-path\s*=\s*["\']([^"\']+)["\']/', $container, $found) !== 1) {
            throw BadMusicXml::namesNoScore(self::CONTAINER);
        }

        return html_entity_decode($found[1], ENT_QUOTES | ENT_XML1);
    }

    private static function entry(Zip $zip, string $name): string
    {
        return $zip->entry($name, self::MAX_XML, "The compressed file has no '{$name}' in it, so it is not a MusicXML archive. Export it again.");
    }

    /** A score as a compressed file (.mxl). */
    public static function compressed(string $xml): string
    {
        return Zip::pack([
            'mimetype' => 'application/vnd.recordare.musicxml',
            self::CONTAINER => '<?xml version="1.0" encoding="UTF-8"?><container><rootfiles><rootfile full-path="score.musicxml" media-type="application/vnd.recordare.musicxml+xml"/></rootfiles></container>',
            'score.musicxml' => $xml,
        ]);
    }
}

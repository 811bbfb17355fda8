<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Formats\BadInput;

/** Opens an uploaded score, plain or compressed. Everything in it is taken to be hostile. */
final readonly class ScoreFile
{
    public const MAX_BYTES = 5 * 1024 * 1024;

    public const MAX_UNPACKED = 50 * 1024 * 1024;

    /** A document tree takes some ten times its text in memory. */
    private const MAX_XML = 12 * 1024 * 1024;

    private const MAX_ENTRIES = 500;

    /**
     * @param  string  $bytes  of a .musicxml, .xml or .mxl file
     *
     * @throws BadInput
     */
    public static function open(string $bytes): \DOMElement
    {
        if (strlen($bytes) > self::MAX_BYTES) {
            throw new BadInput('The file is over 5 MB. A page of music is far smaller; export this one piece alone.');
        }
        if (trim($bytes) === '') {
            throw new BadInput('The file is empty.');
        }

        return self::parse(str_starts_with($bytes, "PK\x03\x04") ? self::unpack($bytes) : $bytes);
    }

    private static function parse(string $xml): \DOMElement
    {
        if (strlen($xml) > self::MAX_XML) {
            throw new BadInput('The score is too long to be one piece. Export the page you need alone.');
        }
        $before = libxml_use_internal_errors(true);
        try {
            $document = new \DOMDocument();
            $document->recover = false;
            $whole = $document->loadXML($xml, LIBXML_NONET | LIBXML_COMPACT);
            $error = libxml_get_errors()[0] ?? null;
        } finally {
            libxml_clear_errors();
            libxml_use_internal_errors($before);
        }
        self::refuseEntities($document, $xml);
        if (! $whole || $document->documentElement === null) {
            self::refuseBroken($xml, $error);
        }
        $root = $document->documentElement;
        if (! in_array($root->localName, ['score-partwise', 'score-timewise'], true)) {
            throw new BadInput('Line '.$root->getLineNo().": this is not MusicXML; it begins with <{$root->localName}>. Export the piece as MusicXML and try again.");
        }

        return $root;
    }

    private static function refuseEntities(\DOMDocument $document, string $xml): void
    {
        $declared = str_contains((string) $document->doctype?->internalSubset, '<!ENTITY') || ($document->doctype?->entities->length ?? 0) > 0;
        $at = stripos($xml, '<!ENTITY');
        if ($declared || $at !== false) {
            $line = $at === false ? 1 : substr_count($xml, "\n", 0, $at) + 1;
            throw new BadInput("Line {$line}: the file declares entities of its own, which a score never needs. Export it again without them.");
        }
    }

    private static function refuseBroken(string $xml, ?\LibXMLError $error): never
    {
        $line = $error instanceof \LibXMLError && $error->line > 0 ? $error->line : 1;
        if (preg_match('/<score-(part|time)wise\b/', substr($xml, 0, 4096)) !== 1) {
            throw new BadInput('Line 1: this is not MusicXML. Export the piece as MusicXML (.musicxml or .mxl) and try again.');
        }
        $measures = preg_match_all('/<measure[\s>]/', $xml);
        $bar = $measures > 0 ? " in bar {$measures} of the file" : '';
        throw new BadInput("Line {$line}: the file is cut short or damaged{$bar}. Export it again.");
    }

    private static function unpack(string $bytes): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'score');
        $zip = new \ZipArchive();
        try {
            file_put_contents($path, $bytes);
            if ($zip->open($path, \ZipArchive::RDONLY) !== true) {
                throw new BadInput('The compressed file is cut short or damaged. Export it again.');
            }
            $total = 0;
            if ($zip->numFiles > self::MAX_ENTRIES) {
                throw new BadInput('The compressed file holds too many files for one score.');
            }
            for ($i = 0; $i < $zip->numFiles; $i++) {
                $total += $zip->statIndex($i)['size'] ?? 0;
            }
            if ($total > self::MAX_UNPACKED) {
                throw new BadInput('The compressed file unpacks to more than 50 MB. Export this one piece alone.');
            }

            return self::entry($zip, self::rootFile($zip));
        } finally {
            if ($zip->filename !== '') {
                $zip->close();
            }
            unlink($path);
        }
    }

    private static function rootFile(\ZipArchive $zip): string
    {
        $container = self::entry($zip, 'META-INF/container.xml');
        if (preg_match('/<rootfile\b[^>]*\bfull-path\s*=\s*["\']([^"\']+)["\']/', $container, $found) !== 1) {
            throw new BadInput('META-INF/container.xml names no score. Export the file again.');
        }

        return html_entity_decode($found[1], ENT_QUOTES | ENT_XML1);
    }

    private static function entry(\ZipArchive $zip, string $name): string
    {
        $stream = $zip->getStream($name);
        if ($stream === false) {
            throw new BadInput("The compressed file has no '{$name}' in it, so it is not a MusicXML archive. Export it again.");
        }
        // The archive's own figures may lie about the size, so the reading itself is bounded too.
        $text = @stream_get_contents($stream, self::MAX_XML + 1);
        fclose($stream);
        if ($text === false) {
            throw new BadInput("'{$name}' in the compressed file is damaged. Export it again.");
        }

        return $text;
    }
}

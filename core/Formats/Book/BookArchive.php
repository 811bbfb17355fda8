<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Book;

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\Csv;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\Zip;

/**
 * A book with its pages and pieces as one archive of open formats: `book.csv`, `contents.csv` and `pieces.csv`, and a
 * folder of MusicXML files with their shorthand as text.
 */
final readonly class BookArchive
{
    public const MAX_BYTES = 20 * 1024 * 1024;

    private const MAX_UNPACKED = 100 * 1024 * 1024;

    private const MAX_ENTRIES = 3_000;

    private const MAX_FILE = 12 * 1024 * 1024;

    private const PIECES = ['page', 'label', 'title', 'music', 'shorthand', 'duet'];

    /**
     * @param  list<ContentsRow>  $contents
     * @param  list<BookPiece>  $pieces
     */
    public function __construct(public string $title, public string $level, public array $contents, public array $pieces) {}

    public function packed(): string
    {
        $files = [
            'book.csv' => Csv::write([['title', 'level'], [$this->title, $this->level]]),
            'contents.csv' => Contents::write($this->contents),
        ];
        $rows = [self::PIECES];
        foreach ($this->pieces as $i => $piece) {
            $name = sprintf('pieces/%03d%s-%d', $piece->page, preg_replace('/[^A-Za-z0-9]/', '', $piece->label), $i + 1);
            $parts = array_filter(['musicxml' => $piece->music, 'txt' => $piece->shorthand, 'duet.musicxml' => $piece->duet], is_string(...));
            foreach ($parts as $ending => $content) {
                $files["{$name}.{$ending}"] = $content;
            }
            $rows[] = [
                $piece->page,
                $piece->label,
                $piece->title,
                "{$name}.musicxml",
                isset($parts['txt']) ? "{$name}.txt" : '',
                isset($parts['duet.musicxml']) ? "{$name}.duet.musicxml" : '',
            ];
        }

        return Zip::pack([...$files, 'pieces.csv' => Csv::write($rows)]);
    }

    /** @throws BadInput with the file and row */
    public static function read(string $bytes): self
    {
        if (strlen($bytes) > self::MAX_BYTES) {
            throw new BadInput('The archive is over 20 MB.');
        }

        return Zip::read($bytes, 'archive', self::MAX_ENTRIES, self::MAX_UNPACKED, self::unpacked(...));
    }

    private static function unpacked(Zip $zip): self
    {
        $file = static fn (string $name): string => $zip->entry($name, self::MAX_FILE, "The archive has no '{$name}' in it, so it is not a book. Export the book again.");
        $book = array_values(Csv::read($file('book.csv')))[1] ?? [];
        $contents = Contents::read($file('contents.csv'));
        if ($contents->errors !== []) {
            throw new BadInput("contents.csv, {$contents->errors[0]}");
        }
        $pages = array_map(static fn (ContentsRow $row): int => $row->page, $contents->rows);
        $pieces = [];
        foreach (array_slice(Csv::read($file('pieces.csv')), 1, null, true) as $number => $cells) {
            [$page, $label, $title, $music, $shorthand, $duet] = array_pad($cells, count(self::PIECES), '');
            if (! in_array((int) $page, $pages, true)) {
                throw new BadInput("pieces.csv, row {$number}: the book has no page '".mb_substr($page, 0, 20)."'.");
            }
            $pieces[] = new BookPiece(
                (int) $page,
                mb_substr($label, 0, 4),
                mb_substr($title, 0, 120),
                self::music($file($music), $music),
                $shorthand === '' ? null : mb_substr($file($shorthand), 0, 60_000),
                $duet === '' ? null : self::music($file($duet), $duet),
            );
        }
        if (($book[0] ?? '') === '') {
            throw new BadInput('book.csv, row 2: the book has no title.');
        }

        return new self(mb_substr($book[0], 0, 120), mb_substr($book[1] ?? '', 0, 60), $contents->rows, $pieces);
    }

    /** @throws BadInput when it cannot be read, with the file it is in */
    private static function music(string $xml, string $name): string
    {
        try {
            MusicXmlReader::read($xml);
        } catch (BadInput $reason) {
            throw new BadInput("{$name}: {$reason->getMessage()}", previous: $reason);
        }

        return $xml;
    }
}

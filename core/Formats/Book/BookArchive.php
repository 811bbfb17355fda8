<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Book;

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\Csv;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\Zip;

/**
 * A book with its pages and pieces as one archive of open formats: `book.csv`, `contents.csv` and `pieces.csv`, and a
 * folder of MusicXML files with their shorthand as text, own fingers and verdicts as tables. However many pieces there
 * are, one at a time is held.
 */
final readonly class BookArchive
{
    public const MAX_BYTES = 20 * 1024 * 1024;

    private const MAX_UNPACKED = 600 * 1024 * 1024;

    private const MAX_ENTRIES = 10_000;

    private const MAX_FILE = 12 * 1024 * 1024;

    private const MAX_TEXT = 60_000;

    private const OCTAVES = 2;

    /** By the ending of the file; an archive of before may have fewer columns. */
    private const PIECES = ['page', 'label', 'title', 'music', 'shorthand', 'duet', 'octave', 'fingers', 'verdicts'];

    /**
     * @param  list<ContentsRow>  $contents
     * @param  iterable<BookPiece>  $pieces
     */
    public function __construct(public string $title, public string $level, public array $contents, public iterable $pieces) {}

    /** @param string $path of the file that is written */
    public function pack(string $path): void
    {
        Zip::packTo($path, $this->files());
    }

    /** @return iterable<string, string> contents by name */
    private function files(): iterable
    {
        yield 'book.csv' => Csv::write([['title', 'level'], [$this->title, $this->level]]);
        yield 'contents.csv' => Contents::write($this->contents);
        $rows = [self::PIECES];
        $count = 0;
        foreach ($this->pieces as $piece) {
            $name = sprintf('pieces/%03d%s-%d', $piece->page, preg_replace('/[^A-Za-z0-9]/', '', $piece->label), ++$count);
            $parts = array_filter([
                'musicxml' => $piece->music, 'txt' => $piece->shorthand, 'duet.musicxml' => $piece->duet,
                'fingers.csv' => $piece->fingers === [] ? null : PieceTables::fingers($piece->fingers),
                'verdicts.csv' => $piece->verdicts === [] ? null : PieceTables::verdicts($piece->verdicts),
            ], is_string(...));
            foreach ($parts as $ending => $content) {
                yield "{$name}.{$ending}" => $content;
            }
            $file = static fn (string $ending): string => isset($parts[$ending]) ? "{$name}.{$ending}" : '';
            $rows[] = [$piece->page, $piece->label, $piece->title, $file('musicxml'), $file('txt'), $file('duet.musicxml'), $piece->octave, $file('fingers.csv'), $file('verdicts.csv')];
        }
        yield 'pieces.csv' => Csv::write($rows);
    }

    /**
     * @template T
     *
     * @param  \Closure(self): T  $use  what is done with the book; its pieces are read as they are asked for
     * @return T
     *
     * @throws BadInput with the file and row
     */
    public static function read(string $path, \Closure $use): mixed
    {
        if (filesize($path) > self::MAX_BYTES) {
            throw BadBook::tooLarge();
        }

        return Zip::open($path, 'archive', self::MAX_ENTRIES, self::MAX_UNPACKED, static fn (Zip $zip): mixed => $use(self::unpacked($zip)));
    }

    private static function unpacked(Zip $zip): self
    {
        $book = array_values(Csv::read(self::file($zip, 'book.csv')))[1] ?? [];
        $contents = Contents::read(self::file($zip, 'contents.csv'));
        if ($contents->errors !== []) {
            throw BadBook::inContents($contents->errors[0]);
        }
        if (($book[0] ?? '') === '') {
            throw BadBook::withoutTitle();
        }

        return new self(mb_substr($book[0], 0, 120), mb_substr($book[1] ?? '', 0, 60), $contents->rows, self::pieces($zip, $contents->rows));
    }

    /**
     * @param  list<ContentsRow>  $contents
     * @return \Generator<int, BookPiece>
     */
    private static function pieces(Zip $zip, array $contents): \Generator
    {
        $pages = array_fill_keys(array_map(static fn (ContentsRow $row): int => $row->page, $contents), true);
        foreach (array_slice(Csv::read(self::file($zip, 'pieces.csv')), 1, null, true) as $number => $cells) {
            [$page, $label, $title, $music, $shorthand, $duet, $octave, $fingers, $verdicts] = array_pad($cells, count(self::PIECES), '');
            if (! isset($pages[(int) $page])) {
                throw BadBook::noSuchPage($number, $page);
            }
            if (preg_match('/^(-?\d)?$/D', $octave) !== 1 || abs((int) $octave) > self::OCTAVES) {
                throw BadBook::noOctave($number);
            }
            yield new BookPiece(
                (int) $page,
                mb_substr($label, 0, 4),
                mb_substr($title, 0, 120),
                self::music(self::file($zip, $music), $music),
                $shorthand === '' ? null : mb_substr(self::file($zip, $shorthand), 0, self::MAX_TEXT),
                $duet === '' ? null : self::music(self::file($zip, $duet), $duet),
                (int) $octave,
                $fingers === '' ? [] : PieceTables::readFingers(self::file($zip, $fingers), $fingers),
                $verdicts === '' ? [] : PieceTables::readVerdicts(self::file($zip, $verdicts), $verdicts),
            );
        }
    }

    /** @throws BadInput */
    private static function file(Zip $zip, string $name): string
    {
        return $zip->entry($name, self::MAX_FILE, "The archive has no '".mb_substr($name, 0, 80)."' in it, so it is not a book. Export the book again.");
    }

    /** @throws BadInput when it cannot be read, with the file it is in */
    private static function music(string $xml, string $name): string
    {
        try {
            MusicXmlReader::kept($xml);
        } catch (BadInput $reason) {
            throw BadBook::inFile($name, $reason);
        }

        return $xml;
    }
}

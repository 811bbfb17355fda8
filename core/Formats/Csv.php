<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

/** Tables as comma-separated text; what comes in may be divided by semicolons or tabs as well. */
final readonly class Csv
{
    /** The byte order mark of UTF-8. */
    private const MARK = "\xEF\xBB\xBF";

    private const MAX_BYTES = 1024 * 1024;

    private const MAX_ROWS = 2_000;

    /**
     * @return array<int, list<string>> rows by their number in the file, from 1; empty ones are left out
     *
     * @throws BadInput
     */
    public static function read(string $bytes): array
    {
        if (strlen($bytes) > self::MAX_BYTES) {
            throw BadTable::tooLarge();
        }
        $text = self::inUtf8($bytes);
        $first = (string) strtok($text, "\n");
        $counts = array_map(static fn (string $divider): int => substr_count($first, $divider), [',' => ',', ';' => ';', "\t" => "\t"]);
        $divider = (string) array_search(max($counts), $counts, true);
        $stream = fopen('php://temp', 'r+');
        if ($stream === false) {
            throw BadTable::notNow();
        }
        fwrite($stream, $text);
        rewind($stream);
        $rows = [];
        for ($number = 1; ($cells = fgetcsv($stream, null, $divider === '' ? ',' : $divider, '"', '')) !== false; $number++) {
            $cells = array_map(static fn (?string $cell): string => (string) preg_replace("/^'(?=[=+\\-@])/", '', trim((string) $cell)), $cells);
            if (implode('', $cells) !== '') {
                $rows[$number] = $cells;
            }
            if ($number > self::MAX_ROWS) {
                throw BadTable::tooManyRows($number, self::MAX_ROWS);
            }
        }
        fclose($stream);

        return $rows;
    }

    /** A spreadsheet writes what it likes: UTF-8 with or without its mark, UTF-16, or the letters of an old machine. */
    private static function inUtf8(string $bytes): string
    {
        $utf16 = match (true) {
            str_starts_with($bytes, "\xFF\xFE") => 'UTF-16LE',
            str_starts_with($bytes, "\xFE\xFF") => 'UTF-16BE',
            strlen($bytes) > 1 && $bytes[1] === "\0" => 'UTF-16LE',
            str_starts_with($bytes, "\0") => 'UTF-16BE',
            default => null,
        };
        $text = match (true) {
            $utf16 !== null => mb_convert_encoding($bytes, 'UTF-8', $utf16),
            mb_check_encoding($bytes, 'UTF-8') => $bytes,
            default => mb_convert_encoding($bytes, 'UTF-8', 'Windows-1252'),
        };

        return str_starts_with($text, self::MARK) ? substr($text, strlen(self::MARK)) : $text;
    }

    /**
     * With the mark that tells a spreadsheet that it is UTF-8.
     *
     * @param  list<list<string|int>>  $rows
     */
    public static function write(array $rows): string
    {
        return self::MARK.self::lines($rows);
    }

    /**
     * What follows such a beginning.
     *
     * @param  list<list<string|int>>  $rows
     */
    public static function lines(array $rows): string
    {
        return implode('', array_map(static fn (array $row): string => implode(',', array_map(self::cell(...), $row))."\r\n", $rows));
    }

    private static function cell(string|int $cell): string
    {
        $text = (string) $cell;
        // A spreadsheet would take a text that begins like this for a formula.
        $text = is_string($cell) && preg_match('/^[=+\-@\t\r]/', $text) === 1 ? "'{$text}" : $text;

        return preg_match('/[",\r\n;]/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
    }
}

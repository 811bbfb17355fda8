<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

/** Tables as comma-separated text; what comes in may be divided by semicolons or tabs as well. */
final readonly class Csv
{
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
            throw new BadInput('The table is over 1 MB. A book has fewer pages.');
        }
        $text = str_starts_with($bytes, "\xEF\xBB\xBF") ? substr($bytes, 3) : $bytes;
        $text = mb_check_encoding($text, 'UTF-8') ? $text : mb_convert_encoding($text, 'UTF-8', 'Windows-1252');
        $first = (string) strtok((string) $text, "\n");
        $counts = array_map(static fn (string $divider): int => substr_count($first, $divider), [',' => ',', ';' => ';', "\t" => "\t"]);
        $divider = (string) array_search(max($counts), $counts, true);
        $stream = fopen('php://temp', 'r+');
        if ($stream === false) {
            throw new BadInput('The table cannot be read now. Try again.');
        }
        fwrite($stream, (string) $text);
        rewind($stream);
        $rows = [];
        for ($number = 1; ($cells = fgetcsv($stream, null, $divider === '' ? ',' : $divider, '"', '')) !== false; $number++) {
            $cells = array_map(static fn (?string $cell): string => (string) preg_replace("/^'(?=[=+\\-@])/", '', trim((string) $cell)), $cells);
            if (implode('', $cells) !== '') {
                $rows[$number] = $cells;
            }
            if ($number > self::MAX_ROWS) {
                throw new BadInput('Row '.$number.': the table has more than '.self::MAX_ROWS.' rows. A book has fewer pages.');
            }
        }
        fclose($stream);

        return $rows;
    }

    /** @param list<list<string|int>> $rows */
    public static function write(array $rows): string
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

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Book;

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\Csv;

/** A book's table of contents: page, title, kind, and what it introduces. */
final readonly class Contents
{
    private const COLUMNS = ['page', 'title', 'kind', 'introduces'];

    private const HEADINGS = [
        'page' => 'page', 'number' => 'page', 'p.' => 'page', 'title' => 'title', 'name' => 'title', 'piece' => 'title',
        'kind' => 'kind', 'type' => 'kind', 'introduces' => 'introduces', 'what it introduces' => 'introduces', 'new' => 'introduces',
    ];

    /**
     * @param  list<ContentsRow>  $rows
     * @param  list<string>  $errors  each with its row; none of the rows counts when there are any
     */
    private function __construct(public array $rows, public array $errors) {}

    /** @throws BadInput when it is no table at all */
    public static function read(string $csv): self
    {
        $table = Csv::read($csv);
        if ($table === []) {
            throw BadBook::emptyTable();
        }
        $columns = self::headings($table[array_key_first($table)]);
        if ($columns !== null) {
            unset($table[array_key_first($table)]);
        }
        $rows = [];
        $errors = [];
        $seen = [];
        foreach ($table as $number => $cells) {
            $named = [];
            foreach ($columns ?? self::COLUMNS as $i => $column) {
                $named[$column] = $cells[$i] ?? '';
            }
            $row = self::row($named, $number, $errors);
            if ($row !== null && isset($seen[$row->page])) {
                $errors[] = "Row {$number}: page {$row->page} stands in row {$seen[$row->page]} already.";
            }
            if ($row !== null) {
                $seen[$row->page] ??= $number;
                $rows[] = $row;
            }
        }

        return new self($errors === [] ? $rows : [], $errors);
    }

    /** @param list<ContentsRow> $rows */
    public static function write(array $rows): string
    {
        return Csv::write([self::COLUMNS, ...array_map(static fn (ContentsRow $row): array => [$row->page, $row->title, $row->kind->value, $row->introduces], $rows)]);
    }

    /**
     * @param  list<string>  $cells
     * @return array<int, string>|null the columns by their place; null when it is no heading
     */
    private static function headings(array $cells): ?array
    {
        $columns = [];
        foreach ($cells as $i => $cell) {
            $column = self::HEADINGS[mb_strtolower($cell)] ?? null;
            if ($column !== null) {
                $columns[$i] = $column;
            }
        }

        return in_array('page', $columns, true) ? $columns : null;
    }

    /**
     * @param  array<string, string>  $cells  by column
     * @param  list<string>  $errors
     */
    private static function row(array $cells, int $number, array &$errors): ?ContentsRow
    {
        $before = count($errors);
        $page = $cells['page'] ?? '';
        $kind = PageKind::of($cells['kind'] ?? '');
        if (preg_match('/^[1-9]\d{0,2}$/', $page) !== 1) {
            $errors[] = "Row {$number}: '".mb_substr($page, 0, 20)."' is not a page number from 1 to 999.";
        }
        if ($kind === null) {
            $errors[] = "Row {$number}: '".mb_substr($cells['kind'] ?? '', 0, 20)."' is not a kind of page; they are pieces, theory, listening and duet.";
        }
        foreach (['title' => 120, 'introduces' => 190] as $column => $most) {
            if (mb_strlen($cells[$column] ?? '') > $most) {
                $errors[] = "Row {$number}: the {$column} is longer than {$most} characters.";
            }
        }

        return $kind === null || count($errors) > $before ? null : new ContentsRow((int) $page, $cells['title'] ?? '', $kind, $cells['introduces'] ?? '');
    }
}

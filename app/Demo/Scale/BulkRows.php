<?php

declare(strict_types=1);

namespace App\Demo\Scale;

use Illuminate\Support\Facades\DB;

/** Rows that are made by the thousand: numbered here, changed while they are kept, and written table by table. */
final class BulkRows
{
    /** In the order of what refers to what. */
    private const TABLES = ['learnings', 'stages', 'stage_waits', 'stage_bars', 'weeks', 'tasks', 'task_bars', 'task_days', 'practices', 'lessons', 'slips'];

    private const AT_ONCE = 500;

    /** @var array<string, array<int, array<string, int|string|null>>> by table and number */
    private array $rows = [];

    /** @var array<string, int> the next number of each table */
    private array $next = [];

    /**
     * @param  array<string, int|string|null>  $row  with the same columns as every other of its table
     * @return int its number
     */
    public function add(string $table, array $row): int
    {
        $id = $this->next[$table] ??= 1 + (int) DB::table($table)->max('id');
        $this->rows[$table][$id] = ['id' => $id, ...$row];
        $this->next[$table]++;

        return $id;
    }

    /**
     * Of a table whose rows have no number.
     *
     * @param  array<string, int|string|null>  $row
     */
    public function join(string $table, array $row): void
    {
        $this->rows[$table][] = $row;
    }

    /** @param array<string, int|string|null> $columns */
    public function change(string $table, int $id, array $columns): void
    {
        $this->rows[$table][$id] = [...$this->rows[$table][$id], ...$columns];
    }

    public function write(): void
    {
        foreach (self::TABLES as $table) {
            foreach (array_chunk($this->rows[$table] ?? [], self::AT_ONCE) as $some) {
                DB::table($table)->insert($some);
            }
        }
        [$this->rows, $this->next] = [[], []];
    }
}

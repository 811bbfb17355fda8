<?php

declare(strict_types=1);

namespace App\Archive;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The tables that hold a studio, each after those it refers to. The database itself is asked, so that none is forgotten. */
final class Tables
{
    /** Accounts and the machinery stay where they are. */
    private const NOT_KEPT = ['users', 'studios', ...self::PASSING];

    /** Pictures of pages while they are read and looked at, archives while they are packed, demo studios while they are made. */
    private const PASSING = ['page_photos', 'photo_lines', 'photo_links', 'archives', 'demos'];

    /** @return array<string, array<string, string>> by table: the table that a column refers to, by column */
    public static function inOrder(): array
    {
        $refers = [];
        // All at once: asked table by table they are sixty questions.
        $keys = DB::table('information_schema.key_column_usage')->where('constraint_schema', Schema::getCurrentSchemaName())->whereNotNull('referenced_table_name')->where('ordinal_position', 1)
            ->orderBy('table_name')->orderBy('constraint_name')->get(['table_name as of', 'column_name as column', 'referenced_table_name as to']);
        foreach ($keys as $key) {
            $refers[(string) $key->of][(string) $key->column] = (string) $key->to;
        }
        $refers = array_diff_key($refers, array_flip(self::NOT_KEPT));
        $ordered = [];
        while (count($ordered) < count($refers)) {
            $before = count($ordered);
            foreach (array_diff_key($refers, $ordered) as $table => $columns) {
                if (array_diff($columns, array_keys($ordered), self::NOT_KEPT, [$table]) === []) {
                    $ordered[$table] = $columns;
                }
            }
            if (count($ordered) === $before) {
                throw new \LogicException('tables refer to each other in a circle');
            }
        }

        return $ordered;
    }

    /**
     * Those of an archive. While the application changes over, the schema may be a release further than this code: what
     * that has besides is left alone.
     *
     * @return array<string, array<string, string>> likewise
     */
    public static function known(): array
    {
        return array_intersect_key(self::inOrder(), Columns::all());
    }
}

<?php

declare(strict_types=1);

namespace App\Student\Learning;

use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Path\Petal;
use Nasturtium\Core\Path\StageKind;

/** The petals of pages that are signed off, counted by the database: a student of many years has hundreds of their stages. */
final class Petals
{
    /**
     * @param  list<int>  $learnings  ids of pages that are signed off
     * @return array<int, list<PetalResource>> by learning
     */
    public static function of(array $learnings): array
    {
        $rows = DB::table('stages')->whereIn('stages.learning_id', $learnings)->whereNotNull('stages.position')
            ->groupBy('stages.learning_id', 'petal_name')->selectRaw('stages.learning_id, '.self::petal().' as petal_name, sum(stages.passed_on is not null) as passed, count(*) as stages')->get();
        $counted = [];
        foreach ($rows as $row) {
            $counted[$row->learning_id] ??= [];
            $petal = Petal::tryFrom($row->petal_name ?? '');
            if ($petal !== null) {
                $counted[$row->learning_id][$petal->value] = new PetalResource($petal, (int) $row->passed, $row->stages);
            }
        }

        return array_map(static fn (array $of): array => array_map(static fn (Petal $petal): PetalResource => $of[$petal->value] ?? new PetalResource($petal, 0, 0), Petal::cases()), $counted);
    }

    /** A stage of the trade knows its petal, a teacher's own says it. */
    private static function petal(): string
    {
        $when = '';
        foreach (StageKind::cases() as $kind) {
            if ($kind->petal() !== null) {
                $when .= " when '{$kind->value}' then '{$kind->petal()->value}'";
            }
        }

        return "coalesce(stages.petal, case stages.kind{$when} end)";
    }
}

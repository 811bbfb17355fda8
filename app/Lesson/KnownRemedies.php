<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Http\English;
use App\Week\Remedies\FindRemedies;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Practice\Slip;
use Nasturtium\Core\Score\Hand;

/**
 * The slips of a lesson and their remedies. Finding remedies means reading the music, so they are kept with the lesson,
 * and with them the mark of all they follow from: when a slip, a tempo or the music is another, they are found anew.
 */
final class KnownRemedies
{
    /** Counted up when remedies are worked out or said otherwise. */
    private const VERSION = 2;

    /** @return array{list<SlipResource>, list<RemedyResource>} */
    public static function of(Lesson $lesson): array
    {
        $rows = self::rows($lesson);
        $own = $rows->where('lesson_id', $lesson->id);
        $slips = array_values($own->map(static fn (\stdClass $row): SlipResource => new SlipResource(
            $row->id,
            $row->task_id,
            Slip::from($row->kind),
            Slip::from($row->kind)->words(),
            $row->measure,
            $row->last_measure ?? $row->measure,
            $row->client_key,
            English::text($row->place),
            Hand::tryFrom($row->hand ?? ''),
        ))->all());

        return [$slips, $slips === [] ? [] : self::remedies($lesson, md5(self::VERSION.English::words()->value.$rows->toJson()))];
    }

    /** @return Collection<int, \stdClass> all that the remedies follow from: slips of this lesson and of the weeks before, their tempo and music */
    private static function rows(Lesson $lesson): Collection
    {
        return DB::table('lessons')->join('slips', 'slips.lesson_id', '=', 'lessons.id')->join('tasks', 'tasks.id', '=', 'slips.task_id')
            ->leftJoin('learnings', 'learnings.id', '=', 'tasks.learning_id')->leftJoin('pieces', 'pieces.id', '=', 'learnings.piece_id')
            ->where('lessons.student_id', $lesson->student_id)->whereBetween('lessons.held_on', [FindRemedies::since($lesson), $lesson->held_on->toDateString()])->orderBy('slips.id')
            ->get([
                'slips.id', 'slips.lesson_id', 'slips.task_id', 'slips.kind', 'slips.measure', 'slips.last_measure', 'slips.from_beat', 'slips.to_beat', 'slips.client_key', 'slips.place', 'slips.hand',
                'tasks.tempo', 'tasks.learning_id', 'tasks.deleted_at', 'learnings.state', 'pieces.revision', 'pieces.title',
            ]);
    }

    /** @return list<RemedyResource> */
    private static function remedies(Lesson $lesson, string $from): array
    {
        $known = json_decode($lesson->remedies ?? '', true);
        if (is_array($known) && ($known['from'] ?? '') === $from) {
            return array_map(static fn (array $of): RemedyResource => new RemedyResource(...[...$of, 'kind' => Slip::from($of['kind']), 'hand' => Hand::tryFrom($of['hand'] ?? '')]), array_values($known['remedies']));
        }
        $found = array_map(static fn (array $one): RemedyResource => RemedyResource::of(...$one), FindRemedies::of($lesson));
        DB::table('lessons')->where('id', $lesson->id)->update(['remedies' => json_encode(['from' => $from, 'remedies' => $found], JSON_THROW_ON_ERROR)]);

        return $found;
    }
}

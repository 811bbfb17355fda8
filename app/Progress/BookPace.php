<?php

declare(strict_types=1);

namespace App\Progress;

use App\Student\Student;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Practice\Pace;

/** How many pages are signed off in a lesson week, and when each book that the student is in will end. */
final class BookPace
{
    /**
     * @param  Collection<int, \stdClass>  $lived  weeks in order, the last ones among them
     * @param  Collection<int, \stdClass>  $pages  of LearntPages
     * @return list<PaceResource>
     */
    public static function of(Student $student, Collection $lived, Collection $pages, CarbonImmutable $today): array
    {
        $weeks = $lived->where('ends_on', '<=', $today->toDateString())->take(-Pace::WEEKS);
        if ($weeks->isEmpty()) {
            return [];
        }
        $finished = $pages->whereNotNull('finished_on');
        $left = DB::table('pages')->whereIn('book_id', $pages->pluck('book_id')->unique())->whereIn('id', DB::table('pieces')->select('page_id'))
            ->whereNotIn('id', DB::table('skipped_pages')->where('student_id', $student->id)->select('page_id'))
            ->whereNotIn('id', $finished->pluck('page_id'))->groupBy('book_id')->selectRaw('book_id, count(*) as pages')->pluck('pages', 'book_id');
        $lately = $finished->where('finished_on', '>', $weeks->first()->starts_on ?? '')->groupBy('book_id');
        $found = [];
        foreach ($pages->groupBy('book_id') as $book => $of) {
            $signedOff = $lately->get($book, new Collection());
            $perWeek = $weeks->map(static fn (\stdClass $week): int => $signedOff->filter(static fn (\stdClass $page): bool => $page->finished_on > $week->starts_on && $page->finished_on <= $week->ends_on)->unique('page_id')->count());
            $pace = Pace::of([...array_values($perWeek->all())] ?: [0]);
            [$soon, $late] = $pace->weeksFor((int) $left->get($book, 0));
            $found[] = new PaceResource(
                $of[0]->book,
                (int) $left->get($book, 0),
                (string) $pace->median,
                $soon === null ? null : $today->addWeeks($soon)->toDateString(),
                $late === null ? null : $today->addWeeks($late)->toDateString(),
            );
        }

        return $found;
    }
}

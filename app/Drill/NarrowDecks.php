<?php

declare(strict_types=1);

namespace App\Drill;

use App\Page\Piece\Piece;
use App\Student\Learning\Learning;
use App\Student\Learning\NextPages;
use App\Student\Student;
use App\Week\Task;
use App\Week\Week;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Drill\DrillKind;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Reading\NoteStatus;

/**
 * Drills of a few notes: those of the week that was sent, the notes of its remedies, and before a page that is open or
 * comes next what it has that is not secure (trade 15.5).
 */
final class NarrowDecks
{
    /** What a page asks: its notes are found on the piano. */
    private const OF_PAGES = DrillKind::Find;

    /** What a remedy asks: notes that were taken for others are named. */
    private const OF_REMEDIES = DrillKind::Name;

    /** Open pages that are looked at, the newest. */
    private const PAGES = 3;

    /**
     * @param  array<string, NoteStatus>  $known
     * @return list<NarrowDeck>
     */
    public static function of(Student $student, CarbonImmutable $today, array $known): array
    {
        $decks = [];
        $drilled = [];
        $week = Week::query()->where('student_id', $student->id)->whereNotNull('sent_at')->where('starts_on', '<=', $today->toDateString())->orderByDesc('starts_on')->first();
        $tasks = Task::query()->where('week_id', $week?->id)->whereIn('kind', [TaskKind::Drill, TaskKind::Remedy])->whereNotNull('learning_id')->with('learning.piece')->orderBy('id')->get();
        foreach ($tasks as $task) {
            $piece = $task->learning?->piece;
            if ($task->drill_notes !== null) {
                $decks[] = new NarrowDeck(self::OF_REMEDIES, explode(',', $task->drill_notes), $task->id, $piece?->title);
            } elseif ($task->kind === TaskKind::Drill && $piece !== null) {
                $decks[] = new NarrowDeck(self::OF_PAGES, $piece->noteNames(), $task->id, $piece->title);
                $drilled[] = $piece->id;
            }
        }
        foreach (self::pages($student) as $piece) {
            $open = array_filter($piece->noteNames(), static fn (string $note): bool => ($known[$note] ?? null) !== NoteStatus::Secure);
            if ($open !== [] && ! in_array($piece->id, $drilled, true)) {
                $decks[] = new NarrowDeck(self::OF_PAGES, $piece->noteNames(), null, $piece->title);
            }
        }

        return $decks;
    }

    /** @return list<Piece> the newest that are open, and what comes next in each book */
    private static function pages(Student $student): array
    {
        $current = Learning::query()->where('student_id', $student->id)->where('state', LearningState::Current)->with('piece')->orderByDesc('opened_on')->orderByDesc('id');
        $current->limit(self::PAGES);
        $pieces = array_values($current->get()->map(static fn (Learning $learning): Piece => $learning->piece)->all());
        $next = array_filter(array_map(static fn ($page): ?int => $page->pieceId, NextPages::of($student->id)));

        return [...$pieces, ...($next === [] ? [] : array_values(Piece::query()->whereKey($next)->orderBy('id')->get()->all()))];
    }
}

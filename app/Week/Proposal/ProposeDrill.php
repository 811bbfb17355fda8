<?php

declare(strict_types=1);

namespace App\Week\Proposal;

use App\Student\KnowNotes;
use App\Student\Learning\Learning;
use Illuminate\Support\Collection;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Reading\Drills;
use Nasturtium\Core\Reading\Inventory;
use Nasturtium\Core\Reading\KeyDrill;
use Nasturtium\Core\Reading\Landmarks;

/** One drill a week, of the page that has most notes to learn (trade 11.7). */
final class ProposeDrill
{
    public function __construct(private readonly KnowNotes $know) {}

    /** @param Collection<int, Learning> $current pages that are open, in the order they were opened */
    public function __invoke(TaskWriter $writer, Collection $current): void
    {
        $student = $writer->week->student;
        $learnings = $this->know->learnings($student);
        $most = [];
        $of = null;
        foreach ($current as $learning) {
            if (! $learning->piece->isTyped()) {
                continue;
            }
            $known = ($this->know)($student, $learning->piece, $learnings, $writer->week->starts_on);
            $drills = Drills::before(Inventory::of($learning->piece->score(), $student->school, new Landmarks($student->landmark_level->value, $student->landmark_middle), $known));
            if (count($drills) > count($most)) {
                [$most, $of] = [$drills, $learning];
            }
        }
        $drill = KeyDrill::of($most);
        if ($drill !== null && $of !== null) {
            $writer->always(TaskKind::Drill, 'Find and name', $drill->words(), KeyDrill::halfMinutes($student->age($writer->week->starts_on)), [
                'learning_id' => $of->id,
                'why' => $drill->why(),
            ]);
        }
    }
}

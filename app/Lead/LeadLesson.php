<?php

declare(strict_types=1);

namespace App\Lead;

use App\Desk\SettingsFor;
use Nasturtium\Core\Lead\LeadRun;
use Nasturtium\Core\Lead\LeadStep;
use Nasturtium\Core\Lead\LeadTask;
use Nasturtium\Core\Lead\StepKind;
use Nasturtium\Core\Practice\Care;

/** The led run of a make-up lesson. */
final class LeadLesson
{
    public function __construct(private readonly SettingsFor $settings) {}

    public function __invoke(LedLesson $lesson): LeadResource
    {
        $lesson->load(['student.studio', ...LedLesson::relations()]);
        $student = $lesson->student;
        $music = new LedMusic($this->settings->counting($student->studio, $student));
        $tasks = [];
        foreach ($lesson->steps as $step) {
            $score = $music->score($step->learning?->piece);
            $tasks[] = new LeadTask($step->id, '', $step->words, $step->sign(), $score, LedMusic::within($score, $step->first === null || $step->last === null ? [] : [[$step->first, $step->last]]), $step->hand, $step->tempo, $step->half_minutes);
        }
        $of = $lesson->steps->keyBy('id');
        $today = $student->today();
        $steps = [];
        foreach (LeadRun::of($tasks, false, Care::breakAfter($student->age($today))) as $step) {
            $led = $of->get($step->task);
            $steps[] = $led === null
                ? LeadStepResource::of($step, LeadStepResource::BETWEEN, null)
                : LeadStepResource::of($step, $led->sign(), $led->learning?->piece_id, $led->id, self::isSpoken($step, $led));
        }

        return new LeadResource($student->id, $today->toDateString(), $lesson->title, $steps, ...$music->of($steps));
    }

    /** What the teacher said herself takes the place of the first words of its step. */
    private static function isSpoken(LeadStep $step, LedStep $led): bool
    {
        return $led->has_voice && $step->kind === StepKind::Say;
    }
}

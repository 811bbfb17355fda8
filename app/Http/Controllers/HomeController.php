<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CatchUp;
use App\Actions\HomeDay;
use App\Actions\SettingsFor;
use App\Actions\WeekDays;
use App\Api\Get;
use App\Http\Resources\BarsResource;
use App\Http\Resources\HomeDayResource;
use App\Http\Resources\HomeMusicResource;
use App\Http\Resources\HomePartResource;
use App\Http\Resources\PlaybackResource;
use App\Models\FamilyLink;
use App\Models\Student;
use App\Models\Task;
use App\Models\TaskBars;
use App\Models\Week;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Performance\Playback;

/** What a child sees today; only weeks that were sent are seen. */
final class HomeController
{
    #[Get('/home/day', HomeDayResource::class)]
    public function show(Request $request, CatchUp $catchUp): JsonResponse
    {
        $link = $request->user('family');
        assert($link instanceof FamilyLink);
        $student = Student::query()->with(['practiceDays', 'studio'])->findOrFail($link->student_id);
        $link->update(['used_at' => now()]);
        $date = $student->today();
        $week = Week::query()->where('student_id', $student->id)->whereNotNull('sent_at')
            ->where('starts_on', '<=', $date->toDateString())->orderByDesc('starts_on')->first();
        if ($week !== null) {
            $catchUp($week, $date);
            $week->load(WeekDays::RELATIONS);
        }

        return new JsonResponse(HomeDay::of($student, $week, $date));
    }

    #[Get('/home/tasks/{task}', HomeMusicResource::class)]
    public function music(Task $task, SettingsFor $settings): JsonResponse
    {
        $task->load(['week.student.studio', 'bars', 'learning.piece']);
        abort_if($task->week->sent_at === null, 404);
        $piece = $task->learning?->piece;
        $student = $task->week->student;
        $counting = $settings->counting($student->studio, $student);
        $score = $piece?->score();

        return new JsonResponse(new HomeMusicResource(
            $task->id,
            $score === null ? null : MusicXmlWriter::write($score->withoutTempo()),
            $score === null ? [] : array_values($task->bars->sortBy('position')->map(static fn (TaskBars $bars): HomePartResource => new HomePartResource(
                BarsResource::of($bars),
                PlaybackResource::of(Playback::range($score, $bars->first, min($bars->last, count($score->measures) - 1), $counting)),
            ))->all()),
        ));
    }
}

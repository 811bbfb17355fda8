<?php

declare(strict_types=1);

namespace App\Home;

use App\Api\Get;
use App\Desk\PageWordResource;
use App\Desk\QuestionResource;
use App\Desk\ReportOf;
use App\Desk\SettingsFor;
use App\Page\Piece\PlaybackResource;
use App\Privacy\Access;
use App\Privacy\NoteAccess;
use App\Student\Family\FamilyLink;
use App\Student\Learning\BarsResource;
use App\Week\Task;
use App\Week\TaskBars;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Nasturtium\Core\Drill\Recall;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Path\PathKind;
use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Performance\Playback;
use Nasturtium\Core\Report\Document\Event;

/** What a child sees today; only weeks that were sent are seen. */
final class HomeController
{
    #[Get('/home/week', HomeWeekResource::class, query: ['student' => 'integer'])]
    public function show(Request $request, HomeWeek $home): JsonResponse
    {
        $link = $request->user('family');
        assert($link instanceof FamilyLink);
        $student = $link->child($request->integer('student', $link->student_id));
        $link->update(['used_at' => now()]);
        NoteAccess::by($link->label, $student, Access::HOME);

        return new JsonResponse($home($link, $student));
    }

    #[Get('/home/tasks/{task}', HomeMusicResource::class)]
    public function music(Task $task, SettingsFor $settings, ReportOf $report): JsonResponse
    {
        $task->load(['week.student.studio', 'bars', 'learning.piece', 'learning.ladders', 'stage']);
        abort_if($task->week->sent_at === null, 404);
        $piece = $task->learning?->piece;
        $student = $task->week->student;
        $counting = $settings->counting($student->studio, $student);
        $piece = $piece?->isTyped() === true ? $piece : null;
        $score = $piece?->score();

        return new JsonResponse(new HomeMusicResource(
            $task->id,
            $score === null ? null : MusicXmlWriter::write($score->withoutTempo()),
            $score === null ? [] : array_values($task->bars->sortBy('position')->map(static fn (TaskBars $bars): HomePartResource => new HomePartResource(
                BarsResource::of($bars),
                PlaybackResource::of(Playback::range($score, $bars->first, min($bars->last, count($score->measures) - 1), $counting)),
            ))->all()),
            $piece === null ? [] : array_map(
                static fn (Event $event): HomeNoteResource => HomeNoteResource::of($event, $student->path === PathKind::SoundFirst),
                $report($piece, $settings($student->studio, $piece, $student), $student->id)->report->events,
            ),
            $piece === null ? [] : $task->learning?->ladder($task->hand)->rungs() ?? [],
            $score === null ? [] : PageWordResource::all($score),
            $score !== null && $task->stage?->kind === StageKind::LookOver ? array_map(QuestionResource::of(...), Recall::of($score, $task->id, $student->studio->words)) : [],
        ));
    }
}

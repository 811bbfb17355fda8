<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Api\Delete;
use App\Api\Get;
use App\Api\Patch;
use App\Api\Post;
use App\Api\Put;
use App\Lesson\Timetable\ChangeLesson;
use App\Lesson\Timetable\FollowTimetable;
use App\Lesson\Timetable\LessonChangeRequest;
use App\Student\Student;
use App\Student\Timetable\LessonDayResource;
use App\Student\Timetable\LessonsAhead;
use App\Week\ProposeWeek;
use App\Week\Week;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Practice\Calendar\LessonState;

/** A lesson, from the first task heard to the next week. */
final class LessonController
{
    #[Post('/students/{student}/lessons', LessonResource::class)]
    public function store(LessonRequest $request, Student $student, ShowLesson $show): JsonResponse
    {
        $heldOn = $request->string('heldOn')->toString();
        $week = Week::query()->where('student_id', $student->id)->where('starts_on', '<', $heldOn)->orderByDesc('starts_on')->first();
        $lesson = Lesson::query()->firstOrCreate(
            ['student_id' => $student->id, 'held_on' => $heldOn],
            ['studio_id' => $student->studio_id, 'week_id' => $week?->id, 'state' => LessonState::Held],
        );

        // One that was moved or added stood in the timetable before there was a week that leads to it.
        if ($lesson->week_id === null && $week !== null && $lesson->finished_at === null) {
            $lesson->update(['week_id' => $week->id]);
        }

        return new JsonResponse($show($lesson));
    }

    #[Post('/students/{student}/lesson-changes', LessonDayResource::class, many: true)]
    public function change(LessonChangeRequest $request, Student $student, ChangeLesson $change): JsonResponse
    {
        $change($student, [
            'state' => LessonState::from($request->string('state')->toString()),
            'slotOn' => $request->filled('slotOn') ? $request->string('slotOn')->toString() : null,
            'heldOn' => $request->filled('heldOn') ? $request->string('heldOn')->toString() : null,
            'at' => $request->filled('at') ? $request->string('at')->toString() : null,
            'minutes' => $request->filled('minutes') ? $request->integer('minutes') : null,
            'together' => $request->boolean('together'),
        ]);

        return $this->ahead($student);
    }

    /** Takes a change back: the lesson is where the timetable has it. */
    #[Delete('/lessons/{lesson}/change', LessonDayResource::class, many: true)]
    public function takeBack(Lesson $lesson, FollowTimetable $follow): JsonResponse
    {
        $student = Student::query()->findOrFail($lesson->student_id);
        if ($lesson->wasBegun()) {
            throw ValidationException::withMessages(['lesson' => 'This lesson was begun: what was noted would be lost. Move it instead.']);
        }
        $lesson->delete();
        $follow($student);

        return $this->ahead($student);
    }

    private function ahead(Student $student): JsonResponse
    {
        $student->load(Student::TIMETABLE);

        return new JsonResponse(array_map(LessonDayResource::of(...), LessonsAhead::of($student)));
    }

    #[Get('/lessons/{lesson}', LessonResource::class)]
    public function show(Lesson $lesson, ShowLesson $show): JsonResponse
    {
        return new JsonResponse($show($lesson));
    }

    #[Patch('/lessons/{lesson}', LessonResource::class)]
    public function update(LessonRecordRequest $request, Lesson $lesson, ShowLesson $show): JsonResponse
    {
        $lesson->update($request->columns());

        return new JsonResponse($show($lesson));
    }

    #[Put('/lessons/{lesson}/finished', LessonResource::class)]
    public function finish(Lesson $lesson, ProposeWeek $propose, ShowLesson $show): JsonResponse
    {
        $lesson->update(['finished_at' => $lesson->finished_at ?? now()]);
        $propose($lesson->load('student')->student, $lesson->held_on);

        return new JsonResponse($show($lesson));
    }
}

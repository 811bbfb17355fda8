<?php

declare(strict_types=1);

namespace App\Student;

use App\Account\CurrentStudio;
use App\Account\User;
use App\Api\Delete;
use App\Api\Get;
use App\Api\Post;
use App\Api\Put;
use App\Privacy\Access;
use App\Privacy\EraseStudent;
use App\Privacy\NoteAccess;
use App\Student\Family\FamilyLink;
use App\Student\Family\FamilyLinkResource;
use App\Student\Learning\LearningResource;
use App\Student\Learning\OpenedPieces;
use App\Student\Learning\SignedOff;
use App\Student\Learning\Stage;
use App\Student\Learning\StudentBooks;
use App\Student\Performances\Performance;
use App\Student\Performances\PerformanceResource;
use App\Student\Timetable\AtOneTime;
use App\Student\Timetable\Holiday;
use App\Student\Timetable\HolidayResource;
use App\Student\Timetable\LessonDayResource;
use App\Student\Timetable\LessonsAhead;
use App\Student\Timetable\TimetableChanged;
use App\Week\Week;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Practice\LearningState;

/** The students of a studio. */
final class StudentController
{
    #[Get('/students', StudentResource::class, many: true)]
    public function index(CurrentStudio $studio): JsonResponse
    {
        $students = $studio->member()->among(Student::query())->with('practiceDays')->orderBy('first_name')->orderBy('initial')->get();
        // Those who left stand last.
        $students = $students->sortBy(static fn (Student $student): bool => $student->left_on !== null)->values();

        return new JsonResponse($students->map(static fn (Student $student): StudentResource => StudentResource::of($student, $studio->today())));
    }

    #[Post('/students', StudentResource::class)]
    public function store(StudentRequest $request, CurrentStudio $studio): JsonResponse
    {
        return $this->save(new Student(['studio_id' => $studio->get()->id, 'membership_id' => $studio->member()->id]), $request, $studio);
    }

    #[Get('/students/{student}', StudentDetailResource::class)]
    public function show(Request $request, Student $student, CurrentStudio $studio): JsonResponse
    {
        $user = $request->user();
        NoteAccess::by($user instanceof User ? $user->name : '', $student, Access::PAGE);
        $student->load([
            'practiceDays',
            'familyLinks.siblings',
            ...Student::TIMETABLE,
            'learnings' => static fn ($learnings) => $learnings->where('state', '!=', LearningState::Finished->value),
            'learnings.piece' => static fn ($piece) => $piece->select(['id', 'page_id', 'title']),
            'learnings.piece.page.book',
            'learnings.stages' => static fn ($stages) => $stages->with('bars')->withCount(['misses' => Stage::countLessons(...)]),
        ]);
        $week = Week::query()->where('student_id', $student->id)->where('starts_on', '<=', $studio->today()->toDateString())->orderByDesc('starts_on')->first();

        return new JsonResponse(new StudentDetailResource(
            StudentResource::of($student, $studio->today()),
            [...$student->learnings->sortByDesc('opened_on')->map(LearningResource::of(...)), ...SignedOff::newest($student->id, SignedOff::SHOWN)],
            OpenedPieces::of($student->id),
            StudentBooks::of($student->id),
            array_values($student->familyLinks->map(static fn (FamilyLink $link): FamilyLinkResource => FamilyLinkResource::of($link))->all()),
            StudentPace::measured($student->id),
            $week?->id,
            array_map(LessonDayResource::of(...), LessonsAhead::of($student)),
            array_values($student->everyHoliday()->filter(static fn (Holiday $holiday): bool => $holiday->to_on->greaterThanOrEqualTo($student->today()))->sortBy('from_on')->map(HolidayResource::of(...))->all()),
            array_values(Performance::query()->where('student_id', $student->id)->where('on_date', '>=', $student->today()->toDateString())->with('pieces.piece:id,title')->orderBy('on_date')->get()->map(PerformanceResource::of(...))->all()),
        ));
    }

    #[Get('/students/{student}/signed-off', LearningResource::class, many: true)]
    public function signedOff(Student $student): JsonResponse
    {
        return new JsonResponse(SignedOff::newest($student->id));
    }

    #[Put('/students/{student}', StudentResource::class)]
    public function update(StudentRequest $request, Student $student, CurrentStudio $studio): JsonResponse
    {
        return $this->save($student, $request, $studio);
    }

    /** A student leaves, and is kept out of the lists, or returns. */
    #[Put('/students/{student}/left', StudentResource::class)]
    public function leave(LeaveRequest $request, Student $student, CurrentStudio $studio): JsonResponse
    {
        $student->update(['left_on' => $request->boolean('left') ? ($student->left_on ?? $studio->today()) : null]);

        return new JsonResponse(StudentResource::of($student->load('practiceDays'), $studio->today()));
    }

    /** Another teacher of the studio takes a student over. */
    #[Put('/students/{student}/teacher', StudentResource::class)]
    public function handOver(HandOverRequest $request, Student $student, CurrentStudio $studio): JsonResponse
    {
        $student->update(['membership_id' => $request->integer('memberId')]);

        return new JsonResponse(StudentResource::of($student->load('practiceDays'), $studio->today()));
    }

    #[Delete('/students/{student}')]
    public function destroy(Student $student, EraseStudent $erase): Response
    {
        $erase($student);

        return new Response(status: 204);
    }

    private function save(Student $student, StudentRequest $request, CurrentStudio $studio): JsonResponse
    {
        DB::transaction(static function () use ($student, $request, $studio): void {
            $before = $student->exists ? $student->replicate() : null;
            $student->fill($request->columns($studio->today()));
            if (! $request->boolean('together')) {
                AtOneTime::refuseEveryWeek($student, $before);
            }
            $student->save();
            $isMoved = ! $student->wasRecentlyCreated && $student->wasChanged(['lesson_weekday', 'second_weekday']);
            $student->practiceDays()->delete();
            $student->practiceDays()->createMany(array_map(static fn (array $day): array => [...$day, 'studio_id' => $student->studio_id], $request->days()));
            if ($isMoved) {
                TimetableChanged::dispatch($student->refresh());
            }
        });

        return new JsonResponse(StudentResource::of($student->load('practiceDays'), $studio->today()));
    }
}

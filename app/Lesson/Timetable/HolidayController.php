<?php

declare(strict_types=1);

namespace App\Lesson\Timetable;

use App\Account\CurrentStudio;
use App\Api\Delete;
use App\Api\Get;
use App\Api\Post;
use App\Student\Student;
use App\Student\Timetable\Holiday;
use App\Student\Timetable\HolidayResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** Holidays of the studio and of single students; the weeks under way give way to them at once. */
final class HolidayController
{
    public function __construct(private readonly FollowTimetable $follow) {}

    #[Get('/holidays', HolidayResource::class, many: true)]
    public function index(CurrentStudio $studio): JsonResponse
    {
        $holidays = Holiday::query()->where('studio_id', $studio->get()->id)->where('to_on', '>=', $studio->today()->subMonth())->orderBy('from_on')->get();

        return new JsonResponse($holidays->map(HolidayResource::of(...)));
    }

    #[Post('/holidays', HolidayResource::class)]
    public function store(HolidayRequest $request, CurrentStudio $studio): JsonResponse
    {
        $holiday = Holiday::query()->create([
            'studio_id' => $studio->get()->id,
            'student_id' => $request->filled('studentId') ? $request->integer('studentId') : null,
            'label' => $request->string('label')->trim()->toString(),
            'from_on' => $request->string('from')->toString(),
            'to_on' => $request->string('to')->toString(),
            'lessons' => $request->boolean('lessons'),
            'practice' => $request->boolean('practice'),
        ]);
        $this->follow($holiday);

        return new JsonResponse(HolidayResource::of($holiday));
    }

    #[Delete('/holidays/{holiday}')]
    public function destroy(Holiday $holiday): Response
    {
        $holiday->delete();
        $this->follow($holiday);

        return new Response(status: 204);
    }

    /** One student’s week at once; everybody’s by the queue, for a school has many. */
    private function follow(Holiday $holiday): void
    {
        if ($holiday->student_id === null) {
            FollowEverybody::dispatch($holiday->studio_id);

            return;
        }
        $student = Student::query()->where('studio_id', $holiday->studio_id)->find($holiday->student_id);
        if ($student !== null) {
            ($this->follow)($student);
        }
    }
}

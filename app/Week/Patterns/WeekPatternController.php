<?php

declare(strict_types=1);

namespace App\Week\Patterns;

use App\Account\CurrentStudio;
use App\Api\Delete;
use App\Api\Get;
use App\Api\Post;
use App\Student\Student;
use App\Week\AddTasks;
use App\Week\Task;
use App\Week\Week;
use App\Week\WeekResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;

/** Tasks that are given again: patterns, last week's, and those of another student. */
final class WeekPatternController
{
    public function __construct(private readonly AddTasks $add) {}

    #[Get('/patterns', WeekPatternResource::class, many: true)]
    public function index(CurrentStudio $studio): JsonResponse
    {
        return new JsonResponse(WeekPattern::query()->where('studio_id', $studio->get()->id)->orderBy('name')->get()->map(WeekPatternResource::of(...)));
    }

    #[Post('/patterns', WeekPatternResource::class)]
    public function store(PatternRequest $request, CurrentStudio $studio): JsonResponse
    {
        $tasks = $request->tasks();
        if ($tasks === []) {
            throw ValidationException::withMessages(['weekId' => 'Every task of this plan is tied to a page. A template is made of the others: warm-up, theory, drills.']);
        }

        return new JsonResponse(WeekPatternResource::of(WeekPattern::query()->create([
            'studio_id' => $studio->get()->id, 'name' => $request->string('name')->trim()->toString(), 'tasks' => $tasks,
        ])));
    }

    #[Delete('/patterns/{pattern}')]
    public function destroy(WeekPattern $pattern): Response
    {
        $pattern->delete();

        return new Response(status: 204);
    }

    #[Post('/weeks/{week}/patterns/{pattern}', WeekResource::class)]
    public function apply(Week $week, WeekPattern $pattern, CurrentStudio $studio): JsonResponse
    {
        $this->add->pattern($week, $pattern, $studio->today());

        return new JsonResponse(WeekResource::of($week->whole(), $studio->today()));
    }

    #[Post('/weeks/{week}/last', WeekResource::class)]
    public function last(Week $week, CurrentStudio $studio): JsonResponse
    {
        $this->add->lastWeek($week, $studio->today());

        return new JsonResponse(WeekResource::of($week->whole(), $studio->today()));
    }

    #[Post('/weeks/{week}/copies', CopyResource::class, many: true)]
    public function copies(CopiesRequest $request, Week $week): JsonResponse
    {
        $tasks = Task::query()->where('week_id', $week->id)->whereKey($request->input('taskIds'))->with(['bars', 'learning'])->get();
        $students = Student::query()->where('studio_id', $week->studio_id)->whereKey($request->input('studentIds'))->with('studio')->orderBy('first_name')->get();

        return new JsonResponse($students->map(fn (Student $student): CopyResource => new CopyResource(
            $student->id,
            $student->name()->short(),
            $this->add->copy($tasks->toBase(), $student),
        )));
    }
}

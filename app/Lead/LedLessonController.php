<?php

declare(strict_types=1);

namespace App\Lead;

use App\Api\Delete;
use App\Api\Get;
use App\Api\Post;
use App\Api\Put;
use App\Student\Student;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

/** Make-up lessons: put together by the teacher, sent by the home link, and what was heard. */
final class LedLessonController
{
    private const SHOWN = 20;

    #[Get('/students/{student}/led-lessons', LedLessonResource::class, many: true)]
    public function index(Student $student): JsonResponse
    {
        $lessons = LedLesson::query()->where('student_id', $student->id)->with(LedLesson::relations())->orderByDesc('id');
        $lessons->limit(self::SHOWN);

        return new JsonResponse($lessons->get()->map(LedLessonResource::of(...)));
    }

    #[Post('/students/{student}/led-lessons', LedLessonResource::class)]
    public function store(LedLessonRequest $request, Student $student): JsonResponse
    {
        return $this->save(new LedLesson(['studio_id' => $student->studio_id, 'student_id' => $student->id]), $request);
    }

    #[Put('/led-lessons/{ledLesson}', LedLessonResource::class)]
    public function update(LedLessonRequest $request, LedLesson $ledLesson): JsonResponse
    {
        return $this->save($ledLesson, $request);
    }

    #[Put('/led-lessons/{ledLesson}/sent', LedLessonResource::class)]
    public function send(LedLesson $ledLesson): JsonResponse
    {
        $ledLesson->update(['sent_at' => $ledLesson->sent_at ?? now()]);

        return new JsonResponse(LedLessonResource::of($ledLesson->load(LedLesson::relations())));
    }

    #[Delete('/led-lessons/{ledLesson}')]
    public function destroy(LedLesson $ledLesson): Response
    {
        $ledLesson->delete();

        return new Response(status: 204);
    }

    #[Get('/led-steps/{ledStep}/voice', VoiceResource::class)]
    public function voice(LedStep $ledStep): JsonResponse
    {
        return new JsonResponse(new VoiceResource($ledStep->voice));
    }

    #[Put('/led-steps/{ledStep}/voice')]
    public function say(VoiceRequest $request, LedStep $ledStep): Response
    {
        $ledStep->update(['voice' => $request->input('voice')]);

        return new Response(status: 204);
    }

    /** Steps that stay keep their voice and what was heard in them. */
    private function save(LedLesson $lesson, LedLessonRequest $request): JsonResponse
    {
        DB::transaction(static function () use ($lesson, $request): void {
            $lesson->fill(['title' => $request->string('title')->trim()->toString()])->save();
            $steps = $request->steps();
            $own = $lesson->steps()->pluck('id')->all();
            LedStep::query()->whereKey(array_diff($own, array_column($steps, 'id')))->delete();
            foreach ($steps as ['id' => $id, 'row' => $row]) {
                in_array($id, $own, true)
                    ? LedStep::query()->whereKey($id)->update($row)
                    : LedStep::query()->create([...$row, 'led_lesson_id' => $lesson->id, 'studio_id' => $lesson->studio_id, 'student_id' => $lesson->student_id]);
            }
        });

        return new JsonResponse(LedLessonResource::of($lesson->load(LedLesson::relations())));
    }
}

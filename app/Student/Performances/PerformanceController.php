<?php

declare(strict_types=1);

namespace App\Student\Performances;

use App\Api\Delete;
use App\Api\Post;
use App\Api\Put;
use App\Student\Student;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

/** When a student plays to others, and what; the plans of the two weeks before are made for it. */
final class PerformanceController
{
    #[Post('/students/{student}/performances', PerformanceResource::class)]
    public function store(PerformanceRequest $request, Student $student): JsonResponse
    {
        return $this->save(new Performance(['studio_id' => $student->studio_id, 'student_id' => $student->id]), $request);
    }

    #[Put('/performances/{performance}', PerformanceResource::class)]
    public function update(PerformanceRequest $request, Performance $performance): JsonResponse
    {
        return $this->save($performance, $request);
    }

    #[Delete('/performances/{performance}')]
    public function destroy(Performance $performance): Response
    {
        $performance->delete();

        return new Response(status: 204);
    }

    private function save(Performance $performance, PerformanceRequest $request): JsonResponse
    {
        DB::transaction(static function () use ($performance, $request): void {
            $performance->fill(['title' => $request->string('title')->trim()->toString(), 'on_date' => $request->string('date')->toString()])->save();
            // Anew, so that they stand in the order they are played.
            $performance->pieces()->detach();
            $performance->pieces()->attach($request->learningIds());
        });

        return new JsonResponse(PerformanceResource::of($performance->load('pieces.piece:id,title')));
    }
}

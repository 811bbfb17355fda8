<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Account\CurrentStudio;
use App\Api\Get;
use App\Api\Patch;
use App\Api\Post;
use App\Api\Put;
use App\Page\Page;
use App\Page\Piece\Piece;
use App\Student\Student;
use Illuminate\Http\JsonResponse;

/** The pieces a student is on. */
final class LearningController
{
    #[Post('/students/{student}/learnings', LearningResource::class)]
    public function store(LearningRequest $request, Student $student, OpenPiece $open, CurrentStudio $studio): JsonResponse
    {
        $piece = $request->filled('pieceId') ? Piece::query()->findOrFail($request->integer('pieceId')) : Piece::untyped(Page::query()->lockForUpdate()->findOrFail($request->integer('pageId')));

        return $this->answer($open($student, $piece, $studio->today()));
    }

    #[Get('/learnings/{learning}', LearningResource::class)]
    public function show(Learning $learning): JsonResponse
    {
        return $this->answer($learning);
    }

    #[Patch('/learnings/{learning}', LearningResource::class)]
    public function update(LearningStateRequest $request, Learning $learning, Settle $settle, CurrentStudio $studio): JsonResponse
    {
        $learning->update(['state' => $request->string('state')->toString()]);
        $settle($learning, $studio->today());

        return $this->answer($learning);
    }

    /** The page on a path of its own; what was passed on the one before stays where it is the same. */
    #[Put('/learnings/{learning}/path', LearningResource::class)]
    public function path(LearningPathRequest $request, Learning $learning, OpenPiece $open): JsonResponse
    {
        $learning->update($request->pathColumns());
        $open->again($learning->load(['piece', 'ownPath.steps']));

        return $this->answer($learning->refresh());
    }

    private function answer(Learning $learning): JsonResponse
    {
        return new JsonResponse(LearningResource::of($learning->load([
            'piece.page.book',
            'stages' => static fn ($stages) => $stages->with('bars')->withCount(['misses' => Stage::countLessons(...)]),
        ])));
    }
}

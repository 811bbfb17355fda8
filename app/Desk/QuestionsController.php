<?php

declare(strict_types=1);

namespace App\Desk;

use App\Account\CurrentStudio;
use App\Api\Get;
use App\Page\Piece\Piece;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Nasturtium\Core\Drill\Recall;

/** What is asked about a page, as many questions as are asked at once, and what its signs and words say. */
final class QuestionsController
{
    private const MOST = 1_000_000;

    #[Get('/pieces/{piece}/questions', QuestionResource::class, many: true, query: ['seed' => 'integer'])]
    public function show(Request $request, Piece $piece, CurrentStudio $studio): JsonResponse
    {
        $seed = max(1, min(self::MOST, $request->integer('seed', 1)));

        return new JsonResponse($piece->isTyped() ? array_map(QuestionResource::of(...), Recall::of($piece->score(), $seed, $studio->get()->words)) : []);
    }

    #[Get('/pieces/{piece}/words', PageWordResource::class, many: true)]
    public function words(Piece $piece): JsonResponse
    {
        return new JsonResponse($piece->isTyped() ? PageWordResource::all($piece->score()) : []);
    }
}

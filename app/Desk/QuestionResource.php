<?php

declare(strict_types=1);

namespace App\Desk;

use App\Api\ListOf;
use App\Http\English;
use Nasturtium\Core\Drill\RecallQuestion;
use OpenApi\Attributes as OA;

/** A recall question about a page. */
#[OA\Schema]
final readonly class QuestionResource
{
    /** @param list<int> $bars numbers of the bars that the answer is about */
    public function __construct(
        #[OA\Property]
        public string $ask,
        #[OA\Property]
        public string $answer,
        #[ListOf('integer')]
        public array $bars,
    ) {}

    public static function of(RecallQuestion $question): self
    {
        return new self(English::text($question->ask), English::text($question->answer), $question->bars);
    }
}

<?php

declare(strict_types=1);

namespace App\Drill;

use App\Api\ListOf;
use Nasturtium\Core\Drill\Session;
use Nasturtium\Core\Practice\Answer;
use OpenApi\Attributes as OA;

/** A session as data: whoever runs it needs no other rule (docs/practice-room.md). */
#[OA\Schema]
final readonly class DrillSessionResource
{
    /**
     * @param  list<string>  $learning
     * @param  list<string>  $joining
     * @param  list<string>  $known
     * @param  list<BeforeResource>  $before  what was answered of late
     * @param  list<PairResource>  $pairs
     * @param  list<int>  $returns
     */
    public function __construct(
        #[OA\Property]
        public string $date,
        #[OA\Property]
        public int $seconds,
        #[ListOf('string')]
        public array $learning,
        #[ListOf('string')]
        public array $joining,
        #[ListOf('string')]
        public array $known,
        #[OA\Property(description: 'of ten cards so many are known ones')]
        public int $share,
        #[ListOf(BeforeResource::class)]
        public array $before,
        #[ListOf(PairResource::class)]
        public array $pairs,
        #[ListOf('integer')]
        public array $returns,
        #[OA\Property]
        public int $closing,
        #[OA\Property]
        public EnoughResource $enough,
    ) {}

    public static function of(string $date, Session $session): self
    {
        return new self(
            $date,
            $session->seconds,
            $session->learning,
            $session->joining,
            $session->known,
            $session->share,
            array_map(
                static fn (string $card): BeforeResource => new BeforeResource($card, array_map(static fn (Answer $answer): AnswerResource => new AnswerResource($answer->right, $answer->milliseconds), $session->before[$card])),
                array_values(array_intersect([...$session->learning, ...$session->joining], array_keys($session->before))),
            ),
            array_map(static fn (string $card): PairResource => new PairResource($card, $session->pairs[$card]), array_keys($session->pairs)),
            Session::RETURNS,
            Session::CLOSING,
            new EnoughResource($session->enough->answers, $session->enough->right, $session->enough->within, $session->enough->join),
        );
    }
}

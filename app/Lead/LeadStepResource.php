<?php

declare(strict_types=1);

namespace App\Lead;

use App\Api\ListOf;
use App\Http\English;
use Nasturtium\Core\Home\TaskSign;
use Nasturtium\Core\Lead\LeadStep;
use Nasturtium\Core\Lead\StepKind;
use Nasturtium\Core\Score\Hand;
use OpenApi\Attributes as OA;

/** A step of a led run, with the words that are said. */
#[OA\Schema]
final readonly class LeadStepResource
{
    /** What is said between tasks. */
    public const BETWEEN = TaskSign::Show;

    /**
     * @param  list<self>  $again  what comes where it went wrong
     */
    public function __construct(
        #[OA\Property]
        public StepKind $kind,
        #[OA\Property(description: 'of the week, that it belongs to')]
        public ?int $taskId,
        #[OA\Property(description: 'of a make-up lesson, that it is')]
        public ?int $stepId,
        #[OA\Property]
        public TaskSign $sign,
        #[OA\Property]
        public string $words,
        #[OA\Property]
        public int $seconds,
        #[OA\Property]
        public ?int $pieceId,
        #[OA\Property(description: 'index of a measure')]
        public ?int $first,
        #[OA\Property(description: 'index of a measure')]
        public ?int $last,
        #[OA\Property]
        public ?Hand $hand,
        #[OA\Property(description: 'beats a minute')]
        public ?int $tempo,
        #[OA\Property(description: 'the teacher said it herself')]
        public bool $hasVoice,
        #[ListOf(self::class)]
        public array $again,
    ) {}

    public static function of(LeadStep $step, TaskSign $sign, ?int $piece, ?int $ledStep = null, bool $hasVoice = false): self
    {
        return new self(
            $step->kind,
            $ledStep === null ? $step->task : null,
            $ledStep,
            $sign,
            $step->ownWords ? $step->words : English::text($step->words),
            $step->seconds,
            $step->bars === null ? null : $piece,
            $step->bars[0] ?? null,
            $step->bars[1] ?? null,
            $step->hand,
            $step->tempo,
            $hasVoice,
            array_map(static fn (LeadStep $again): self => self::of($again, $sign, $piece, $ledStep), $step->again),
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Lead;

use App\Api\ListOf;
use App\Http\English;
use App\Listening\JudgedTakes;
use App\Listening\TakeResource;
use Nasturtium\Core\Score\BarRange;
use OpenApi\Attributes as OA;

/** A make-up lesson: its steps, whether it was sent and done, and what was heard. */
#[OA\Schema]
final readonly class LedLessonResource
{
    /** @param list<LedStepResource> $steps */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public ?string $sentAt,
        #[OA\Property]
        public ?string $doneAt,
        #[ListOf(LedStepResource::class)]
        public array $steps,
    ) {}

    /** @param LedLesson $lesson with its relations */
    public static function of(LedLesson $lesson): self
    {
        return new self(
            $lesson->id,
            $lesson->title,
            $lesson->sent_at?->toIso8601String(),
            $lesson->done_at?->toIso8601String(),
            array_values($lesson->steps->map(static fn (LedStep $step): LedStepResource => new LedStepResource(
                $step->id,
                $step->stage_id,
                $step->learning_id,
                $step->first,
                $step->last,
                self::where($step),
                $step->hand,
                $step->tempo,
                $step->sign(),
                $step->words,
                $step->half_minutes,
                (bool) $step->has_voice,
                self::takes($step),
            ))->all()),
        );
    }

    private static function where(LedStep $step): string
    {
        $piece = $step->learning?->piece;
        if ($piece === null || $step->first === null || $step->last === null) {
            return '';
        }
        $numbers = BarNumbers::of($piece);
        $number = static fn (int $index): int => $numbers[$index] ?? $index + 1;

        return "{$piece->title}, ".English::text((new BarRange($number($step->first), $number($step->last)))->words());
    }

    /** @return list<TakeResource> the newest first */
    private static function takes(LedStep $step): array
    {
        $piece = $step->learning?->piece;

        return $piece === null || ! $piece->isTyped() ? [] : JudgedTakes::of(array_values($step->takes->sortByDesc('id')->all()), $piece, $step->hand);
    }
}

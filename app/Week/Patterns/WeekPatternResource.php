<?php

declare(strict_types=1);

namespace App\Week\Patterns;

use App\Api\ListOf;
use Nasturtium\Core\Practice\TaskKind;
use OpenApi\Attributes as OA;

/** A pattern of a week, as it is given to a colleague too. */
#[OA\Schema]
final readonly class WeekPatternResource
{
    /** @param list<PatternTaskResource> $tasks */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[ListOf(PatternTaskResource::class)]
        public array $tasks,
    ) {}

    public static function of(WeekPattern $pattern): self
    {
        return new self($pattern->id, $pattern->name, array_map(static fn (array $task): PatternTaskResource => new PatternTaskResource(...[...$task, 'kind' => TaskKind::from($task['kind'])]), $pattern->tasks));
    }
}

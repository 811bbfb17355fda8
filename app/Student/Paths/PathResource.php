<?php

declare(strict_types=1);

namespace App\Student\Paths;

use App\Api\ListOf;
use Nasturtium\Core\Path\Path;
use Nasturtium\Core\Path\PathKind;
use OpenApi\Attributes as OA;

/** A path: one that ships has no `id`, one of the studio has `own` as its `kind`. */
#[OA\Schema]
final readonly class PathResource
{
    /** @param list<PathStepResource> $steps */
    public function __construct(
        #[OA\Property]
        public ?int $id,
        #[OA\Property(enum: ['beat', 'notes', 'sound', 'own'])]
        public string $kind,
        #[OA\Property]
        public string $name,
        #[ListOf(PathStepResource::class)]
        public array $steps,
    ) {}

    public static function shipped(PathKind $kind): self
    {
        return self::from(null, $kind->value, Path::shipped($kind));
    }

    public static function of(OwnPath $path): self
    {
        return self::from($path->id, 'own', $path->path());
    }

    private static function from(?int $id, string $kind, Path $path): self
    {
        return new self($id, $kind, $path->name, array_map(PathStepResource::of(...), $path->steps));
    }
}

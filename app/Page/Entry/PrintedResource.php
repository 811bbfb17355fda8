<?php

declare(strict_types=1);

namespace App\Page\Entry;

use App\Api\ListOf;
use Nasturtium\Core\Formats\Shorthand\WrittenShorthand;
use OpenApi\Attributes as OA;

/** A piece as it would be typed, and what the shorthand has no word for. */
#[OA\Schema]
final readonly class PrintedResource
{
    /**
     * @param  list<string>  $unsaid
     */
    public function __construct(
        #[OA\Property]
        public string $shorthand,
        #[ListOf('string')]
        public array $unsaid,
    ) {}

    public static function of(WrittenShorthand $written): self
    {
        return new self($written->text, $written->unsaid);
    }
}

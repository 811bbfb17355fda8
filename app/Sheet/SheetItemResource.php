<?php

declare(strict_types=1);

namespace App\Sheet;

use App\Api\ListOf;
use App\Http\English;
use Nasturtium\Core\Sheet\SheetItem;
use OpenApi\Attributes as OA;

/** One question of a worksheet with its answer. */
#[OA\Schema]
final readonly class SheetItemResource
{
    /** @param list<string> $options to ring one of */
    public function __construct(
        #[OA\Property]
        public string $ask,
        #[OA\Property]
        public string $answer,
        #[OA\Property(description: 'MusicXML')]
        public ?string $music,
        #[OA\Property]
        public ?string $sign,
        #[ListOf('string')]
        public array $options,
        #[OA\Property(description: 'that is marked on a keyboard, as MIDI numbers it')]
        public ?int $key,
    ) {}

    public static function of(SheetItem $item): self
    {
        return new self(English::text($item->ask), English::text($item->answer), $item->music, $item->sign, array_map(English::text(...), $item->options), $item->key);
    }
}

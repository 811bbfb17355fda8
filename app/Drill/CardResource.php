<?php

declare(strict_types=1);

namespace App\Drill;

use App\Api\ListOf;
use App\Http\English;
use Nasturtium\Core\Drill\AnswerBy;
use Nasturtium\Core\Drill\Card;
use Nasturtium\Core\Drill\Heard;
use Nasturtium\Core\Drill\Option;
use Nasturtium\Core\Drill\TapResult;
use OpenApi\Attributes as OA;

/** A card with its answer. */
#[OA\Schema]
final readonly class CardResource
{
    /**
     * @param  list<string>  $right
     * @param  list<OptionResource>  $options
     * @param  list<HeardResource>  $hear
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $ask,
        #[OA\Property]
        public AnswerBy $by,
        #[ListOf('string')]
        public array $right,
        #[OA\Property(description: 'how it is found')]
        public string $way,
        #[OA\Property(description: 'of the note that it is about')]
        public ?string $letter,
        #[OA\Property(description: 'MusicXML')]
        public ?string $music,
        #[OA\Property(description: 'shown large in the place of music')]
        public ?string $sign,
        #[ListOf(OptionResource::class)]
        public array $options,
        #[ListOf(HeardResource::class)]
        public array $hear,
        #[OA\Property]
        public ?TapsResource $taps,
    ) {}

    public static function of(Card $card): self
    {
        return new self(
            $card->id,
            English::text($card->ask),
            $card->by,
            $card->right,
            English::text($card->way),
            $card->letter(),
            $card->music,
            $card->sign,
            array_map(static fn (Option $option): OptionResource => new OptionResource($option->id, English::text($option->label)), $card->options),
            array_map(static fn (Heard $heard): HeardResource => new HeardResource($heard->key, $heard->at, $heard->lasts), $card->hear),
            $card->taps === null ? null : new TapsResource($card->taps->beat, $card->taps->countIn, $card->taps->at, array_map(static fn (TapResult $result): OptionResource => new OptionResource($result->value, English::text($result->words())), TapResult::cases())),
        );
    }
}

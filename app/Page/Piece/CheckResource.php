<?php

declare(strict_types=1);

namespace App\Page\Piece;

use App\Api\ListOf;
use App\Http\English;
use App\Page\Entry\FixResource;
use Nasturtium\Core\Formats\Shorthand\ReadShorthand;
use Nasturtium\Core\Formats\Shorthand\ShorthandFix;
use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Hand;
use OpenApi\Attributes as OA;

/** Something on the page that does not add up. */
#[OA\Schema]
final readonly class CheckResource
{
    /**
     * @param  list<string>  $events  ids of the notes it speaks of
     */
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public ?Hand $hand,
        #[OA\Property]
        public string $text,
        #[ListOf('string')]
        public array $events,
        #[OA\Property]
        public ?FixResource $fix,
    ) {}

    public static function of(Check $check, ?FixResource $fix = null): self
    {
        return new self($check->code, (string) $check->place, $check->hand, English::text($check->text), $check->events, $fix);
    }

    /** With what mends it in the text it was read from, where that is certain. */
    public static function typed(Check $check, ReadShorthand $read): self
    {
        return self::of($check, $check->fix === null ? null : FixResource::of($check->fix, ShorthandFix::edits($check->fix, $read)));
    }
}

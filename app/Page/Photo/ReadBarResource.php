<?php

declare(strict_types=1);

namespace App\Page\Photo;

use App\Api\ListOf;
use App\Http\English;
use Nasturtium\Core\Formats\Photo\PhotoPiece;
use Nasturtium\Core\Formats\Photo\ReadPhoto;
use Nasturtium\Core\Score\Event;
use OpenApi\Attributes as OA;

/** A bar that was read of a picture. */
#[OA\Schema]
final readonly class ReadBarResource
{
    /**
     * @param int                     $number as it is counted
     * @param int                     $line   of the page, from 0
     * @param list<string>            $checks what does not add up in it
     * @param list<ReadStaffResource> $staves from the top
     */
    public function __construct(
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public int $line,
        #[ListOf('string')]
        public array $checks,
        #[ListOf(ReadStaffResource::class)]
        public array $staves,
    ) {}

    /**
     * @param array<int, Event> $events that are engraved, by token
     * @param list<string>       $checks
     */
    public static function of(ReadPhoto $read, int $n, int $number, array $events, array $checks): self
    {
        $bar = $read->bars[$n];
        $why = [];
        foreach ($bar->doubts as [$staff, $reason]) {
            $why[$staff - 1][] = $reason;
        }
        $staves = [];
        foreach ($bar->staves as $i => $signs) {
            $own = [];
            foreach ($signs as $k => $sign) {
                $own[] = ReadSignResource::of($sign, $events[PhotoPiece::token($n, $i, $k)] ?? null, English::words());
            }
            [$from, $to] = $bar->columns[$i] ?? [0, 0];
            $staves[] = new ReadStaffResource($from, $to, $why[$i] ?? [], $own, $bar->doubtful($i), isset($bar->others[$i]));
        }

        return new self($number, $bar->line, $checks, $staves);
    }
}

<?php

declare(strict_types=1);

namespace App\Page\Photo;

use App\Api\ListOf;
use Nasturtium\Core\Counting\NoteLength;
use Nasturtium\Core\Counting\NoteWords;
use Nasturtium\Core\Formats\Photo\ReadSign;
use Nasturtium\Core\Score\Event;
use OpenApi\Attributes as OA;

/** A note, a chord or a rest that was read of a picture. */
#[OA\Schema]
final readonly class ReadSignResource
{
    /**
     * @param int          $x     column of the line's picture
     * @param string       $id    of the event that is engraved for it
     * @param string       $length as it is called; empty for one that no single note has
     * @param list<ReadHeadResource> $heads from the lowest; none for a rest
     */
    public function __construct(
        #[OA\Property]
        public int $x,
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $length,
        #[ListOf(ReadHeadResource::class)]
        public array $heads,
    ) {}

    public static function of(ReadSign $sign, ?Event $event, NoteWords $words): self
    {
        $heads = [];
        foreach ($sign->heads as $h => $head) {
            $heads[] = new ReadHeadResource(($event->notes[$h] ?? null)?->pitch->name() ?? '', $head->finger, $head->tied);
        }
        $length = $event === null ? null : NoteLength::of($event);

        return new self($sign->x, $event->id ?? '', $length === null ? '' : $words->name($length), $heads);
    }
}

<?php

declare(strict_types=1);

namespace App\Page\Photo;

use App\Http\English;
use OpenApi\Attributes as OA;

/** A picture of a page, and how far it is. */
#[OA\Schema]
final readonly class PhotoResource
{
    /**
     * @param string      $where  book and page, in words
     * @param string      $step   what is done now, as `staves`; empty until it is begun
     * @param int         $done   of the step
     * @param string      $reason why it could not be read; empty otherwise
     * @param bool        $isRead whether there is something to look at, be it from before
     * @param string|null $url    what the phone opens, told once
     */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public int $pageId,
        #[OA\Property]
        public string $where,
        #[OA\Property]
        public PhotoState $state,
        #[OA\Property]
        public string $step,
        #[OA\Property]
        public int $done,
        #[OA\Property]
        public int $of,
        #[OA\Property]
        public string $reason,
        #[OA\Property]
        public bool $isRead,
        #[OA\Property]
        public ?string $url,
    ) {}

    /** Needs its page with the book. */
    public static function of(PagePhoto $photo, ?string $url = null): self
    {
        return new self($photo->id, $photo->page_id, $photo->page->inBook(), $photo->state, $photo->step, $photo->done, $photo->of, English::text($photo->reason), $photo->revision > 0, $url);
    }
}

<?php

declare(strict_types=1);

namespace App\Page\Photo;

use App\Page\Page;
use Illuminate\Validation\ValidationException;

/** Makes room for a picture of a page that is to come. */
final class AwaitPhoto
{
    /** Pictures of a studio that are read or looked at, at one time. */
    private const MOST = 30;

    /** @throws ValidationException with too many of them */
    public function __invoke(Page $page): PagePhoto
    {
        if (PagePhoto::query()->where('studio_id', $page->studio_id)->count() >= self::MOST) {
            throw ValidationException::withMessages(['file' => self::MOST.' pictures are open already. Look through some of them first, or delete them.']);
        }

        return PagePhoto::query()->create(['studio_id' => $page->studio_id, 'page_id' => $page->id, 'state' => PhotoState::Awaited]);
    }
}

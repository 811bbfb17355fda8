<?php

declare(strict_types=1);

namespace App\Page;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A method book as the teacher has it.
 *
 * @property int $id
 * @property int $studio_id
 * @property string $title
 * @property string $level
 * @property-read Collection<int, Page> $pages
 */
final class Book extends Model
{
    protected $guarded = [];

    /** @return HasMany<Page, $this> */
    public function pages(): HasMany
    {
        return $this->hasMany(Page::class);
    }
}

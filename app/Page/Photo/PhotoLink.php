<?php

declare(strict_types=1);

namespace App\Page\Photo;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * What a phone opens to send one picture; only the hash of its token is kept.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $page_photo_id
 * @property string $token_hash
 * @property CarbonImmutable $until
 * @property ?CarbonImmutable $used_at
 * @property-read PagePhoto $photo
 */
final class PhotoLink extends Authenticatable
{
    public const MINUTES = 10;

    protected $guarded = [];

    public function opens(): bool
    {
        return $this->used_at === null && $this->until->isFuture();
    }

    /** Uses it up; false where it was before. */
    public function claim(): bool
    {
        return self::query()->whereKey($this->id)->whereNull('used_at')->update(['used_at' => now()]) === 1;
    }

    /** What came could not be taken: it may be tried again. */
    public function release(): void
    {
        self::query()->whereKey($this->id)->update(['used_at' => null]);
    }

    /** @return BelongsTo<PagePhoto, $this> */
    public function photo(): BelongsTo
    {
        return $this->belongsTo(PagePhoto::class, 'page_photo_id');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['until' => 'immutable_datetime', 'used_at' => 'immutable_datetime'];
    }
}

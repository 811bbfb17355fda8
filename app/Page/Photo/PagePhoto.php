<?php

declare(strict_types=1);

namespace App\Page\Photo;

use App\Page\Page;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\Storage;
use Nasturtium\Core\Formats\Photo\Corners;
use Nasturtium\Core\Formats\Photo\PageCodec;
use Nasturtium\Core\Formats\Photo\ReadPage;

/**
 * A picture of a page while it is read and looked at; gone once its pieces are typed.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $page_id
 * @property PhotoState $state
 * @property string $step
 * @property int $done
 * @property int $of
 * @property string $reason
 * @property ?string $upload
 * @property int $pdf_page
 * @property ?string $corners
 * @property ?string $reading
 * @property ?string $corrections
 * @property int $revision
 * @property string $typed
 * @property ?CarbonImmutable $created_at
 * @property-read Page $page
 */
final class PagePhoto extends Model
{
    /** The disk that uploads stand on until they are read. */
    public const DISK = 'photos';

    /** What a list needs of it. */
    public const SHORT = ['id', 'studio_id', 'page_id', 'state', 'step', 'done', 'of', 'reason', 'revision', 'typed', 'created_at'];

    protected $guarded = [];

    protected $attributes = ['step' => '', 'done' => 0, 'of' => 1, 'reason' => '', 'pdf_page' => 1, 'revision' => 0, 'typed' => ''];

    /** As it was read, before anything was corrected; null until then. */
    public function asRead(): ?ReadPage
    {
        return $this->reading === null ? null : PageCodec::read($this->reading);
    }

    public function cornersSet(): ?Corners
    {
        if ($this->corners === null) {
            return null;
        }
        /** @var list<array{float, float}> $points */
        $points = json_decode($this->corners, true, 4, JSON_THROW_ON_ERROR);

        return Corners::of($points);
    }

    /** @return list<int> pieces that went on to be typed */
    public function typedPieces(): array
    {
        return $this->typed === '' ? [] : array_map(intval(...), explode(',', $this->typed));
    }

    /** With the file that it came as. */
    public function erase(): void
    {
        if ($this->upload !== null) {
            Storage::disk(self::DISK)->delete($this->upload);
        }
        $this->delete();
    }

    /** @return BelongsTo<Page, $this> */
    public function page(): BelongsTo
    {
        return $this->belongsTo(Page::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['state' => PhotoState::class, 'created_at' => 'immutable_datetime'];
    }
}

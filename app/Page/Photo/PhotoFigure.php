<?php

declare(strict_types=1);

namespace App\Page\Photo;

use Illuminate\Database\Eloquent\Model;
use Nasturtium\Core\Formats\Photo\ReadingFigure;

/**
 * How well a page was read, by what the teacher corrected; nothing of the page itself.
 *
 * @property int $studio_id
 * @property int $notes
 * @property int $right
 * @property int $fingers
 * @property int $known
 * @property int $signs
 * @property int $doubts
 * @property int $needless
 */
final class PhotoFigure extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, int> how many pages, and the sums of their counts */
    public static function sums(int $studioId): array
    {
        $counts = ['notes', 'right', 'fingers', 'known', 'doubts', 'needless'];
        $sums = (array) self::query()->where('studio_id', $studioId)->toBase()
            ->selectRaw('count(*) as pages, '.implode(', ', array_map(static fn (string $count): string => "sum(`{$count}`) as `{$count}`", $counts)))->first();

        return array_map(static fn (string $count): int => is_numeric($sums[$count] ?? null) ? (int) $sums[$count] : 0, array_combine(['pages', ...$counts], ['pages', ...$counts]));
    }

    public static function keep(int $studioId, string $on, ReadingFigure $figure): void
    {
        $most = static fn (int $count): int => min(65_535, $count);
        self::query()->create(['studio_id' => $studioId, 'read_on' => $on, ...array_map($most, get_object_vars($figure))]);
    }
}

<?php

declare(strict_types=1);

namespace App\Page\Photo;

use Illuminate\Database\Eloquent\Model;

/**
 * A line of a page as it was seen, drawn straight; or the whole page upright.
 *
 * @property int $page_photo_id
 * @property int $position
 * @property int $width
 * @property int $height
 * @property string $tops
 * @property string $picture
 */
final class PhotoLine extends Model
{
    public const WHOLE = -1;

    public $timestamps = false;

    protected $guarded = [];

    public static function jpeg(PagePhoto $photo, int $position): string
    {
        return self::query()->where('page_photo_id', $photo->id)->where('position', $position)->firstOrFail()->picture;
    }
}

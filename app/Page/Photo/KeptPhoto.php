<?php

declare(strict_types=1);

namespace App\Page\Photo;

use Illuminate\Database\Eloquent\Model;

/**
 * A photo that a teacher keeps with its page, for her alone; it is erased with the page.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $page_id
 * @property string $picture
 */
final class KeptPhoto extends Model
{
    /** Signs of a picture as base64. */
    private const LONGEST = 12_000_000;

    protected $guarded = [];

    /** Whether something is a JPEG as base64. */
    public static function isPicture(mixed $value): bool
    {
        return is_string($value) && strlen($value) <= self::LONGEST && str_starts_with($value, '/9j/')
            && strspn($value, 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/') === strlen(rtrim($value, '='));
    }
}

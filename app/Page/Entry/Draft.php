<?php

declare(strict_types=1);

namespace App\Page\Entry;

use App\Page\Page;
use App\Page\Piece\Piece;
use Illuminate\Database\Eloquent\Model;

/**
 * What is being typed and is not saved yet: a new piece of a page, or a correction of a piece.
 *
 * @property int $id
 * @property int $studio_id
 * @property ?int $page_id
 * @property ?int $piece_id
 * @property string $text
 * @property string $label
 * @property int $revision
 */
final class Draft extends Model
{
    protected $guarded = [];

    /** The draft for a page or a piece, if there is one. */
    public static function of(Page|Piece $place): ?self
    {
        return self::query()->where(self::column($place), $place->id)->first();
    }

    /** @return 'page_id'|'piece_id' */
    public static function column(Page|Piece $place): string
    {
        return $place instanceof Page ? 'page_id' : 'piece_id';
    }
}

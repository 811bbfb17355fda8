<?php

declare(strict_types=1);

namespace App\Page;

use App\Page\Piece\Piece;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Nasturtium\Core\Formats\Book\PageKind;

/**
 * A page of a book.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $book_id
 * @property int $number
 * @property string $title
 * @property PageKind $kind
 * @property string $introduces
 * @property-read Book $book
 * @property-read Collection<int, Piece> $pieces
 */
final class Page extends Model
{
    protected $guarded = [];

    /** @return BelongsTo<Book, $this> */
    public function book(): BelongsTo
    {
        return $this->belongsTo(Book::class);
    }

    /** Where it stands, in words: `The Windowsill Book, p. 3`. Needs its book. */
    public function inBook(): string
    {
        return self::words($this->book->title, $this->number);
    }

    public static function words(string $book, int $number): string
    {
        return "{$book}, p. {$number}";
    }

    /** @return HasMany<Piece, $this> */
    public function pieces(): HasMany
    {
        return $this->hasMany(Piece::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => PageKind::class];
    }
}

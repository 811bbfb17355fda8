<?php

declare(strict_types=1);

namespace App\Demo\Scale;

use App\Account\Studio;
use App\Page\Book;
use App\Page\Page;
use App\Page\Piece\NoteNames;
use App\Page\Piece\Piece;
use App\Page\Piece\StorePiece;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Path\Path;
use Nasturtium\Core\Path\PathKind;
use Nasturtium\Core\Path\Stage;
use Nasturtium\Core\Path\Stages;
use Nasturtium\Core\Score\Measure;

/** Books enough for years, and what is known of each piece, worked out once for all students. */
final class ScaledBooks
{
    private const TITLES = ['Long Meadow One', 'Long Meadow Two', 'Long Meadow Three', 'Long Meadow Four', 'Long Meadow Five'];

    private const PAGES = 40;

    /** @var array<string, list<Stage>> by piece and path */
    private array $stages = [];

    /** @var array<int, list<string>> names of the notes of each measure, by piece */
    private array $names = [];

    /** @var list<Piece> in the order they are learnt */
    public readonly array $pieces;

    public function __construct(Studio $studio, StorePiece $store, private readonly NoteNames $noteNames)
    {
        DB::transaction(function () use ($studio, $store): void {
            foreach (Book::query()->where('studio_id', $studio->id)->exists() ? [] : self::TITLES as $at => $title) {
                $book = Book::query()->create(['studio_id' => $studio->id, 'title' => $title, 'level' => 'Level '.($at + 1)]);
                for ($number = 1; $number <= self::PAGES; $number++) {
                    $page = Page::query()->create(['studio_id' => $studio->id, 'book_id' => $book->id, 'number' => $number + 3, 'title' => '', 'kind' => 'pieces', 'introduces' => '']);
                    $store->fromShorthand($page, InventedTunes::tune($at * self::PAGES + $number), '');
                }
            }
        });
        $this->pieces = array_values(Piece::query()->where('studio_id', $studio->id)->orderBy('id')->get()->all());
    }

    /** @return list<Stage> */
    public function stages(Piece $piece, PathKind $path): array
    {
        return $this->stages["{$piece->id} {$path->value}"] ??= Stages::of($piece->score(), Path::shipped($path));
    }

    /** The names of the notes of a measure, as a slip keeps them. */
    public function names(Piece $piece, int $measure): string
    {
        $this->names[$piece->id] ??= array_map(fn (Measure $of): string => $this->noteNames->of($of), $piece->score()->measures);

        return $this->names[$piece->id][$measure] ?? '';
    }
}

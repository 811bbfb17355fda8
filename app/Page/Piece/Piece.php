<?php

declare(strict_types=1);

namespace App\Page\Piece;

use App\Desk\OwnFinger;
use App\Desk\Verdict;
use App\Page\Page;
use App\Student\Learning\Learning;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Score\Piece as Score;

/**
 * A piece of a page; its music is kept as MusicXML.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $page_id
 * @property string $label
 * @property string $title
 * @property ?string $music null while it is not typed
 * @property ?string $duet the teacher's part
 * @property int $octave that the student plays above what is written
 * @property ?string $shorthand
 * @property int $revision
 * @property int $measures none while it is not typed
 * @property string $note_names
 * @property string $not_read
 * @property ?string $thorns indices of measures; null while nobody has asked
 * @property-read Page $page
 * @property-read Collection<int, Learning> $learnings
 * @property-read Collection<int, OwnFinger> $ownFingers
 * @property-read Collection<int, Verdict> $verdicts
 */
final class Piece extends Model
{
    protected $guarded = [];

    /**
     * The piece as the core knows it.
     *
     * @throws NoMusic
     */
    public function score(): Score
    {
        return MusicXmlReader::kept($this->music ?? throw NoMusic::yet());
    }

    public function isTyped(): bool
    {
        return $this->measures > 0;
    }

    /** What stands for a page whose music is not typed, so that it is opened, planned and heard like any other. */
    public static function untyped(Page $page): self
    {
        return self::query()->where('page_id', $page->id)->orderBy('label')->orderBy('id')->first() ?? self::query()->create([
            'studio_id' => $page->studio_id, 'page_id' => $page->id, 'label' => '', 'title' => $page->title === '' ? "Page {$page->number}" : $page->title,
            'music' => null, 'revision' => 0, 'measures' => 0, 'note_names' => '', 'not_read' => '',
        ]);
    }

    /** @return list<string> */
    public function noteNames(): array
    {
        return $this->note_names === '' ? [] : explode(',', $this->note_names);
    }

    /** @return BelongsTo<Page, $this> */
    public function page(): BelongsTo
    {
        return $this->belongsTo(Page::class);
    }

    /** @return HasMany<Learning, $this> */
    public function learnings(): HasMany
    {
        return $this->hasMany(Learning::class);
    }

    /** @return HasMany<OwnFinger, $this> */
    public function ownFingers(): HasMany
    {
        return $this->hasMany(OwnFinger::class);
    }

    /** @return HasMany<Verdict, $this> */
    public function verdicts(): HasMany
    {
        return $this->hasMany(Verdict::class);
    }

    /** @return array{string, int} the title of its book, and the number of its page */
    public function whereabouts(): array
    {
        $at = DB::table('pages')->join('books', 'books.id', '=', 'pages.book_id')->where('pages.id', $this->page_id)->first(['books.title', 'pages.number']);

        return [(string) ($at->title ?? ''), (int) ($at->number ?? 0)];
    }
}

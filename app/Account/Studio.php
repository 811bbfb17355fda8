<?php

declare(strict_types=1);

namespace App\Account;

use App\Page\Book;
use App\Student\Paths\OwnPath;
use App\Student\Student;
use App\Student\Timetable\Holiday;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Nasturtium\Core\Counting\NoteWords;

/**
 * A teacher's studio: everything else belongs to one.
 *
 * @property int $id
 * @property string $name
 * @property NoteWords $words
 * @property Paper $paper
 * @property string $timezone
 * @property ?array<string, string> $phrases the sentences for lines and spaces, by place
 * @property ?array<string, string> $count_words by length
 * @property int $consent_age below it a home link needs a parent's consent
 * @property int $keep_drafts days
 * @property int $keep_mails days
 * @property bool $is_demo made to look around in
 * @property-read Collection<int, Student> $students
 * @property-read Collection<int, Book> $books
 * @property-read Collection<int, Holiday> $holidays those of all students among them
 */
final class Studio extends Model
{
    protected $guarded = [];

    /** Today where the studio is. */
    public function today(): CarbonImmutable
    {
        return CarbonImmutable::now($this->timezone)->startOfDay()->shiftTimezone('UTC');
    }

    /** @return HasMany<Student, $this> */
    public function students(): HasMany
    {
        return $this->hasMany(Student::class);
    }

    /** @return HasMany<Book, $this> */
    public function books(): HasMany
    {
        return $this->hasMany(Book::class);
    }

    /** @return HasMany<Holiday, $this> */
    public function holidays(): HasMany
    {
        return $this->hasMany(Holiday::class);
    }

    /** @return HasMany<OwnPath, $this> */
    public function paths(): HasMany
    {
        return $this->hasMany(OwnPath::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['words' => NoteWords::class, 'paper' => Paper::class, 'phrases' => 'array', 'count_words' => 'array', 'is_demo' => 'boolean'];
    }
}

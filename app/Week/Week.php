<?php

declare(strict_types=1);

namespace App\Week;

use App\Account\OfStudent;
use App\Lesson\Lesson;
use App\Student\Family\FamilyLink;
use App\Student\Family\FamilyWord;
use App\Student\Family\FamilyWordResource;
use App\Student\Student;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * The assignment from one lesson to the next.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $student_id
 * @property CarbonImmutable $starts_on
 * @property CarbonImmutable $ends_on
 * @property ?Carbon $sent_at
 * @property string $message to the family
 * @property int $share percent of the minutes that are planned
 * @property ?CarbonImmutable $planned_on the day from which it was planned last
 * @property ?list<array{id: int, name: string, instruction: string, dates: list<string>}> $sent_plan as the family has it
 * @property-read Student $student
 * @property-read Collection<int, Task> $tasks
 */
final class Week extends Model implements OfStudent
{
    protected $guarded = [];

    public function studentId(): int
    {
        return $this->student_id;
    }

    /** As `noteOfLesson`; read with all that is shown. */
    public string $lessonNote = '';

    /** @var list<FamilyWordResource> of its days */
    public array $familyWords = [];

    /** @var list<string> labels of the home links that show it */
    public array $links = [];

    /** With its tasks and days, as it is shown. */
    public function whole(): self
    {
        $this->loadMissing(WeekDays::RELATIONS);
        $today = $this->student->today();
        $links = FamilyLink::query()->where('student_id', $this->student_id)->orderBy('id')->get();
        $this->links = array_values($links->filter(static fn (FamilyLink $link): bool => $link->opens($today))->map(static fn (FamilyLink $link): string => $link->label)->all());
        $this->lessonNote = $this->noteOfLesson();
        $this->familyWords = FamilyWord::between($this->student_id, $this->starts_on, $this->ends_on);

        return $this;
    }

    /** What the teacher wrote for the family at the lesson that the week begins with. */
    public function noteOfLesson(): string
    {
        return (string) Lesson::query()->where('student_id', $this->student_id)->where('held_on', $this->starts_on->toDateString())->value('shared_note');
    }

    /** @return BelongsTo<Student, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(Student::class);
    }

    /** @return HasMany<Task, $this> in the order they were set */
    public function tasks(): HasMany
    {
        $tasks = $this->hasMany(Task::class);
        $tasks->orderBy('tasks.id');

        return $tasks;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['starts_on' => 'immutable_date:Y-m-d', 'ends_on' => 'immutable_date:Y-m-d', 'sent_at' => 'datetime', 'planned_on' => 'immutable_date:Y-m-d', 'sent_plan' => 'array'];
    }
}

<?php

declare(strict_types=1);

namespace App\Student;

use App\Http\Asked;
use Carbon\CarbonImmutable;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Counting\CompoundBeats;
use Nasturtium\Core\Counting\CountingSystem;
use Nasturtium\Core\Counting\CountStyle;
use Nasturtium\Core\Counting\LongNotes;
use Nasturtium\Core\Practice\OwnPace;
use Nasturtium\Core\Reading\LandmarkLevel;
use Nasturtium\Core\Reading\School;

/** A student as the teacher describes them. The policy stands on the route. */
final class StudentRequest extends Asked
{
    use ChoosesPath;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'firstName' => ['required', 'string', 'max:60'],
            'initial' => ['required', 'string', 'max:2'],
            'age' => ['required', 'integer', 'between:3,110'],
            'lessonWeekday' => ['required', 'integer', 'between:1,7'],
            'lessonTime' => ['required', 'date_format:H:i'],
            'lessonMinutes' => ['required', 'integer', 'between:10,180'],
            'secondWeekday' => ['nullable', 'integer', 'between:1,7', 'different:lessonWeekday'],
            'secondTime' => ['nullable', 'required_with:secondWeekday', 'date_format:H:i'],
            'secondMinutes' => ['nullable', 'required_with:secondWeekday', 'integer', 'between:10,180'],
            'timezone' => ['nullable', 'timezone:all'],
            'together' => ['sometimes', 'boolean'],
            'familyMail' => ['nullable', 'email', 'max:190'],
            ...$this->pathRules(),
            'school' => ['required', Rule::enum(School::class)],
            'landmarkLevel' => ['required', 'integer', Rule::enum(LandmarkLevel::class)],
            'counting' => ['required', Rule::enum(CountingSystem::class)],
            'countStyle' => ['required', Rule::enum(CountStyle::class)],
            'landmarkMiddle' => ['required', 'boolean'],
            'heardPasses' => ['sometimes', 'boolean'],
            'longNotes' => ['required', Rule::enum(LongNotes::class)],
            'compoundBeats' => ['required', Rule::enum(CompoundBeats::class)],
            'countReady' => ['present', 'nullable', 'string', 'max:40'],
            'handSpan' => ['required', 'integer', 'between:4,12'],
            'pace' => ['nullable', 'integer', 'between:'.OwnPace::LEAST.','.OwnPace::MOST],
            'practiceDays' => ['present', 'array', 'max:7'],
            'practiceDays.*.weekday' => ['required', 'integer', 'between:1,7', 'distinct'],
            'practiceDays.*.minutes' => ['required', 'integer', 'between:0,240'],
        ];
    }

    /** @return array<string, mixed> the columns of a student */
    public function columns(CarbonImmutable $today): array
    {
        return [
            'first_name' => $this->string('firstName')->trim()->toString(),
            'initial' => $this->string('initial')->trim()->rtrim('.')->toString(),
            'birth_year' => $today->year - $this->integer('age'),
            'lesson_weekday' => $this->integer('lessonWeekday'),
            'lesson_time' => $this->string('lessonTime')->toString(),
            'lesson_minutes' => $this->integer('lessonMinutes'),
            'second_weekday' => $this->input('secondWeekday'),
            'second_time' => $this->filled('secondWeekday') ? $this->input('secondTime') : null,
            'second_minutes' => $this->filled('secondWeekday') ? $this->input('secondMinutes') : null,
            'timezone' => $this->input('timezone'),
            'family_mail' => $this->input('familyMail'),
            ...$this->pathColumns(),
            'school' => $this->string('school')->toString(),
            'landmark_level' => $this->integer('landmarkLevel'),
            'counting' => $this->string('counting')->toString(),
            'count_style' => $this->string('countStyle')->toString(),
            'landmark_middle' => $this->boolean('landmarkMiddle'),
            ...($this->has('heardPasses') ? ['heard_passes' => $this->boolean('heardPasses')] : []),
            'long_notes' => $this->string('longNotes')->toString(),
            'compound_beats' => $this->string('compoundBeats')->toString(),
            'count_ready' => $this->string('countReady')->squish()->toString(),
            'hand_span' => $this->integer('handSpan'),
            'pace' => $this->input('pace'),
        ];
    }

    /** @return list<array{weekday: int, minutes: int}> days without minutes left out */
    public function days(): array
    {
        $days = [];
        foreach ((array) $this->input('practiceDays') as $day) {
            if ((int) $day['minutes'] > 0) {
                $days[] = ['weekday' => (int) $day['weekday'], 'minutes' => (int) $day['minutes']];
            }
        }

        return $days;
    }
}

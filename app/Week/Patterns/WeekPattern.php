<?php

declare(strict_types=1);

namespace App\Week\Patterns;

use Illuminate\Database\Eloquent\Model;

/**
 * Tasks of a week to be given again, to anybody: those that are not tied to a page.
 *
 * @property int $id
 * @property int $studio_id
 * @property string $name
 * @property list<array{kind: string, title: string, instruction: string, halfMinutes: int, repetitions: int, mostDays: int}> $tasks
 */
final class WeekPattern extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['tasks' => 'array'];
    }
}

<?php

declare(strict_types=1);

namespace App\Drill;

use App\Http\Asked;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Drill\DrillKind;

/** What was answered in a session. The policy stands on the route. */
final class AnswersRequest extends Asked
{
    /** More than anybody answers in the longest session. */
    private const MOST = 300;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'studentId' => ['required', 'integer'],
            'session' => ['required', 'uuid'],
            'kind' => ['required', Rule::enum(DrillKind::class)],
            'answers' => ['required', 'array', 'max:'.self::MOST],
            'answers.*.card' => ['required', 'string', 'max:80'],
            'answers.*.right' => ['required', 'boolean'],
            'answers.*.milliseconds' => ['required', 'integer', 'between:0,600000'],
            'answers.*.given' => ['present', 'nullable', 'string', 'max:40'],
            'answers.*.at' => ['required', 'date'],
        ];
    }

    /** @return list<array{card: string, right: bool, milliseconds: int, given: string, at: string}> in their order */
    public function answers(): array
    {
        return array_values(array_map(static fn (array $answer): array => [
            'card' => (string) $answer['card'],
            'right' => (bool) $answer['right'],
            'milliseconds' => (int) $answer['milliseconds'],
            'given' => (string) $answer['given'],
            'at' => (string) $answer['at'],
        ], (array) $this->input('answers')));
    }
}

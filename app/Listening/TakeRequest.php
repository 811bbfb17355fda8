<?php

declare(strict_types=1);

namespace App\Listening;

use App\Http\Asked;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Performance\Hearing\Source;

/** A take from home. The policy stands on the route. */
final class TakeRequest extends Asked
{
    /** Four minutes of quick notes; more than fit into a request are refused anyway. */
    private const MOST = 1_200;

    private const LONGEST = 900;

    private const OF_A_NOTE = ['t' => true, 'off' => true, 'pitch' => true, 'vel' => true, 'p' => true];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'part' => ['required', 'integer', 'between:0,99'],
            // Of a led run, the phrase that was played; else the part of the task.
            'first' => ['sometimes', 'integer', 'between:0,4999', 'required_with:last'],
            'last' => ['sometimes', 'integer', 'gte:first', 'max:4999', 'required_with:first'],
            ...self::ofNotes(),
        ];
    }

    /** @return array<string, list<mixed>> of what was played, whatever it is of */
    public static function ofNotes(): array
    {
        return [
            'clientKey' => ['required', 'uuid'],
            'source' => ['required', Rule::enum(Source::class)],
            'at' => ['required', 'date'],
            'notes' => ['required', 'array', 'max:'.self::MOST],
            'notes.*.t' => ['required', 'numeric', 'between:0,'.self::LONGEST],
            'notes.*.off' => ['required', 'numeric', 'gte:notes.*.t', 'max:'.self::LONGEST],
            'notes.*.pitch' => ['required', 'integer', 'between:0,127'],
            'notes.*.vel' => ['sometimes', 'integer', 'between:0,127'],
            'notes.*.p' => ['sometimes', 'numeric', 'between:0,1'],
        ];
    }

    /** @return ?array{int, int} indices of the first and last measure; null for the part of the task */
    public function phrase(): ?array
    {
        return $this->has('first') ? [$this->integer('first'), $this->integer('last')] : null;
    }

    /** As it is kept. */
    public function take(): string
    {
        return self::written((array) $this->input('notes'));
    }

    /** @param array<mixed> $given notes that were looked at */
    public static function written(array $given): string
    {
        $notes = [];
        foreach ($given as $note) {
            $notes[] = array_map(static fn (mixed $value): float => is_numeric($value) ? (float) $value : 0.0, array_intersect_key((array) $note, self::OF_A_NOTE));
        }

        return json_encode(['notes' => $notes], JSON_THROW_ON_ERROR);
    }
}

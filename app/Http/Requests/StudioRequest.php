<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Nasturtium\Core\Counting\LengthWords;
use Nasturtium\Core\Reading\Phrases;
use Nasturtium\Core\Score\InvalidScore;

/** The settings of a studio. The policy stands on the route. */
final class StudioRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'words' => ['required', 'in:us,uk'],
            'paper' => ['required', 'in:a4,letter'],
            'timezone' => ['required', 'timezone:all'],
            'phrases' => ['sometimes', 'array', $this->reads(Phrases::of(...))],
            'phrases.*' => ['nullable', 'string'],
            'countWords' => ['sometimes', 'array', $this->reads(LengthWords::of(...))],
            'countWords.*' => ['nullable', 'string'],
        ];
    }

    /** @return array<string, mixed> the columns of a studio; words left empty are none */
    public function columns(): array
    {
        $columns = $this->only(['name', 'words', 'paper', 'timezone']);
        foreach (['phrases' => 'phrases', 'countWords' => 'count_words'] as $field => $column) {
            if ($this->has($field)) {
                $columns[$column] = self::words($this->input($field));
            }
        }

        return $columns;
    }

    /**
     * @param  Closure(array<string, string>): mixed  $read  throws where the words are none
     * @return Closure(string, mixed, Closure): void
     */
    private function reads(Closure $read): Closure
    {
        return static function (string $name, mixed $value, Closure $fail) use ($read): void {
            try {
                $read(self::words($value));
            } catch (InvalidScore $reason) {
                $fail(ucfirst($reason->getMessage()).'.');
            }
        };
    }

    /** @return array<string, string> */
    private static function words(mixed $given): array
    {
        $words = [];
        foreach (is_array($given) ? $given : [] as $place => $said) {
            if (is_string($said) && trim($said) !== '') {
                $words[(string) $place] = trim($said);
            }
        }

        return $words;
    }
}

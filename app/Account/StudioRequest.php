<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Asked;
use Closure;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Counting\LengthWords;
use Nasturtium\Core\Counting\NoteWords;
use Nasturtium\Core\Reading\Phrases;
use Nasturtium\Core\Refusal;

/** The settings of a studio. The policy stands on the route. */
final class StudioRequest extends Asked
{
    public const MAPS = ['phrases', 'countWords'];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return self::settings();
    }

    /** @return array<string, list<mixed>> what the settings of a studio are held to, whoever sends them */
    public static function settings(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'words' => ['required', Rule::enum(NoteWords::class)],
            'paper' => ['required', Rule::enum(Paper::class)],
            'timezone' => ['required', 'timezone:all'],
            'consentAge' => ['sometimes', 'integer', 'between:0,21'],
            'keepDrafts' => ['sometimes', 'integer', 'between:7,3650'],
            'keepMails' => ['sometimes', 'integer', 'between:7,3650'],
            'phrases' => ['sometimes', 'array', 'max:40', self::reads(Phrases::of(...))],
            'phrases.*' => ['nullable', 'string'],
            'countWords' => ['sometimes', 'array', 'max:40', self::reads(LengthWords::of(...))],
            'countWords.*' => ['nullable', 'string'],
        ];
    }

    /** @return array<string, mixed> the columns of a studio; words left empty are none */
    public function columns(): array
    {
        return self::asColumns($this->only(array_keys(self::settings())));
    }

    /**
     * @param  array<string, mixed>  $fields  that were found to be right
     * @return array<string, mixed>
     */
    public static function asColumns(array $fields): array
    {
        $columns = array_intersect_key($fields, array_flip(['name', 'words', 'paper', 'timezone']));
        foreach (['phrases' => 'phrases', 'countWords' => 'count_words'] as $field => $column) {
            if (isset($fields[$field])) {
                $columns[$column] = self::words($fields[$field]);
            }
        }
        foreach (['consentAge' => 'consent_age', 'keepDrafts' => 'keep_drafts', 'keepMails' => 'keep_mails'] as $field => $column) {
            if (isset($fields[$field]) && is_numeric($fields[$field])) {
                $columns[$column] = (int) $fields[$field];
            }
        }

        return $columns;
    }

    /**
     * @param  Closure(array<string, string>): mixed  $read  throws where the words are none
     * @return Closure(string, mixed, Closure): void
     */
    private static function reads(Closure $read): Closure
    {
        return static function (string $name, mixed $value, Closure $fail) use ($read): void {
            try {
                $read(self::words($value));
            } catch (Refusal $reason) {
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

<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Contracts\Validation\Factory;
use Illuminate\Contracts\Validation\Validator;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;

/**
 * What is asked, held to its rules. First its shape: a list is a list and no longer than it may be before any of its
 * members is looked at, and nothing else is one. What comes as JSON has the types it says: "5" is no number there. Dates
 * are of the years that people plan in.
 */
abstract class Asked extends FormRequest
{
    private const FIRST_DAY = '2000-01-01';

    private const LAST_DAY = '2099-12-31';

    private const STRICT = ['integer' => 'integer:strict', 'boolean' => 'boolean:strict', 'numeric' => 'numeric:strict'];

    /** Of a text whose rules name no length. */
    private const LONGEST_TEXT = 1_000;

    /** Fields whose members have names of their own, where others are lists. */
    public const MAPS = [];

    /** @return array<string, list<mixed>> by the name of what is sent */
    abstract public function rules(): array;

    /** @return string the path of the file that was sent under a name */
    public function uploaded(string $name = 'file'): string
    {
        $file = $this->file($name);

        return $file instanceof UploadedFile ? (string) $file->getRealPath() : '';
    }

    protected function createDefaultValidator(Factory $factory): Validator
    {
        $rules = $this->rules();
        $names = array_keys($rules);
        usort($names, static fn (string $a, string $b): int => substr_count($a, '.') <=> substr_count($b, '.'));
        foreach ($names as $name) {
            $this->holdShape($this->all(), explode('.', $name), $rules[$name], []);
        }
        $rules = array_map($this->withTypes(...), $rules);

        return $factory->make($this->validationData(), $rules, $this->messages(), $this->attributes());
    }

    /**
     * @param  list<string>  $path  what is left of the way to the field
     * @param  list<mixed>  $rules
     * @param  list<string|int>  $at  the way so far
     *
     * @throws ValidationException
     */
    private function holdShape(mixed $given, array $path, array $rules, array $at): void
    {
        if ($path === []) {
            $this->holdValue($given, $rules, implode('.', $at));

            return;
        }
        if (! is_array($given)) {
            return;
        }
        $next = array_shift($path);
        foreach ($next === '*' ? array_keys($given) : (array_key_exists($next, $given) ? [$next] : []) as $key) {
            $this->holdShape($given[$key], $path, $rules, [...$at, $key]);
        }
    }

    /** @param list<mixed> $rules */
    private function holdValue(mixed $given, array $rules, string $name): void
    {
        $most = null;
        foreach ($rules as $rule) {
            $most ??= is_string($rule) && preg_match('/^(?:max|between):(?:\d+,)?(\d+)$/', $rule, $found) === 1 ? (int) $found[1] : null;
        }
        if (in_array('array', $rules, true)) {
            if (is_array($given) && $most !== null && count($given) > $most) {
                throw ValidationException::withMessages([$name => "There are more than {$most} of these."]);
            }
        } elseif (is_array($given)) {
            throw ValidationException::withMessages([$name => 'This is one value, not a list.']);
        } elseif (is_string($given) && str_contains($given, "\0")) {
            throw ValidationException::withMessages([$name => 'There is a sign in it that cannot be kept.']);
        } elseif ($given !== null && ! is_string($given) && preg_grep('/^date_format:/', array_filter($rules, is_string(...))) !== []) {
            // Other fields are held against it as a date.
            throw ValidationException::withMessages([$name => 'This is no date.']);
        } elseif (is_string($given) && $most === null && mb_strlen($given) > self::LONGEST_TEXT) {
            throw ValidationException::withMessages([$name => 'Use '.self::LONGEST_TEXT.' letters or fewer.']);
        }
    }

    /**
     * @param  list<mixed>  $rules
     * @return list<mixed>
     */
    private function withTypes(array $rules): array
    {
        // A query says everything as text, whatever the header says.
        if ($this->isJson() && ! $this->isMethod('GET')) {
            $rules = array_map(static fn (mixed $rule): mixed => is_string($rule) ? self::STRICT[$rule] ?? $rule : $rule, $rules);
        }
        if (in_array('date_format:Y-m-d', $rules, true)) {
            array_push($rules, 'after_or_equal:'.self::FIRST_DAY, 'before_or_equal:'.self::LAST_DAY);
        }

        return ['bail', ...$rules];
    }
}

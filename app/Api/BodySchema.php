<?php

declare(strict_types=1);

namespace App\Api;

use App\Http\Asked;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\Rules\In;
use Nasturtium\Core\Report\Document\JsonSchema;

/** What a request asks for, as JSON Schema, from the rules it is held to: they are written once. */
final class BodySchema
{
    private const FIELDS = 'fields';

    private const RULES = 'rules';

    /**
     * @param  class-string<Asked>  $request
     * @return array{type: 'object', properties: array<string, array<string, mixed>>, required?: list<string>}
     */
    public static function of(string $request): array
    {
        $tree = [];
        foreach ((new $request())->rules() as $name => $rules) {
            $at = &$tree;
            foreach (explode('.', $name) as $step) {
                $at = &$at[self::FIELDS][$step];
            }
            $at[self::RULES] = $rules;
            unset($at);
        }

        return self::object($tree[self::FIELDS] ?? [], $request::MAPS);
    }

    /** @param class-string<Asked> $request */
    public static function hasFile(string $request): bool
    {
        return array_filter((new $request())->rules(), static fn (array $rules): bool => in_array('file', $rules, true)) !== [];
    }

    /**
     * @param  array<string, array<string, mixed>>  $fields  a tree of names with their rules
     * @param  list<string>  $maps
     * @return array{type: 'object', properties: array<string, array<string, mixed>>, required?: list<string>}
     */
    private static function object(array $fields, array $maps = []): array
    {
        $properties = [];
        $required = [];
        foreach ($fields as $name => $field) {
            $rules = $field[self::RULES] ?? [];
            $properties[$name] = self::field($field, in_array($name, $maps, true));
            if (in_array('required', $rules, true) || in_array('present', $rules, true)) {
                $required[] = $name;
            }
        }

        return ['type' => 'object', 'properties' => $properties, ...$required === [] ? [] : ['required' => $required]];
    }

    /**
     * @param  array<string, mixed>  $field
     * @return array<string, mixed>
     */
    private static function field(array $field, bool $isMap): array
    {
        $rules = $field[self::RULES] ?? [];
        $inside = $field[self::FIELDS] ?? [];
        $schema = match (true) {
            $isMap => ['type' => 'object', 'additionalProperties' => self::field($inside['*'], false)],
            isset($inside['*']) => ['type' => 'array', 'items' => self::field($inside['*'], false)],
            $inside !== [] => self::object($inside),
            default => self::value($rules),
        };

        return in_array('nullable', $rules, true) ? JsonSchema::orNull($schema) : $schema;
    }

    /**
     * @param  list<mixed>  $rules
     * @return array<string, mixed>
     */
    private static function value(array $rules): array
    {
        $type = match (true) {
            in_array('integer', $rules, true) => 'integer',
            in_array('numeric', $rules, true) => 'number',
            in_array('boolean', $rules, true) => 'boolean',
            default => 'string',
        };
        if (in_array('file', $rules, true)) {
            return ['type' => 'string', 'format' => 'binary'];
        }
        foreach ($rules as $rule) {
            if ($rule instanceof Enum) {
                return self::enumOf($rule);
            }
            if ($rule instanceof In || (is_string($rule) && str_starts_with($rule, 'in:'))) {
                $values = str_getcsv(substr((string) $rule, 3), ',', '"', '');

                return ['type' => $type, 'enum' => $type === 'integer' ? array_map(intval(...), $values) : $values];
            }
        }

        return ['type' => $type];
    }

    /** @return array<string, mixed> the enum by its class, or those of its values that are allowed; the rule does not tell them */
    private static function enumOf(Enum $rule): array
    {
        [$class, $only, $except] = (fn (): array => [$this->type, $this->only, $this->except])->call($rule);
        if ($only === [] && $except === []) {
            return ['type' => $class];
        }
        $allowed = array_filter($class::cases(), static fn (\UnitEnum $case): bool => ($only === [] || in_array($case, $only, true)) && ! in_array($case, $except, true));

        return ['type' => 'string', 'enum' => array_values(array_map(static fn (\UnitEnum $case): string => $case instanceof \BackedEnum ? (string) $case->value : $case->name, $allowed))];
    }
}

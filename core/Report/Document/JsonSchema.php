<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

/**
 * The document as JSON Schema (2020-12), from the classes of its sections: types from their properties, members of lists
 * and descriptions from the docblocks of their constructors. Nothing of it is written twice.
 */
final class JsonSchema
{
    /** Before the names of the sections, so that they stand apart from others. */
    private const PREFIX = 'Report';

    private const PLAIN = ['string' => 'string', 'int' => 'integer', 'float' => 'number', 'bool' => 'boolean'];

    /** @var array<string, array<string, mixed>> by name */
    private array $definitions = [];

    /** @param string $at where definitions are referred to */
    private function __construct(private readonly string $at) {}

    /**
     * @param  string  $at  where definitions are referred to
     * @return array<string, array<string, mixed>> the report and everything it holds, by name
     */
    public static function definitions(string $at = '#/$defs/'): array
    {
        $schema = new self($at);
        $schema->section(Report::class);

        return $schema->definitions;
    }

    /** @return array<string, mixed> the schema of the whole document */
    public static function document(): array
    {
        $definitions = self::definitions();
        $root = $definitions[self::PREFIX];
        unset($definitions[self::PREFIX]);

        return ['$schema' => 'https://json-schema.org/draft/2020-12/schema', 'title' => 'The breakdown report', ...$root, '$defs' => $definitions];
    }

    /**
     * @param  class-string<\BackedEnum>  $enum
     * @return array<string, mixed>
     */
    public static function ofEnum(string $enum): array
    {
        return array_filter([
            'type' => is_int($enum::cases()[0]->value) ? 'integer' : 'string',
            'description' => self::summary((new \ReflectionClass($enum))->getDocComment()),
            'enum' => array_map(static fn (\BackedEnum $case): int|string => $case->value, $enum::cases()),
        ]);
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed> the same, or null; a reference and a list of values cannot have it beside their type
     */
    public static function orNull(array $schema): array
    {
        return isset($schema['type']) && ! isset($schema['enum'])
            ? [...$schema, 'type' => [$schema['type'], 'null']]
            : ['anyOf' => [$schema, ['type' => 'null']]];
    }

    /** @param class-string $class */
    private function section(string $class): string
    {
        $reflection = new \ReflectionClass($class);
        $short = $reflection->getShortName();
        $name = $class === Report::class ? self::PREFIX : self::PREFIX.$short;
        if (isset($this->definitions[$name])) {
            return $name;
        }
        $this->definitions[$name] = ['type' => 'object', 'description' => self::summary($reflection->getDocComment())];
        $said = self::parameters($reflection->getConstructor()?->getDocComment() ?: '');
        $properties = [];
        foreach ($reflection->getProperties(\ReflectionProperty::IS_PUBLIC) as $property) {
            [$type, $description] = $said[$property->getName()];
            $properties[FieldName::of($property->getName())] = [...$this->type($property->getType(), $type), 'description' => $description];
        }
        $this->definitions[$name] += ['properties' => $properties, 'required' => array_keys($properties), 'additionalProperties' => false];

        return $name;
    }

    /** @return array<string, mixed> */
    private function type(?\ReflectionType $type, string $said): array
    {
        if (str_starts_with($said, 'list<')) {
            $list = ['type' => 'array', 'items' => $this->member(substr(preg_replace('/\|null$/', '', $said) ?? $said, 5, -1))];

            return $type?->allowsNull() === true ? self::orNull($list) : $list;
        }
        if ($type instanceof \ReflectionUnionType) {
            return ['type' => 'number'];
        }
        assert($type instanceof \ReflectionNamedType);

        $schema = $this->named($type->getName());

        return $type->allowsNull() ? self::orNull($schema) : $schema;
    }

    /** @return array<string, mixed> of a member of a list */
    private function member(string $said): array
    {
        if (str_starts_with($said, 'list<')) {
            return ['type' => 'array', 'items' => $this->member(substr($said, 5, -1))];
        }
        $names = explode('|', $said);
        $name = $names[0];

        $schema = $this->named(isset(self::PLAIN[$name]) ? $name : __NAMESPACE__.'\\'.$name);

        return in_array('null', $names, true) ? self::orNull($schema) : $schema;
    }

    /** @return array<string, mixed> */
    private function named(string $name): array
    {
        if (isset(self::PLAIN[$name])) {
            return ['type' => self::PLAIN[$name]];
        }
        if (is_subclass_of($name, \BackedEnum::class)) {
            $short = (new \ReflectionClass($name))->getShortName();
            $this->definitions[$short] ??= self::ofEnum($name);

            return ['$ref' => $this->at.$short];
        }
        assert(class_exists($name));

        return ['$ref' => $this->at.$this->section($name)];
    }

    private static function summary(string|false $docblock): string
    {
        $text = preg_replace(['#^/\*\*|\*/$#', '#^\s*\* ?#m', '#\s+#'], ['', '', ' '], (string) $docblock);

        return trim(explode(' @', (string) $text)[0]);
    }

    /** @return array<string, array{string, string}> type and description of each parameter */
    private static function parameters(string $docblock): array
    {
        preg_match_all('/@param +(\S+(?:, \S+)*) +\$(\w+) +(.+)$/m', $docblock, $found, PREG_SET_ORDER);

        return array_column(array_map(static fn (array $one): array => [$one[2], [$one[1], trim($one[3])]], $found), 1, 0);
    }
}

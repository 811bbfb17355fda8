<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

/** The schema of the document as tables in Markdown, for docs/breakdown.md: one for each section, in the order they are met. */
final class FieldTable
{
    private const AT = '#/$defs/';

    public static function markdown(): string
    {
        $tables = '';
        $enums = '';
        foreach (JsonSchema::definitions(self::AT) as $name => $definition) {
            if (isset($definition['enum'])) {
                /** @var list<string> $values */
                $values = $definition['enum'];
                $enums .= "- **{$name}**: `".implode('`, `', $values)."`\n";

                continue;
            }
            $about = isset($definition['description']) && is_string($definition['description']) ? $definition['description'] : '';
            $tables .= "### {$name}\n\n{$about}\n\n| field | type | what it is |\n|---|---|---|\n";
            /** @var array<string, array<string, mixed>> $properties */
            $properties = $definition['properties'];
            foreach ($properties as $field => $schema) {
                $says = isset($schema['description']) && is_string($schema['description']) ? $schema['description'] : '';
                $tables .= "| `{$field}` | ".self::type($schema)." | {$says} |\n";
            }
            $tables .= "\n";
        }

        return $tables."### Words that stand for something\n\n".$enums;
    }

    /** @param array<mixed> $schema */
    private static function type(array $schema): string
    {
        if (isset($schema['anyOf']) && is_array($schema['anyOf'])) {
            return implode(' or ', array_map(static fn (mixed $one): string => is_array($one) ? self::type($one) : '', $schema['anyOf']));
        }
        if (isset($schema['$ref']) && is_string($schema['$ref'])) {
            return substr($schema['$ref'], strlen(self::AT));
        }
        if (isset($schema['items']) && is_array($schema['items'])) {
            return 'list of '.self::type($schema['items']);
        }

        return implode(' or ', array_filter((array) ($schema['type'] ?? ''), is_string(...)));
    }
}

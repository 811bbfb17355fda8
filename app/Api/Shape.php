<?php

declare(strict_types=1);

namespace App\Api;

use Attribute;
use OpenApi\Attributes as OA;

/** A schema for a plain array: names with types such as `string`, `?integer`, `string[]` or `Chunk[]`. */
#[Attribute(Attribute::TARGET_CLASS | Attribute::IS_REPEATABLE)]
final class Shape extends OA\Schema
{
    private const PLAIN = ['string', 'integer', 'number', 'boolean'];

    /** @param array<string, string> $fields */
    public function __construct(string $name, array $fields)
    {
        parent::__construct(schema: $name, type: 'object', properties: array_map(
            static fn (string $field, string $type): OA\Property => self::property($field, $type),
            array_keys($fields),
            $fields,
        ));
    }

    private static function property(string $field, string $type): OA\Property
    {
        $nullable = str_starts_with($type, '?');
        $type = ltrim($type, '?');
        if (str_ends_with($type, '[]')) {
            return new OA\Property(property: $field, type: 'array', items: self::items(substr($type, 0, -2)));
        }

        return in_array($type, self::PLAIN, true)
            ? new OA\Property(property: $field, type: $type, nullable: $nullable ?: null)
            : new OA\Property(property: $field, ref: "#/components/schemas/{$type}");
    }

    private static function items(string $type): OA\Items
    {
        if (str_ends_with($type, '[]')) {
            return new OA\Items(type: 'array', items: self::items(substr($type, 0, -2)));
        }
        if ($type === '?integer') {
            return new OA\Items(type: 'integer', nullable: true);
        }

        return in_array($type, self::PLAIN, true) ? new OA\Items(type: $type) : new OA\Items(ref: "#/components/schemas/{$type}");
    }
}

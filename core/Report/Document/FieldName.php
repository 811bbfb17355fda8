<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

/** What a property is called in the document: `playOrder` is `play_order`, and a hand's `R` stays `R`. */
final class FieldName
{
    /** @var array<string, string> by property */
    private static array $names = [];

    public static function of(string $property): string
    {
        return self::$names[$property] ??= (string) preg_replace_callback('/(?<!^)[A-Z]/', static fn (array $capital): string => '_'.strtolower($capital[0]), $property);
    }
}

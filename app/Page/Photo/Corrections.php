<?php

declare(strict_types=1);

namespace App\Page\Photo;

use Nasturtium\Core\Formats\Photo\Change;
use Nasturtium\Core\Formats\Photo\Correction;

/** What a teacher has changed of what was read, as it is asked for and as it is kept. */
final class Corrections
{
    /** @return list<Correction> */
    public static function kept(PagePhoto $photo): array
    {
        return self::of((array) json_decode($photo->corrections ?? '[]', true, 4));
    }

    /**
     * @param  array<mixed>     $given
     * @return list<Correction>
     */
    public static function of(array $given): array
    {
        $corrections = [];
        foreach ($given as $one) {
            $one = (array) $one;
            $change = is_string($one['change'] ?? null) ? Change::tryFrom($one['change']) : null;
            if ($change !== null) {
                $number = static fn (string $name): int => is_int($one[$name] ?? null) ? $one[$name] : 0;
                $corrections[] = new Correction($change, $number('piece'), $number('bar'), $number('staff'), $number('sign'), $number('head'), is_int($one['value'] ?? null) ? $one['value'] : null);
            }
        }

        return $corrections;
    }

    /** @param list<Correction> $corrections */
    public static function written(array $corrections): string
    {
        return json_encode(array_map(static fn (Correction $one): array => ['change' => $one->change->value, ...array_diff_key(get_object_vars($one), ['change' => 0])], $corrections), JSON_THROW_ON_ERROR);
    }
}

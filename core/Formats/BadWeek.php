<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

/** A week to plan that cannot be read; `$place` is an entry of it, as `tasks[2]`. */
final class BadWeek extends BadInput
{
    public static function notJson(\Throwable $reason): self
    {
        return new self("This is not JSON: {$reason->getMessage()}.");
    }

    public static function noObject(): self
    {
        return new self('A week is an object with days and tasks.');
    }

    public static function listMissing(string $name): self
    {
        return new self("'{$name}' is missing; it is a list.");
    }

    public static function listTooLong(string $name, int $count, int $most): self
    {
        return new self("'{$name}' has ".$count." entries; at most {$most} can be planned.");
    }

    /** @param list<string> $classes */
    public static function unknownClass(string $place, array $classes): self
    {
        return new self("{$place}.class is one of ".implode(', ', $classes).'.');
    }

    public static function neitherClassNorValue(string $place): self
    {
        return new self("{$place} has neither a class nor a value; one of them says what it is worth.");
    }

    /** @param list<string> $known */
    public static function unknownField(string $place, string $name, array $known): self
    {
        return new self(ltrim("{$place}.{$name}", '.').' is not known here; there are '.implode(', ', $known).'.');
    }

    public static function notAnObject(string $place): self
    {
        return new self("{$place} is an object.");
    }

    public static function notAName(string $place): self
    {
        return new self("{$place} is a name or a number.");
    }

    public static function notADate(string $place): self
    {
        return new self("{$place} is a date, as 2031-05-06.");
    }

    public static function notTrueOrFalse(string $place, string $name): self
    {
        return new self("{$place}.{$name} is true or false.");
    }

    public static function noMinutes(string $place, string $name, float $least): self
    {
        return new self(ltrim("{$place}.{$name}", '.')." is a number from {$least} to 1440.");
    }

    public static function noWholeNumber(string $place, string $name): self
    {
        return new self(ltrim("{$place}.{$name}", '.').' is a whole number, 0 or more.');
    }

    public static function waitsInACircle(string $names, int $count): self
    {
        return new self($count === 1 ? "{$names} waits for itself." : "{$names} wait for each other.");
    }

    public static function namedTwice(string $list, string $what, int|string $name, int $times): self
    {
        return new self("'{$list}' has the {$what} '{$name}' {$times} times.");
    }

    public static function waitsForAnother(string $task, string $id): self
    {
        return new self("'{$task}' waits for '{$id}', which is not in the week.");
    }

    public static function lockedOutside(string $task, string $date): self
    {
        return new self("'{$task}' is locked to {$date}, which is not a day of the week.");
    }
}

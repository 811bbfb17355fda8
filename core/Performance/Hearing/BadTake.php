<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

use Nasturtium\Core\Formats\BadInput;

/** A take that cannot be read. */
final class BadTake extends BadInput
{
    public static function notJson(\JsonException $reason): self
    {
        return new self("A take is JSON: {$reason->getMessage()}.");
    }

    public static function noNotes(): self
    {
        return new self('A take is {"notes": [{"t": 1.222, "off": 2.101, "pitch": 64, "vel": 70}]}: a list of notes.');
    }

    public static function tooMany(int $most): self
    {
        return new self("A take has more than {$most} notes; take a part of it.");
    }

    public static function noNumber(int $note, string $name, string $what): self
    {
        return new self("Note {$note} of the take has no '{$name}' that is {$what}.");
    }

    public static function endsBeforeItBegins(int $note): self
    {
        return new self("Note {$note} of the take has an 'off' before its 't'.");
    }
}

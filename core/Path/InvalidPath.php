<?php

declare(strict_types=1);

namespace Nasturtium\Core\Path;

use Nasturtium\Core\Refusal;

/** A path that nobody can learn by. */
final class InvalidPath extends Refusal
{
    public static function withoutStages(): self
    {
        return new self('a path needs at least one stage');
    }

    public static function tooManyStages(int $most): self
    {
        return new self('a path has at most '.$most.' stages');
    }

    public static function stageTwice(string $stage): self
    {
        return new self("the stage '{$stage}' is on this path twice");
    }

    public static function stageWithoutWords(int $most): self
    {
        return new self('a stage of your own needs a name of at most '.$most.' letters and a sentence that says what the student does');
    }

    public static function nameOfAnother(string $name): self
    {
        return new self("'{$name}' is the name of a stage that is there already; call yours something else");
    }

    public static function cannotBeDoneOn(string $name, string $chunks): self
    {
        return new self("the stage '{$name}' is done on the whole piece, lines, half lines or bars, not on a {$chunks}");
    }
}

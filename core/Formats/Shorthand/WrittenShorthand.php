<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

/** A piece as it would be typed. */
final readonly class WrittenShorthand
{
    /** @param list<string> $unsaid what the shorthand cannot say, with its bar; none when reading the text gives the same piece */
    public function __construct(public string $text, public array $unsaid) {}
}

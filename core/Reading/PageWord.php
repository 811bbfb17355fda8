<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

/** A sign or a word of a page, and what it says. */
final readonly class PageWord
{
    /**
     * @param  string  $sign  `dynamic`, `word`, `hairpin`, `repeat`, `tie`, `slur`, or a mark as `staccato`
     * @param  string  $text  as it stands there; empty for what is drawn
     */
    public function __construct(public string $sign, public string $text, public string $says) {}
}

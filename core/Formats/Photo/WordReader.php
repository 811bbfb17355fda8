<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Reads printed words, where the machine has something that can. */
interface WordReader
{
    /**
     * @param  string $jpeg a part of a page
     *
     * @return list<array{height: int, words: non-empty-list<array{text: string, x: int}>}> lines from the top: how tall their letters are, and the middle of each word, in pixels
     */
    public function lines(string $jpeg): array;
}

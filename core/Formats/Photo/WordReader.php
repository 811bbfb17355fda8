<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Reads printed words, where the machine has something that can. */
interface WordReader
{
    /**
     * @param  string $jpeg a part of a page
     * @return list<array{text: string, height: int, words: list<array{text: string, x: int}>}> lines of words from the top, how
     *                                                                                          tall their letters are, and the middle of each word, in pixels
     */
    public function lines(string $jpeg): array;
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** A syllable under a note. */
final readonly class Lyric
{
    /**
     * @param  int  $verse  from 1
     * @param  bool  $joined  the word goes on with the next syllable
     * @param  bool  $continues  the word began with a syllable before
     * @param  bool  $extended  a line shows that it is held over the notes that follow
     */
    public function __construct(public string $text, public int $verse = 1, public bool $joined = false, public bool $continues = false, public bool $extended = false) {}

    /** As it is printed: a syllable that is not the last ends with a hyphen. */
    public function printed(): string
    {
        return $this->text.($this->joined ? '-' : '');
    }
}

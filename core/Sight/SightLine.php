<?php

declare(strict_types=1);

namespace Nasturtium\Core\Sight;

use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Score\Piece;

/** A line that nobody has practised. */
final readonly class SightLine
{
    /**
     * @param  string  $text  in the shorthand
     * @param  non-empty-list<string>  $reasons  why it has its level
     */
    public function __construct(public string $text, public SightLevel $level, public array $reasons) {}

    /** What it is known by: the same for equal lines. */
    public function mark(): string
    {
        return substr(hash('sha256', $this->text), 0, 16);
    }

    /** With the whole breakdown, as any piece. */
    public function piece(): Piece
    {
        return ShorthandReader::read($this->text)->piece ?? throw new \LogicException("a line at sight does not read: {$this->text}");
    }
}

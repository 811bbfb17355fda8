<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** The head of a note as it was read: where it stands on the staff, and what is printed with it. */
final readonly class ReadHead
{
    /** Steps below the bottom line and above it that a page may use. */
    public const LOWEST = -12;

    public const HIGHEST = 20;

    /**
     * @param int      $place  0 is the bottom line, 1 the space above it
     * @param int|null $sign   a printed accidental: 1 sharp, -1 flat, 0 natural
     * @param int|null $finger 1 is the thumb
     * @param bool     $tied   to the next note
     */
    public function __construct(public int $place, public ?int $sign = null, public ?int $finger = null, public bool $tied = false) {}

    public static function of(Head $head): self
    {
        return new self(max(self::LOWEST, min(self::HIGHEST, $head->place)), $head->sign, $head->finger, $head->tied);
    }
}

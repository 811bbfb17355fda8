<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** The head of a note, in pixels of a strip. */
final class Head
{
    /** Columns of a whole note at least. */
    private const WHOLE = 22;

    public ?Stem $stem = null;

    /** Set by an accidental that is printed before it. */
    public ?int $sign = null;

    /** What looked like one is part of something else. */
    public bool $isNone = false;

    public ?int $finger = null;

    /** A tie goes on to the next note. */
    public bool $tied = false;

    /** Why its pitch is in doubt: `sign` for an accidental that may be another or none, `place` for a line or space beside, `more` for a head beside it that was perhaps not seen. */
    public ?string $doubt = null;

    /** Ink goes on above or below at that side, as a stem does. */
    public bool $tallLeft = false;

    public bool $tallRight = false;

    public function __construct(public readonly float $x, public readonly int $place, public bool $hollow, public readonly float $width, public readonly float $sure) {}

    /** As wide as a whole note, where a half is narrower. */
    public function isWide(): bool
    {
        return $this->width >= self::WHOLE;
    }

    public function y(): int
    {
        return Strip::row($this->place);
    }
}

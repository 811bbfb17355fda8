<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** What certainly mends a check; done only when the teacher asks for it. */
final readonly class Fix
{
    /**
     * @param  list<string>  $events  ids of the events it changes; for a sign that is missing, the last before it
     * @param  Fraction|null  $length  of the rest to add, in whole notes
     */
    private function __construct(public FixKind $kind, public array $events, public ?Fraction $length = null) {}

    /** @param string $after id of the last event of the short bar */
    public static function fillWithRest(string $after, Fraction $length): self
    {
        return new self(FixKind::FillWithRest, [$after], $length);
    }

    /** @param list<string> $rests */
    public static function dropRests(array $rests): self
    {
        return new self(FixKind::DropRests, $rests);
    }

    public static function dropTie(string $from): self
    {
        return new self(FixKind::DropTie, [$from]);
    }

    /** @param string $after id of the last event of the bar the repeat ends with */
    public static function closeRepeat(string $after): self
    {
        return new self(FixKind::CloseRepeat, [$after]);
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Sight;

/** What a line of a level asks, as far as the pages have brought it (trade 16.2). */
enum SightLevel: int
{
    case One = 1;
    case Two = 2;
    case Three = 3;
    case Four = 4;
    case Five = 5;
    case Six = 6;
    case Seven = 7;
    case Eight = 8;
    case Nine = 9;
    case Ten = 10;

    /** Bars, widest move in steps, eighths and dots, hands. */
    private const ASKS = [
        1 => [2, 1, false, SightHands::One], 2 => [4, 1, false, SightHands::One], 3 => [4, 2, false, SightHands::One], 4 => [4, 2, true, SightHands::One],
        5 => [4, 1, false, SightHands::Turns], 6 => [4, 2, true, SightHands::Turns], 7 => [8, 2, true, SightHands::One], 8 => [8, 2, true, SightHands::Turns],
        9 => [8, 2, true, SightHands::Together], 10 => [8, 4, true, SightHands::Together],
    ];

    public function bars(): int
    {
        return self::ASKS[$this->value][0];
    }

    public function farthest(): int
    {
        return self::ASKS[$this->value][1];
    }

    public function hasShortNotes(): bool
    {
        return self::ASKS[$this->value][2];
    }

    public function hands(): SightHands
    {
        return self::ASKS[$this->value][3];
    }

    /** The next line's, by how this one went: up when it was clean, down when it was hard. */
    public function after(SightWent $went): self
    {
        return self::from(max(1, min(10, $this->value + match ($went) {
            SightWent::Clean => 1,
            SightWent::Nearly => 0,
            SightWent::Hard => -1,
        })));
    }
}

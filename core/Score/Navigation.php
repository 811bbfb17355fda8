<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** Signs that send the player elsewhere, or are where he is sent. They work at the end of their measure, segno and coda at its start. */
enum Navigation: string
{
    case Segno = 'segno';
    case Coda = 'coda';
    case ToCoda = 'To Coda';
    case Fine = 'Fine';
    case DaCapo = 'D.C.';
    case DaCapoAlFine = 'D.C. al Fine';
    case DaCapoAlCoda = 'D.C. al Coda';
    case DalSegno = 'D.S.';
    case DalSegnoAlFine = 'D.S. al Fine';
    case DalSegnoAlCoda = 'D.S. al Coda';

    public function isJump(): bool
    {
        return $this->isDaCapo() || $this->isDalSegno();
    }

    public function isDaCapo(): bool
    {
        return in_array($this, [self::DaCapo, self::DaCapoAlFine, self::DaCapoAlCoda], true);
    }

    public function isDalSegno(): bool
    {
        return in_array($this, [self::DalSegno, self::DalSegnoAlFine, self::DalSegnoAlCoda], true);
    }

    /** After this jump the player leaves at `To Coda`. */
    public function leavesForCoda(): bool
    {
        return in_array($this, [self::DaCapo, self::DalSegno, self::DaCapoAlCoda, self::DalSegnoAlCoda], true);
    }

    /** After this jump the piece ends at `Fine`. */
    public function endsAtFine(): bool
    {
        return $this->isJump() && ! in_array($this, [self::DaCapoAlCoda, self::DalSegnoAlCoda], true);
    }

    /** @return list<self> signs that this one speaks of, and that must stand somewhere */
    public function needs(): array
    {
        return match ($this) {
            self::ToCoda => [self::Coda],
            self::DaCapoAlFine => [self::Fine],
            self::DaCapoAlCoda => [self::ToCoda, self::Coda],
            self::DalSegno => [self::Segno],
            self::DalSegnoAlFine => [self::Segno, self::Fine],
            self::DalSegnoAlCoda => [self::Segno, self::ToCoda, self::Coda],
            default => [],
        };
    }
}

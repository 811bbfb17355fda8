<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill;

/** How taps went. */
enum TapResult: string
{
    case Steady = 'steady';
    case Uneven = 'uneven';
    case TooFew = 'too few';
    case TooMany = 'too many';
    case TooFast = 'too fast';
    case TooSlow = 'too slow';

    /** To the child. */
    public function words(): string
    {
        return match ($this) {
            self::Steady => 'Steady all the way.',
            self::Uneven => 'Nearly. Feel the beat between the taps.',
            self::TooFew => 'A tap is missing. Tap once for every note.',
            self::TooMany => 'There is a tap too many. Rests stay silent.',
            self::TooFast => 'It ran away. Keep to the count.',
            self::TooSlow => 'It fell asleep. Keep to the count.',
        };
    }
}

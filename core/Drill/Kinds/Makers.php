<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Kinds;

use Nasturtium\Core\Drill\CardMaker;
use Nasturtium\Core\Drill\DrillKind;

/** Who makes the cards of which kind. */
final readonly class Makers
{
    public static function of(DrillKind $kind): CardMaker
    {
        return match ($kind) {
            DrillKind::Name => new NameIt(),
            DrillKind::Find => new FindIt(),
            DrillKind::Place => new PlaceIt(),
            DrillKind::Way => new WhichWay(),
            DrillKind::Point => new PointAt(),
            DrillKind::Finger => new WhichFinger(),
            DrillKind::Count => new CountIt(),
            DrillKind::Tap => new TapIt(),
            DrillKind::Same => new SameOrDifferent(),
            DrillKind::Say => new WhatItSays(),
            DrillKind::Spell => new SpellIt(),
            DrillKind::Race => new KeyRace(),
            DrillKind::Echo => new EchoIt(),
            DrillKind::Sound => new NameTheSound(),
        };
    }
}

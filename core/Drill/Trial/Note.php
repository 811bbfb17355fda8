<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Trial;

use Nasturtium\Core\Reading\Landmarks;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Pitch;

/** A note that a learner is asked. */
final readonly class Note
{
    private function __construct(public string $name, public bool $byALandmark) {}

    /** @return list<self> twenty, ten on each staff, from middle C outwards with the landmarks first */
    public static function twenty(): array
    {
        $notes = [];
        foreach (['G4' => Clef::Treble, 'F3' => Clef::Bass] as $name => $clef) {
            $notes["{$clef->value}:{$name}"] = self::of($clef, Pitch::parse($name));
        }
        for ($away = 0; $away < 10; $away++) {
            foreach ([[Clef::Treble, 1], [Clef::Bass, -1]] as [$clef, $direction]) {
                $pitch = Pitch::ofDiatonic(Pitch::parse('C4')->diatonic() + $direction * $away);
                $notes["{$clef->value}:{$pitch->name()}"] ??= self::of($clef, $pitch);
            }
        }

        return array_values($notes);
    }

    /** @param string $name `treble:C4` */
    public static function named(string $name): self
    {
        [$clef, $pitch] = [...explode(':', $name), ''];

        return self::of(Clef::from($clef), Pitch::parse($pitch));
    }

    private static function of(Clef $clef, Pitch $pitch): self
    {
        $away = abs($pitch->diatonic() - (new Landmarks())->nearest($pitch, $clef)->diatonic());

        return new self("{$clef->value}:{$pitch->name()}", $away === 1);
    }
}

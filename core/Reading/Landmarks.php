<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Pitch;

/** The notes known by sight, from which the others are reached by steps (trade 3.4). */
final readonly class Landmarks
{
    private LandmarkLevel $level;

    /** A teacher may add the middle line of the bass staff. */
    private const MIDDLE_LINE = 'D3';

    /**
     * @param  bool  $middleLine  D3 is one too
     *
     * @throws InvalidReading for a level other than 1, 2 or 3
     */
    public function __construct(int $level = 1, private bool $middleLine = false)
    {
        $this->level = LandmarkLevel::tryFrom($level) ?? throw InvalidReading::noLandmarkLevel($level);
    }

    /** The nearest of the note's own clef by steps; on a tie the lower. */
    public function nearest(Pitch $pitch, Clef $clef): Pitch
    {
        $best = null;
        $bestRank = [PHP_INT_MAX, 1, PHP_INT_MAX];
        // A clef of another octave has the landmarks of its like, as they sound there; a C clef names middle C itself.
        $like = ['G' => Clef::Treble, 'F' => Clef::Bass, 'C' => null][$clef->sign()];
        foreach ($this->all() as $name => $own) {
            // In the ledger zone middle C is the nearest: the other staff's landmarks are for the other staff.
            if ($like !== null && $own !== $like && ($own !== null || $clef->octaves() !== 0)) {
                continue;
            }
            $landmark = Pitch::parse($name);
            $landmark = Pitch::ofDiatonic($landmark->diatonic() + 7 * $clef->octaves());
            $foreign = $own === null || $own === $clef ? 0 : 1;
            $rank = [abs($pitch->diatonic() - $landmark->diatonic()), $foreign, $landmark->diatonic()];
            if ($rank < $bestRank) {
                [$best, $bestRank] = [$landmark, $rank];
            }
        }

        return $best ?? throw InvalidReading::noLandmark();
    }

    /** The level that comes next; null when all are known. */
    public function next(): ?LandmarkLevel
    {
        return LandmarkLevel::tryFrom($this->level->value + 1);
    }

    /** @return array<string, Clef|null> by name, with the clef that it belongs to */
    private function all(): array
    {
        $all = $this->middleLine ? [self::MIDDLE_LINE => Clef::Bass] : [];
        foreach (LandmarkLevel::cases() as $level) {
            $all += $level->value <= $this->level->value ? $level->adds() : [];
        }

        return $all;
    }
}

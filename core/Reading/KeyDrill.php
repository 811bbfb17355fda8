<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Words;

/** A drill of the week: which keys to find and to name, before the page that has them (trade 11.7). */
final readonly class KeyDrill
{
    /** Notes at once. */
    private const MOST = 4;

    private const OLD_ENOUGH = 8;

    /**
     * @param  non-empty-list<Pitch>  $pitches  low before high
     * @param  bool  $isNew  none of them was ever met
     */
    private function __construct(public array $pitches, private bool $isNew) {}

    /**
     * @param  list<Drill>  $drills  of a page, what is most needed first
     * @return ?self null where every note is secure
     */
    public static function of(array $drills): ?self
    {
        // What is new goes by itself; what is shaky comes when nothing is.
        $drills = array_values(array_filter($drills, static fn (Drill $drill): bool => $drill->status === $drills[0]->status));
        $pitches = [];
        foreach (array_slice($drills, 0, self::MOST) as $drill) {
            $pitches[$drill->pitch->name()] = $drill->pitch;
        }
        usort($pitches, static fn (Pitch $a, Pitch $b): int => $a->midi() <=> $b->midi());

        return $pitches === [] ? null : new self($pitches, $drills[0]->status === NoteStatus::Fresh);
    }

    /** In one sentence for the child. */
    public function words(): string
    {
        $names = Words::listed(array_map(static fn (Pitch $pitch): string => $pitch->name(), $this->pitches));

        return "Find {$names} on the piano and say ".(count($this->pitches) > 1 ? 'each' : 'its').' name, five times.';
    }

    /** Why it is there, and where the first key is. */
    public function why(): string
    {
        $first = $this->pitches[0];

        return ($this->isNew ? 'new on this page' : 'shaky, and on this page')."; {$first->name()} is ".KeyPlace::of($first);
    }

    /** @return int half minutes, by age in years */
    public static function halfMinutes(int $age): int
    {
        return $age < self::OLD_ENOUGH ? 4 : 6;
    }
}

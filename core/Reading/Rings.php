<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

/** The letters of a page that are worth ringing, those first that the student does not know yet (trade 3.6). */
final readonly class Rings
{
    /** Fewer are found at a glance. */
    private const FEWEST = 3;

    /**
     * @param  list<InventoryNote>  $notes
     * @return list<Ring>
     */
    public static function of(array $notes): array
    {
        $times = [];
        $events = [];
        $unknown = [];
        foreach ($notes as $note) {
            $letter = $note->pitch->spelled();
            $times[$letter] = ($times[$letter] ?? 0) + $note->times;
            $events[$letter] = [...$events[$letter] ?? [], ...$note->events];
            $unknown[$letter] = max($unknown[$letter] ?? 0, ['new' => 2, 'shaky' => 1, 'secure' => 0][$note->status->value]);
        }
        $rings = [];
        foreach ($times as $letter => $count) {
            if ($count >= self::FEWEST) {
                $rings[] = new Ring((string) $letter, $count, $events[$letter]);
            }
        }
        usort($rings, static fn (Ring $a, Ring $b): int => [$unknown[$b->what], $b->times, $a->what] <=> [$unknown[$a->what], $a->times, $b->what]);

        return $rings;
    }
}

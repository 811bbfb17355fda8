<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering\Keys;

use Nasturtium\Core\Score\Event;

/**
 * What lies under one hand as it strikes: the keys it strikes and those it still holds, in whatever voice, from the
 * thumb's side outwards. Keys and letters are counted outwards too: upwards in the right hand, downwards (negative) in the left.
 */
final readonly class Strike
{
    /** Strikes with equal words have equal grips. */
    public string $word;

    /**
     * @param  non-empty-list<Event>  $events  that are struck, the main voice's first
     * @param  non-empty-list<int>  $keys  of the keyboard, middle C 60, times the hand's direction
     * @param  non-empty-list<int>  $letters  counted from C0, times the hand's direction
     * @param  non-empty-list<bool>  $held  by key: struck before, and still down
     * @param  non-empty-list<int|null>  $set  by key: the finger that the page or the teacher says
     * @param  bool  $hasTime  a rest, or a note of two beats and more, lies before it
     * @param  bool  $isApart  a rest of a beat and more lies before it, or the note before is short
     * @param  bool  $isSlurred  to the one before
     * @param  bool  $isFast  an eighth or less after the one before
     */
    public function __construct(
        public array $events,
        public array $keys,
        public array $letters,
        public array $held,
        public array $set,
        public bool $hasTime,
        public bool $isApart,
        public bool $isSlurred,
        public bool $isFast,
    ) {
        $word = implode(',', $keys).'/'.implode(',', $letters);
        foreach ($held as $i => $isHeld) {
            $word .= ($isHeld ? 'h' : '').($set[$i] ?? '-');
        }
        $this->word = $word;
    }

    public function isSingle(): bool
    {
        return count($this->keys) === 1;
    }

    public static function isBlack(int $key): bool
    {
        return in_array(abs($key) % 12, [1, 3, 6, 8, 10], true);
    }
}

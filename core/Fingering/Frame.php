<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Pitch;

/** Where a hand lies for a while: the letters under its five fingers. An open hand lies over more than five. */
final readonly class Frame
{
    /** Letters from the thumb to the little finger of a closed hand. */
    private const CLOSED = 4;

    /**
     * @param  int  $thumb  letter of the thumb's key, counted from C0
     * @param  non-empty-list<int>  $letters  under fingers 1 to 5, counted from C0
     * @param  array<int, int>  $keys  of the keyboard, middle C 60, under the fingers that play there, by finger
     */
    private function __construct(public int $thumb, public array $letters, private array $keys) {}

    /**
     * @param  non-empty-array<int, array{int, int}>  $under  key and letter by finger, counted outwards from the thumb
     */
    public static function of(array $under, Hand $hand): self
    {
        ksort($under);
        $known = array_keys($under);
        $letters = [];
        for ($finger = 1; $finger <= 5; $finger++) {
            $before = null;
            $after = null;
            foreach ($known as $one) {
                $before = $one <= $finger ? $one : $before;
                $after ??= $one >= $finger ? $one : null;
            }
            $letters[] = match (true) {
                $before === null => ($under[$after ?? 0][1] ?? 0) - (($after ?? 0) - $finger),
                $after === null => ($under[$before][1] ?? 0) + $finger - $before,
                default => min(($under[$before][1] ?? 0) + $finger - $before, ($under[$after][1] ?? 0) - ($after - $finger)),
            };
        }
        $direction = $hand->direction();

        return new self(
            $direction * $letters[0],
            array_map(static fn (int $letter): int => $direction * $letter, $letters),
            array_map(static fn (array $key): int => $direction * $key[0], $under),
        );
    }

    public function isOpen(): bool
    {
        return abs($this->letters[4] - $this->letters[0]) > self::CLOSED;
    }

    /** @param Key $signature for what no finger plays */
    public function pitch(int $finger, Key $signature): Pitch
    {
        $letter = $this->letters[$finger - 1] ?? throw new \LogicException("a hand has no finger {$finger}");
        $step = ($letter % 7 + 7) % 7;
        $alter = isset($this->keys[$finger]) ? $this->keys[$finger] - Pitch::ofDiatonic($letter)->midi() : $signature->alters($step);

        return Pitch::ofDiatonic($letter, abs($alter) > 2 ? 0 : $alter);
    }

    public function hasSameThumb(self $other): bool
    {
        return $this->thumb === $other->thumb && ($this->keys[1] ?? null) === ($other->keys[1] ?? $this->keys[1] ?? null);
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Midi;

use Nasturtium\Core\Score\Hand;

/** One way in which the notes so far may be divided between the hands: where each hand lies, and what the way has cost, in hundredths. */
final readonly class HandWay
{
    /**
     * @param  array{int, int}|null  $right  lowest and highest key of its position so far; null before it has played
     * @param  array{int, int}|null  $left
     * @param  array{int, int}  $rightHeld  the tick up to which the key struck last is held, and the tick it was struck at
     * @param  array{int, int}  $leftHeld
     */
    public function __construct(
        public int $cost = 0,
        private ?array $right = null,
        private ?array $left = null,
        private array $rightHeld = [0, 0],
        private array $leftHeld = [0, 0],
    ) {}

    /** @return array{int, int}|null */
    public function position(Hand $hand): ?array
    {
        return $hand === Hand::Right ? $this->right : $this->left;
    }

    /** @return int how much of a note a key of the same hand is still held for: 0, or 25 to 100 hundredths */
    public function held(Hand $hand, MidiNote $note): int
    {
        [$to, $from] = $hand === Hand::Right ? $this->rightHeld : $this->leftHeld;
        $over = $to - $note->from;
        $length = $note->to - $note->from;

        return $from < $note->from && 4 * $over > $length ? intdiv(100 * min($over, $length), $length) : 0;
    }

    /**
     * @param  list<MidiNote>  $right  lowest first
     * @param  list<MidiNote>  $left
     * @param  int  $reach  half steps of a position
     */
    public function with(array $right, array $left, int $cost, int $reach): self
    {
        return new self(
            $cost,
            self::moved($this->right, $right, $reach),
            self::moved($this->left, $left, $reach),
            self::holds($this->rightHeld, $right),
            self::holds($this->leftHeld, $left),
        );
    }

    public function name(): string
    {
        return implode(' ', [...$this->right ?? [], '|', ...$this->left ?? [], '|', $this->rightHeld[0], $this->leftHeld[0]]);
    }

    /**
     * @param  array{int, int}|null  $position
     * @param  list<MidiNote>  $notes
     * @return array{int, int}|null
     */
    private static function moved(?array $position, array $notes, int $reach): ?array
    {
        if ($notes === []) {
            return $position;
        }
        [$low, $high] = [$notes[0]->key, $notes[count($notes) - 1]->key];
        if ($position === null) {
            return [$low, $high];
        }
        $wide = [min($low, $position[0]), max($high, $position[1])];

        return $wide[1] - $wide[0] <= $reach ? $wide : [$low, $high];
    }

    /**
     * @param  array{int, int}  $held
     * @param  list<MidiNote>  $notes
     * @return array{int, int}
     */
    private static function holds(array $held, array $notes): array
    {
        return $notes === [] ? $held : [max(array_map(static fn (MidiNote $note): int => $note->to, $notes)), $notes[0]->from];
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

use Nasturtium\Core\Refusal;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Score\PrintedAccidentals;

/** Which key a typed finger or letter means, from where the hand lies, the note before, and the accidentals of the bar. */
final class Tones
{
    /** Letter counts of A0 and C8. */
    private const LOWEST = 5;

    private const HIGHEST = 56;

    /** Where a hand begins that was given no place: C4 and F3. */
    private const BEGIN = ['R' => 28, 'L' => 24];

    /** Letter count of the thumb's key; null until a position is stated. */
    public ?int $thumb = null;

    /** The note before, as it is written. */
    public ?int $last = null;

    /** Octaves that the notes sound above where they are written. */
    public int $ottava = 0;

    /** @var array<int, PrintedAccidentals> by staff: 0 the hand's own, 1 the other */
    private array $accidentals = [];

    private ?Key $key = null;

    public function __construct(private readonly Hand $hand) {}

    public function __clone()
    {
        $this->accidentals = array_map(static fn (PrintedAccidentals $of): PrintedAccidentals => clone $of, $this->accidentals);
    }

    public function forget(): void
    {
        $this->accidentals = [];
    }

    /** @param int $finger whose key is named; 1 is the thumb */
    public function position(string $key, int $finger): void
    {
        $this->thumb = Pitch::parse($key)->diatonic() - ($finger - 1) * $this->hand->direction();
    }

    /**
     * @param  array<int, int>  $tied  alterations of the keys that are tied over to this moment, by letter count
     *
     * @throws Refusal
     */
    public function note(string $token, Key $key, bool $crossed, array $tied): Note
    {
        if (preg_match('/^(\w)(\+\+|--|[+\-n]?)([\',]*)(?:\^(\d))?$/', $token, $found) !== 1) {
            throw BadShorthand::noNote($token);
        }
        [$name, $sign, $octaves] = [$found[1], $found[2], $found[3]];
        if (ctype_digit($name)) {
            $finger = (int) $name;
            $written = $this->underFinger($finger);
        } else {
            $finger = isset($found[4]) ? (int) $found[4] : null;
            $written = $this->nearest((int) array_search(strtoupper($name), Pitch::LETTERS, true), $octaves === '')
                + 7 * (substr_count($octaves, "'") - substr_count($octaves, ','));
        }
        $accidentals = $this->accidentals($key, $crossed);
        $diatonic = $written + 7 * $this->ottava;
        $inForce = $accidentals->at($diatonic);
        $alter = ['+' => 1, '++' => 2, '-' => -1, '--' => -2, 'n' => 0][$sign] ?? $tied[$diatonic] ?? $inForce;
        $pitch = $diatonic < self::LOWEST || $diatonic > self::HIGHEST ? null : Pitch::ofDiatonic($diatonic, $alter);
        if ($pitch === null || ! $pitch->isOnKeyboard()) {
            throw BadShorthand::noteOffTheKeyboard($token);
        }
        if ($sign !== '') {
            $accidentals->set($diatonic, $alter);
        }
        $this->last = $written;

        return new Note($pitch, $finger, courtesy: $sign !== '' && $inForce === $alter);
    }

    /** The letter under the hand if there is one, else the nearest to the note before. */
    public function nearest(int $step, bool $underHand): int
    {
        for ($finger = 0; $underHand && $this->thumb !== null && $finger < 5; $finger++) {
            $key = $this->thumb + $finger * $this->hand->direction();
            if ((($key % 7) + 7) % 7 === $step) {
                return $key;
            }
        }
        $from = $this->last ?? $this->thumb ?? self::BEGIN[$this->hand->value];
        $up = ((($step - $from) % 7) + 7) % 7;

        return $from + ($up > 3 ? $up - 7 : $up);
    }

    /** The alterations in force on the staff that the hand is on. */
    public function accidentals(Key $key, bool $crossed): PrintedAccidentals
    {
        if ($this->key !== null && ! $this->key->equals($key)) {
            $this->accidentals = [];
        }
        $this->key = $key;

        return $this->accidentals[$crossed ? 1 : 0] ??= new PrintedAccidentals($key);
    }

    private function underFinger(int $finger): int
    {
        if ($this->thumb === null) {
            $example = $this->hand === Hand::Right ? '@c4' : '@5=c3';
            throw BadShorthand::fingerWithoutPlace($finger, $example);
        }

        return $this->thumb + ($finger - 1) * $this->hand->direction();
    }
}

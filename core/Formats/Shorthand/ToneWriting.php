<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

use Nasturtium\Core\Refusal;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Pitch;

/** How one note is typed, so that Tones reads it as the same key. */
final class ToneWriting
{
    private const SIGNS = [-2 => '--', -1 => '-', 0 => 'n', 1 => '+', 2 => '++'];

    public readonly Tones $tones;

    /** @param Tones|null $tones where the hand is already; without them it begins */
    public function __construct(private readonly Hand $hand, ?Tones $tones = null)
    {
        $this->tones = $tones ?? new Tones($hand);
    }

    /**
     * @param  array<int, int>  $tied  alterations of the keys that are tied over to this moment, by letter count
     * @return string|null null when no token means this key here
     */
    public function note(Note $note, Key $key, bool $crossed, array $tied): ?string
    {
        $written = $note->pitch->diatonic() - 7 * $this->tones->ottava;
        $inForce = $tied[$note->pitch->diatonic()] ?? $this->tones->accidentals($key, $crossed)->at($note->pitch->diatonic());
        $sign = $note->courtesy || $inForce !== $note->pitch->alter ? self::SIGNS[$note->pitch->alter] ?? '' : '';
        $finger = $note->finger;
        $token = $finger !== null && $this->underFinger($finger) === $written
            ? $finger.$sign
            : strtolower($note->pitch->letter()).$sign.$this->octaves($note->pitch->step, $written).($finger === null ? '' : "^{$finger}");
        try {
            // Tried first, so that what is not typed leaves no trace.
            $read = (clone $this->tones)->note($token, $key, $crossed, $tied);
        } catch (Refusal) {
            return null;
        }
        if (! $read->pitch->equals($note->pitch) || $read->finger !== $finger) {
            return null;
        }
        $this->tones->note($token, $key, $crossed, $tied);

        return $token;
    }

    /** The letter count of the thumb's key when this finger lies on this note. */
    public function thumbFor(Pitch $pitch, int $finger): int
    {
        return $pitch->diatonic() - 7 * $this->tones->ottava - ($finger - 1) * $this->hand->direction();
    }

    /** @return string the token that puts the thumb there */
    public function position(int $thumb): string
    {
        $low = $this->hand === Hand::Right ? $thumb : $thumb - 4;
        $key = Pitch::ofDiatonic($low);
        $finger = $this->hand === Hand::Right ? 1 : 5;
        $this->tones->position($key->name(), $finger);

        return '@'.($finger === 5 ? '5=' : '').strtolower($key->letter()).$key->octave;
    }

    private function underFinger(int $finger): ?int
    {
        return $this->tones->thumb === null ? null : $this->tones->thumb + ($finger - 1) * $this->hand->direction();
    }

    private function octaves(int $step, int $written): string
    {
        if ($this->tones->nearest($step, true) === $written) {
            return '';
        }
        $octaves = intdiv($written - $this->tones->nearest($step, false), 7);

        return match (true) {
            $octaves > 0 => str_repeat("'", $octaves),
            $octaves < 0 => str_repeat(',', -$octaves),
            // Not the one under the hand, but the nearest to the note before.
            default => "',",
        };
    }
}

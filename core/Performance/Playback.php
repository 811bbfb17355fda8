<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance;

use Nasturtium\Core\Counting\CountIn;
use Nasturtium\Core\Counting\PlayOrder;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Piece;

/** What sounds when, in beats from the first note, with the count-in before it. Tempo is the player's. */
final readonly class Playback
{
    /**
     * @param  CountIn  $countIn  said before the first note
     * @param  int  $accent  beats in a bar; the metronome's accent falls on the first
     * @param  Fraction  $enters  the beat of the bar the music starts on, from 0
     * @param  Fraction  $beats  that it lasts
     * @param  list<array{id: string, hand: Hand, at: Fraction, beats: Fraction, keys: list<int>}>  $sounds  keys as MIDI numbers
     * @param  list<array{measure: int, at: Fraction}>  $bars  when each measure begins
     */
    private function __construct(
        public CountIn $countIn,
        public int $accent,
        public Fraction $enters,
        public Fraction $beats,
        public array $sounds,
        public array $bars,
    ) {}

    /** The whole piece, repeats followed. */
    public static function whole(Piece $piece): self
    {
        return self::measures($piece, PlayOrder::of($piece));
    }

    /**
     * @param  int  $first  index of the first measure
     * @param  int  $last  index of the last, played to its end
     */
    public static function range(Piece $piece, int $first, int $last): self
    {
        return self::measures($piece, range($first, $last));
    }

    /** @param list<int> $indices */
    private static function measures(Piece $piece, array $indices): self
    {
        $first = $piece->measures[$indices[0] ?? 0];
        $at = Fraction::zero();
        $sounds = [];
        $bars = [];
        /** @var array<string, int> $ringing which sound a tied key belongs to */
        $ringing = [];
        foreach ($indices as $index) {
            $measure = $piece->measures[$index];
            $bars[] = ['measure' => $measure->number, 'at' => $at];
            foreach ($measure->events() as $event) {
                self::event($measure, $event, $at, $sounds, $ringing);
            }
            $at = $at->plus($measure->meter->beats($measure->length));
        }

        return new self(
            CountIn::for($first->meter, $first->pickup ? $first->length : Fraction::zero()),
            $first->meter->count,
            $first->meter->beats($first->offset),
            $at,
            $sounds,
            $bars,
        );
    }

    /**
     * @param  list<array{id: string, hand: Hand, at: Fraction, beats: Fraction, keys: list<int>}>  $sounds
     * @param  array<string, int>  $ringing
     */
    private static function event(Measure $measure, Event $event, Fraction $barAt, array &$sounds, array &$ringing): void
    {
        $hand = $event->hand->value;
        $at = $barAt->plus($measure->meter->beats($event->onset));
        $beats = $measure->meter->beats($event->duration->whole);
        if ($event->isHeld() && isset($ringing[$hand], $sounds[$ringing[$hand]])) {
            $held = $sounds[$ringing[$hand]];
            $held['beats'] = $at->plus($beats)->minus($held['at']);
            $sounds[$ringing[$hand]] = $held;

            return;
        }
        unset($ringing[$hand]);
        if ($event->isRest()) {
            return;
        }
        $keys = array_map(static fn (Note $note): int => $note->pitch->midi(), $event->notes);
        $sounds[] = ['id' => $event->id, 'hand' => $event->hand, 'at' => $at, 'beats' => $beats, 'keys' => $keys];
        $ringing[$hand] = count($sounds) - 1;
    }
}

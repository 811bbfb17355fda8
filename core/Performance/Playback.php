<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance;

use Nasturtium\Core\Counting\BeatWords;
use Nasturtium\Core\Counting\CountIn;
use Nasturtium\Core\Counting\CountWay;
use Nasturtium\Core\Counting\PlayOrder;
use Nasturtium\Core\Pattern\Chunks;
use Nasturtium\Core\Pattern\InvalidRange;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Piece;

/** What sounds when, in beats from the first note, with the count-in before it. A beat is that of the piece's first time signature; tempo is the player's. */
final readonly class Playback
{
    /**
     * @param  CountIn  $countIn  said before the first note
     * @param  Fraction  $countBeats  how long each of its counts is
     * @param  Fraction  $countGap  from its last count to the first note; less than a count when the music enters between two
     * @param  Fraction  $beats  that the music lasts
     * @param  list<Sound>  $sounds  in the order of the page
     * @param  list<Click>  $clicks  of the metronome, one for each beat that is counted
     * @param  list<array{measure: int, index: int, at: Fraction}>  $bars  when each measure begins, by number and index
     */
    private function __construct(
        public CountIn $countIn,
        public Fraction $countBeats,
        public Fraction $countGap,
        public Fraction $beats,
        public array $sounds,
        public array $clicks,
        public array $bars,
    ) {}

    /** The whole piece, repeats and jumps followed. */
    public static function whole(Piece $piece, CountWay $way = new CountWay()): self
    {
        return self::measures($piece, PlayOrder::of($piece), $way);
    }

    /**
     * @param  int  $first  index of the first measure
     * @param  int  $last  index of the last, played to its end
     */
    public static function range(Piece $piece, int $first, int $last, CountWay $way = new CountWay()): self
    {
        return self::measures($piece, range($first, $last), $way);
    }

    /**
     * A range that is exact to the beat, counted in as a pickup is.
     *
     * @param  int  $first  index of the first measure
     * @param  int  $from  its beat, 0 for beat one
     * @param  int  $last  index of the last measure
     * @param  int  $to  the last beat, included
     *
     * @throws InvalidRange when a beat is not in its measure
     */
    public static function between(Piece $piece, int $first, int $from, int $last, int $to, CountWay $way = new CountWay()): self
    {
        $length = (new Chunks($piece))->between($first, $from, $last, $to)->beats;
        $bars = self::measures($piece, range($first, $last), $way);
        $measure = $piece->measures[$first];
        $lead = Fraction::of($from, $measure->meter->unit)->minus($measure->offset)->max(Fraction::zero());
        $start = $piece->meter()->beats($lead);
        $end = $start->plus($length);
        $within = static fn (Fraction $at): bool => $at->compare($start) >= 0 && $at->compare($end) < 0;
        $sounds = array_filter($bars->sounds, static fn (Sound $sound): bool => $within($sound->at));
        $words = BeatWords::of($measure->meter, $way);
        $entry = $measure->offset->plus($lead);
        $part = $words->beats($entry)->part();
        $counted = $piece->meter()->beats(Fraction::of($words->size, $measure->meter->unit));

        return new self(
            CountIn::for($measure->meter, $entry->isZero() ? $entry : $measure->meter->measure()->minus($entry), $way),
            $counted,
            $part->isZero() ? $counted : $counted->times($part),
            $length,
            array_map(static fn (Sound $sound): Sound => $sound->within($start, $end), array_values($sounds)),
            array_map(static fn (Click $click): Click => new Click($click->at->minus($start), $click->accent), array_values(array_filter($bars->clicks, static fn (Click $click): bool => $within($click->at)))),
            array_map(static fn (array $bar): array => ['at' => $bar['at']->minus($start)->max(Fraction::zero())] + $bar, $bars->bars),
        );
    }

    /** @param list<int> $indices */
    private static function measures(Piece $piece, array $indices, CountWay $way): self
    {
        $first = $piece->measures[$indices[0] ?? 0];
        $meter = $piece->meter();
        $at = Fraction::zero();
        $sounds = [];
        $clicks = [];
        $bars = [];
        /** @var array<string, int> $ringing which sound a tied key belongs to */
        $ringing = [];
        foreach ($indices as $index) {
            $measure = $piece->measures[$index];
            $bars[] = ['measure' => $measure->number, 'index' => $index, 'at' => $meter->beats($at)];
            foreach ($measure->events() as $event) {
                self::event($piece, $event, $at->plus($event->onset), $sounds, $ringing);
            }
            array_push($clicks, ...self::clicks($piece, $measure, $at));
            $at = $at->plus($measure->length);
        }
        $words = BeatWords::of($first->meter, $way);
        $counted = Fraction::of($words->size, $first->meter->unit);
        $part = $words->beats($first->offset)->part();

        return new self(
            CountIn::for($first->meter, $first->pickup ? $first->length : Fraction::zero(), $way),
            $meter->beats($counted),
            $meter->beats($counted->times($part->isZero() ? Fraction::of(1) : $part)),
            $meter->beats($at),
            $sounds,
            $clicks,
            $bars,
        );
    }

    /**
     * @param  list<Sound>  $sounds
     * @param  array<string, int>  $ringing
     */
    private static function event(Piece $piece, Event $event, Fraction $at, array &$sounds, array &$ringing): void
    {
        $beats = $piece->meter()->beats($event->duration->whole);
        $starts = $piece->meter()->beats($at);
        $struck = [];
        $rings = [];
        foreach ($event->notes as $note) {
            $key = $note->pitch->midi();
            $name = "{$event->hand->value} {$key}";
            $from = $ringing[$name] ?? null;
            $before = $from === null ? null : $sounds[$from] ?? null;
            if ($note->tieStop && $from !== null && $before !== null && $before->at->plus($before->held($key))->equals($starts)) {
                $sounds[$from] = $before->until($starts->plus($beats), $key);
                $rings[$name] = $from;
            } else {
                $struck[] = $key;
            }
        }
        if ($struck !== []) {
            $sounds[] = new Sound($event->id, $event->hand, $starts, $beats, $struck);
        }
        foreach ($event->notes as $note) {
            $name = "{$event->hand->value} {$note->pitch->midi()}";
            unset($ringing[$name]);
            if ($note->tieStart) {
                $ringing[$name] = $rings[$name] ?? count($sounds) - 1;
            }
        }
    }

    /** @return list<Click> */
    private static function clicks(Piece $piece, Measure $measure, Fraction $at): array
    {
        $clicks = [];
        $from = $measure->meter->beats($measure->offset);
        $to = $measure->meter->beats($measure->offset->plus($measure->length));
        for ($beat = $from->ceil(); Fraction::of($beat)->compare($to) < 0; $beat++) {
            $whole = $at->plus(Fraction::of($beat, $measure->meter->unit))->minus($measure->offset);
            $clicks[] = new Click($piece->meter()->beats($whole), $beat % $measure->meter->count === 0);
        }

        return $clicks;
    }
}

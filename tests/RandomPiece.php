<?php

declare(strict_types=1);

namespace Tests;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\DraftEvent;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Grace;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Ink;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Lyric;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\MeasureDraft;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\PieceBuilder;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Score\PrintedAccidentals;
use Nasturtium\Core\Score\Sign;
use Nasturtium\Core\Score\SignKind;
use Nasturtium\Core\Score\SlurEnd;
use Nasturtium\Core\Score\Tuplet;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Pieces by seeded chance, with what makes a file hard to read back: hands that cross, or rest all through, one staff,
 * several voices with gaps, bars that are divided, too short or too long, clefs of all kinds, grace notes under slurs.
 */
final class RandomPiece
{
    private const METERS = [[4, 4], [3, 4], [2, 4], [6, 8], [5, 8], [2, 2]];

    private readonly Randomizer $chance;

    private readonly PieceBuilder $builder;

    private bool $slurred = false;

    private function __construct(int $seed)
    {
        $this->chance = new Randomizer(new Mt19937($seed));
        $this->builder = new PieceBuilder();
        $this->builder->title = "Tune {$seed}";
    }

    public static function of(int $seed): Piece
    {
        return (new self($seed))->piece();
    }

    private function piece(): Piece
    {
        $hands = [[Hand::Right, Hand::Left], [Hand::Right, Hand::Left], [Hand::Right], [Hand::Left]][$this->chance->getInt(0, 3)];
        $rests = $this->oneIn(5) && count($hands) === 2 ? $hands[$this->chance->getInt(0, 1)] : null;
        $crossing = ['R' => $this->chance->getInt(0, 4), 'L' => $this->chance->getInt(0, 4)];
        $meter = new Meter(...self::METERS[$this->chance->getInt(0, 5)]);
        $bars = $this->chance->getInt(2, 9);
        for ($bar = 0; $bar < $bars; $bar++) {
            $meter = $this->oneIn(12) ? new Meter(...self::METERS[$this->chance->getInt(0, 5)]) : $meter;
            $draft = $this->builder->measure($meter, new Key($this->chance->getInt(-3, 3), $this->oneIn(4)), implicit: $bar === 0 && $this->oneIn(4), newLine: $this->oneIn(4));
            $full = $this->oneIn(6) ? $meter->measure()->times(Fraction::of($this->chance->getInt(1, 5), 4)) : $meter->measure();
            foreach ($hands as $hand) {
                $voices = $this->chance->getInt(1, 4) === 4 ? $this->chance->getInt(2, 6) : 1;
                for ($voice = 1; $voice <= $voices; $voice++) {
                    $this->voice($draft, $hand, $voice, $full, $hand === $rests && $voice === 1 ? 0 : 8, $hand === $rests ? 0 : $crossing[$hand->value]);
                }
                $this->signs($draft, $hand, $full);
            }
            PrintedAccidentals::settle($draft);
            $draft->repeatStart = $this->oneIn(8);
            $draft->repeatEnd = $this->oneIn(8);
            $draft->barStyle = ! $draft->repeatEnd && $this->oneIn(10) ? 'light-light' : '';
        }

        return $this->builder->piece();
    }

    /** @param int $sounds of eight events; $crosses of five stand on the other staff */
    private function voice(MeasureDraft $draft, Hand $hand, int $voice, Fraction $full, int $sounds, int $crosses): void
    {
        $at = Fraction::zero();
        while ($at->compare($full) < 0) {
            $length = Fraction::of(1, [2, 4, 4, 8, 8, 16, 12][$this->chance->getInt(0, 6)]);
            $length = $length->compare($full->minus($at)) > 0 ? $full->minus($at) : $length;
            $at = $at->plus($length);
            if ($voice > 1 && $this->oneIn(3)) {
                continue;
            }
            $isRest = $this->chance->getInt(1, 8) > $sounds || $this->oneIn(7);
            $crossed = $this->chance->getInt(1, 5) <= $crosses;
            $draft->events[] = new DraftEvent($hand, (string) $voice, $at->minus($length), Duration::ofWhole($length), $isRest ? [] : $this->notes($hand), $this->ink($isRest, $length), $crossed);
        }
    }

    /** @return non-empty-list<Note> */
    private function notes(Hand $hand): array
    {
        $low = $this->chance->getInt($hand === Hand::Right ? 24 : 12, $hand === Hand::Right ? 40 : 32);
        $notes = [];
        for ($i = 0; $i <= ($this->oneIn(5) ? $this->chance->getInt(1, 3) : 0); $i++) {
            $notes[] = new Note(Pitch::ofDiatonic($low + 2 * $i, $this->oneIn(8) ? $this->chance->getInt(-1, 1) : 0), $this->oneIn(4) ? $this->chance->getInt(1, 5) : null, courtesy: true);
        }

        return $notes;
    }

    private function ink(bool $isRest, Fraction $length): Ink
    {
        $tuplet = Tuplet::fitting(Duration::ofWhole($length));
        if ($isRest) {
            return new Ink(tuplet: $tuplet);
        }
        $slurs = [];
        $graces = [];
        if ($this->oneIn(10)) {
            $graces[] = new Grace(Pitch::ofDiatonic($this->chance->getInt(24, 38)), 'eighth', $this->oneIn(2), slurs: $this->slurred ? [] : [$this->slur()]);
        }
        if ($this->oneIn(8) || ($graces !== [] && $this->slurred)) {
            $slurs[] = $this->slur();
        }

        return new Ink($this->oneIn(6) ? [Mark::cases()[$this->chance->getInt(0, 8)]] : [], $slurs, $this->oneIn(9) ? [new Lyric('la')] : [], $graces, $tuplet);
    }

    private function slur(): SlurEnd
    {
        $this->slurred = ! $this->slurred;

        return new SlurEnd(1, $this->slurred);
    }

    private function signs(MeasureDraft $draft, Hand $hand, Fraction $full): void
    {
        if ($this->oneIn(6)) {
            $draft->signs[] = new Sign([SignKind::Crescendo, SignKind::HairpinEnd, SignKind::Dynamic, SignKind::Words, SignKind::Chord][$this->chance->getInt(0, 4)], $hand, $this->oneIn(3) ? Fraction::of(1, 8) : Fraction::zero(), ['p', 'mf', 'Am7', 'C/E'][$this->chance->getInt(0, 3)], $this->oneIn(2));
        }
        if ($this->oneIn(8)) {
            $draft->clefs[] = [$this->oneIn(2) ? Fraction::zero() : $full->times(Fraction::of(1, 2)), $hand, Clef::cases()[$this->chance->getInt(0, count(Clef::cases()) - 1)]];
        }
    }

    private function oneIn(int $many): bool
    {
        return $this->chance->getInt(1, $many) === 1;
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

use Nasturtium\Core\Practice\Slip;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Words;

/** What a take proposes for the table of slips, each once for a bar and a hand (trade 18.3). */
final class ProposeSlips
{
    /** Wrong keys in a row, all off to the same side. */
    private const DRIFTS = 2;

    /** A leap is a move of so many half steps: over a fifth. */
    private const LEAP = 8;

    /** What is held is written so long: half notes. */
    private const LONG_NOTE = 2 * WrittenMusic::QUARTER;

    /** A bar is rushed when so many of its notes are off the beat; a take, when so few of a thousand beats are steady. */
    private const OFF_BEAT = 2;

    private const UNSTEADY = 600;

    /** Hands that do not meet twice in a bar, or once by so much. */
    private const APART = 2;

    private const FAR_APART = 180;

    /** @var array<string, ProposedSlip> by kind, bar and hand */
    private array $found = [];

    private function __construct(private readonly Heard $heard) {}

    /** @return list<ProposedSlip> in the order of the page */
    public static function of(Heard $heard): array
    {
        $propose = new self($heard);
        foreach (Hand::cases() as $hand) {
            $propose->keys($hand);
            if ($heard->source === Source::Keyboard) {
                $propose->lengths($hand);
            }
        }
        $propose->stalls();
        $propose->hands();
        $propose->repeats();
        if ($heard->source === Source::Keyboard) {
            $propose->beat();
        }
        $slips = array_values($propose->found);
        usort($slips, static fn (ProposedSlip $a, ProposedSlip $b): int => [$a->measure, $a->notes[0], $a->kind->value] <=> [$b->measure, $b->notes[0], $b->kind->value]);

        return $slips;
    }

    /** Wrong keys of a hand: one, a drift of the hand, a line read the wrong way, or a leap that was missed. */
    private function keys(Hand $hand): void
    {
        $of = $this->hand($hand);
        foreach ($of as $at => $i) {
            $note = $this->heard->notes[$i];
            if ($note->status !== HeardStatus::Wrong || $note->played === null) {
                continue;
            }
            $before = $of[$at - 1] ?? null;
            $move = $before === null ? 0 : $note->written->pitch - $this->heard->notes[$before]->written->pitch;
            $played = $before === null ? 0 : $note->played - ($this->heard->notes[$before]->played ?? $this->heard->notes[$before]->written->pitch);
            $off = $note->played - $note->written->pitch;
            $drift = $this->drifts($of, $at, $off);
            match (true) {
                $drift >= self::DRIFTS => $this->add(Slip::WrongFinger, $i, $hand, Words::counted($drift, 'key').' in a row, all off to the same side'),
                $hand === Hand::Left && abs($move) > 0 && abs($move + $played) <= 1 => $this->add(Slip::ReadBackwards, $i, $hand, 'it went '.($move > 0 ? 'down' : 'up').' where it is written '.($move > 0 ? 'up' : 'down')),
                abs($move) >= self::LEAP => $this->add(Slip::LeapMissed, $i, $hand, 'the key after a leap was another one'),
                default => $this->add(Slip::WrongNote, $i, $hand, 'another key was struck'),
            };
        }
    }

    /**
     * How many wrong keys around this one, and with it, are off to the same side.
     *
     * @param  list<int>  $of
     */
    private function drifts(array $of, int $at, int $off): int
    {
        $same = function (int $at) use ($of, $off): bool {
            $note = isset($of[$at]) ? $this->heard->notes[$of[$at]] : null;

            return $note !== null && $note->status === HeardStatus::Wrong && (($note->played ?? 0) <=> $note->written->pitch) === ($off <=> 0);
        };
        $from = $to = $at;
        while ($same($from - 1)) {
            $from--;
        }
        while ($same($to + 1)) {
            $to++;
        }

        return $to - $from + 1;
    }

    /** Rests that were skipped, and long notes that were cut short. */
    private function lengths(Hand $hand): void
    {
        foreach ($this->hand($hand) as $i) {
            $note = $this->heard->notes[$i];
            if ($note->written->afterRest && $note->timing === Timing::Early) {
                $this->add(Slip::CutShort, $i, $hand, 'it came before the rest was over');
            } elseif ($note->hold === Hold::Short && $note->written->lasts >= self::LONG_NOTE) {
                $this->add(Slip::CutShort, $i, $hand, 'it was let go before its time');
            }
        }
    }

    private function stalls(): void
    {
        foreach ($this->heard->stalls as $stall) {
            $written = $this->heard->notes[$stall['before']]->written;
            $before = $this->heard->notes[$stall['before'] - 1] ?? null;
            $isTurn = $this->heard->music->piece->measures[$written->measure]->newLine && ($before === null || $before->written->bar !== $written->bar);
            $this->add($isTurn ? Slip::LineTurnStall : Slip::BeatLost, $stall['before'], null, $isTurn ? 'it stood still at the line end' : 'it stood still before this');
        }
    }

    private function hands(): void
    {
        $bars = [];
        foreach ($this->heard->apart as $apart) {
            $bars[$this->heard->notes[$apart['note']]->written->measure][] = $apart;
        }
        foreach ($bars as $of) {
            if (count($of) >= self::APART || max(array_column($of, 'milliseconds')) >= self::FAR_APART) {
                $this->add(Slip::HandsApart, $of[0]['note'], null, 'the hands were '.max(array_column($of, 'milliseconds')).' milliseconds apart');
            }
        }
    }

    /** A repeat is missed where its second time was left out and the music went on after it. */
    private function repeats(): void
    {
        $notes = $this->heard->notes;
        foreach ($notes as $i => $note) {
            $isFirst = $i > 0 && $notes[$i - 1]->status !== HeardStatus::Skipped && $note->status === HeardStatus::Skipped;
            $after = array_filter(array_slice($notes, $i), static fn (HeardNote $later): bool => $later->status->sounded());
            if ($isFirst && $after !== [] && $this->heard->music->afterRepeat($note->written->bar) !== null) {
                $this->add(Slip::RepeatMissed, $i, null, 'it went on without the repeat');
            }
        }
    }

    private function beat(): void
    {
        $bars = [];
        foreach ($this->heard->notes as $i => $note) {
            if ($note->timing !== Timing::Ok) {
                $bars[$note->written->bar][] = $i;
            }
        }
        foreach ($bars as $of) {
            if (count($of) >= self::OFF_BEAT) {
                $this->add(Slip::BeatLost, $of[0], null, Words::counted(count($of), 'note').' off the beat');
            }
        }
        if ($this->heard->steady !== null && $this->heard->steady < self::UNSTEADY && $bars === [] && $this->heard->notes !== []) {
            $this->add(Slip::BeatLost, 0, null, 'the beat was not steady');
        }
    }

    /** @return list<int> notes of a hand that were come to */
    private function hand(Hand $hand): array
    {
        return array_keys(array_filter($this->heard->notes, static fn (HeardNote $note): bool => $note->written->hand === $hand && $note->status !== HeardStatus::Skipped));
    }

    private function add(Slip $kind, int $note, ?Hand $hand, string $why): void
    {
        $written = $this->heard->notes[$note]->written;
        $name = "{$kind->value} {$written->measure} ".($hand->value ?? '');
        $before = $this->found[$name] ?? null;
        $this->found[$name] = $before === null
            ? new ProposedSlip($kind, $written->measure, $written->place, $hand, $why, [$note])
            : new ProposedSlip($kind, $before->measure, $before->place, $hand, $before->why, [...$before->notes, $note]);
    }
}

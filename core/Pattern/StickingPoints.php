<?php

declare(strict_types=1);

namespace Nasturtium\Core\Pattern;

use Nasturtium\Core\Fingering\HandMove;
use Nasturtium\Core\Fingering\HandWork;
use Nasturtium\Core\Reading\KnownNotes;
use Nasturtium\Core\Reading\Move;
use Nasturtium\Core\Reading\NoteStatus;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Place;
use Nasturtium\Core\Words;

/** Where a page sticks: each bar-over with its reasons (trade 6.4). A move is a reason where it is made, so one into a downbeat belongs to the bar before. */
final class StickingPoints
{
    /** How often one difficulty is told of one bar; it counts three times at most. */
    private const MOST_TOLD = 12;

    /** Below it nothing sticks: as much as the hands with rhythms of their own. */
    private const LEAST = 4;

    /** One bar of so many has a thorn at most: a page with thorns everywhere has none. */
    private const ONE_OF = 4;

    /** @var array<int, array<string, Reason>> by index of the bar, then by difficulty */
    private array $found = [];

    /** @var array<int, array<string, array<string, int>>> how often each was told, by bar, difficulty and words */
    private array $told = [];

    /** @var array<int, int|null> by index of the bar, once it was asked for */
    private array $firstBeats = [];

    /** @var array<string, array{int, Event}>|null the index of its measure and each event, by hand and place */
    private ?array $events = null;

    /**
     * @param  array{R: HandWork, L: HandWork}  $work
     * @param  list<HandsTogether>  $hands  by measure
     */
    private function __construct(private readonly Piece $piece, private readonly array $work, private readonly array $hands, private readonly ?KnownNotes $known) {}

    /**
     * @param  array{R: HandWork, L: HandWork}  $work  by hand
     * @param  list<HandsTogether>  $hands  what they do in each measure
     * @param  KnownNotes|null  $known  null when nobody in particular reads the page: then no note is new
     * @param  array<int, Verdict>  $verdicts  the teacher's, by measure number
     * @return list<StickingPoint> one for each bar in which something sounds
     */
    public static function of(Piece $piece, array $work, array $hands, ?KnownNotes $known, array $verdicts = []): array
    {
        $points = new self($piece, $work, $hands, $known);
        $points->read();
        $found = [];
        foreach ($piece->measures as $i => $measure) {
            if ($measure->firstSounding() !== null) {
                $found[] = $points->at($i, $verdicts[$measure->number] ?? null);
            }
        }

        return $found;
    }

    /**
     * Those that deserve a warning: hard in themselves, among the hardest of their page, a quarter at most of the bars that
     * are different from each other, and of equal bars the first. What the teacher calls hard has its thorn besides.
     *
     * @param  list<StickingPoint>  $points
     * @param  array<int, int>  $first  of a bar that has equals, the first of them, by index
     * @return list<int> indices of bars, in the order of the page
     */
    public static function thorns(array $points, array $first = []): array
    {
        $scores = [];
        $hard = [];
        foreach ($points as $point) {
            $wears = $first[$point->index] ?? $point->index;
            $scores[$wears] = max($scores[$wears] ?? 0, $point->teacher === null ? $point->score : 0);
            if ($point->teacher === Verdict::Hard) {
                $hard[] = $point->index;
            }
        }
        $most = max([0, ...$scores]);
        $deserving = array_filter($scores, static fn (int $score): bool => $score >= self::LEAST && 3 * $score >= 2 * $most);
        // The hardest first; of two that are as hard, the one that comes first.
        arsort($deserving);
        $thorns = [...array_slice(array_keys($deserving), 0, max(1, intdiv(count($scores), self::ONE_OF))), ...$hard];
        sort($thorns);

        return array_values(array_unique($thorns));
    }

    private function at(int $index, ?Verdict $teacher): StickingPoint
    {
        if ($teacher === Verdict::Hard) {
            $this->add($index, Difficulty::Teacher, 'marked by you', 1, []);
        }
        $reasons = array_values($this->found[$index] ?? []);
        usort($reasons, static fn (Reason $a, Reason $b): int => $b->score() <=> $a->score());
        $score = array_sum(array_map(static fn (Reason $reason): int => $reason->score(), $reasons));

        return new StickingPoint($index, $reasons, $teacher === Verdict::Easy ? 0 : $score, $teacher);
    }

    private function read(): void
    {
        foreach ($this->piece->measures as $i => $measure) {
            if ($this->known !== null) {
                $this->notes($i, $measure, $this->known);
            }
            $this->accidentals($i, $measure);
            foreach (Hand::cases() as $hand) {
                $this->rhythm($i, $measure->of($hand), $hand);
            }
            $this->together($i, $measure);
            if (($this->piece->measures[$i + 1] ?? null)?->newLine === true) {
                $this->add($i, Difficulty::LineTurn, 'the line ends here: the eyes jump', 1, []);
            }
        }
        foreach ($this->work as $work) {
            $this->moves($work);
        }
    }

    private function notes(int $i, Measure $measure, KnownNotes $known): void
    {
        $heads = ['new' => [], 'shaky' => []];
        foreach ($measure->events() as $event) {
            foreach ($event->notes as $note) {
                $status = $known->status($note->pitch, $event->clef);
                if ($status !== NoteStatus::Secure && ! $note->tieStop) {
                    $heads[$status->value][$note->pitch->name()][] = $event->id;
                }
            }
        }
        foreach (['new' => Difficulty::NewNote, 'shaky' => Difficulty::ShakyNote] as $status => $difficulty) {
            $names = array_keys($heads[$status]);
            $this->add($i, $difficulty, "{$status} ".(count($names) === 1 ? 'note' : 'notes').': '.implode(', ', $names), count($names), array_merge(...array_values($heads[$status])));
        }
    }

    private function accidentals(int $i, Measure $measure): void
    {
        $names = [];
        $events = [];
        foreach ($measure->events() as $event) {
            foreach ($event->notes as $note) {
                if ($note->pitch->alter !== $measure->key->alters($note->pitch->step)) {
                    $names[$note->pitch->spelled()] = true;
                    $events[] = $event->id;
                }
            }
        }
        $this->add($i, Difficulty::Accidental, (count($names) === 1 ? 'accidental: ' : 'accidentals: ').implode(', ', array_keys($names)), count($names), $events);
    }

    /** @param list<Event> $events of one hand's main voice in a bar */
    private function rhythm(int $i, array $events, Hand $hand): void
    {
        $found = ['dotted' => [], 'tie' => [], 'triplet' => [], 'short' => [], 'long' => [], 'rest' => []];
        $played = false;
        $silent = [];
        $unit = $this->piece->measures[$i]->meter->unit;
        $beat = Fraction::of(1, max(4, $unit));
        foreach ($events as $event) {
            if ($event->isRest()) {
                if ($played) {
                    $silent[] = $event->id;
                }

                continue;
            }
            if ($silent !== []) {
                array_push($found['rest'], ...$silent);
            }
            [$played, $silent] = [true, []];
            $written = $event->writtenLength();
            if ($event->ink->tuplet !== null) {
                $found['triplet'][] = $event->id;
            } else {
                $found[$written->whole->compare($beat) < 0 ? 'short' : 'long'][] = $event->id;
            }
            // A dotted half is three plain counts; what is uneven divides the beat.
            if (($written->asNote()[1] ?? 0) > 0 && $written->whole->compare(Fraction::of(3, 4)) < 0 && $unit < 8) {
                $found['dotted'][] = $event->id;
            }
            foreach ($event->notes as $note) {
                if ($note->tieStart) {
                    $found['tie'][] = $event->id;
                    break;
                }
            }
        }
        $in = "in the {$hand->word()}";
        $mixed = $found['short'] !== [] && $found['long'] !== [] && $found['dotted'] === [];
        $this->add($i, Difficulty::RestInside, "a rest inside, {$in}", min(1, count($found['rest'])), $found['rest'], $hand);
        $this->add($i, Difficulty::Dotted, "a dotted rhythm {$in}", min(1, count($found['dotted'])), $found['dotted'], $hand);
        $this->add($i, Difficulty::Tie, "a tie {$in}", min(1, count($found['tie'])), $found['tie'], $hand);
        $this->add($i, Difficulty::Triplet, "a triplet {$in}", min(1, count($found['triplet'])), $found['triplet'], $hand);
        $this->add($i, Difficulty::Mixed, "short notes among long ones {$in}", $mixed ? 1 : 0, $found['short'], $hand);
    }

    private function together(int $i, Measure $measure): void
    {
        $hands = $this->hands[$i];
        [$difficulty, $text] = match (true) {
            $hands->play !== HandsPlay::Together => [null, ''],
            $hands->isOverOneNote($measure) => [Difficulty::OverOneNote, 'a tune over one note, hands together'],
            $hands->sameRhythm === false => [Difficulty::OtherRhythm, 'hands together, each with its own rhythm'],
            $hands->motion !== null && $hands->motion !== Motion::Parallel => [Difficulty::OtherDirection, "hands together, in {$hands->motion->value} motion"],
            default => [Difficulty::SameDirection, 'hands together, same direction'],
        };
        if ($difficulty !== null) {
            $ids = array_map(static fn (Event $event): string => $event->id, array_values(array_filter($measure->events(), static fn (Event $event): bool => ! $event->isRest())));
            $this->add($i, $difficulty, $text, 1, $ids);
        }
    }

    private function moves(HandWork $work): void
    {
        foreach ($work->shifts() as $shift) {
            $keys = abs($shift->keys);
            $this->move($shift->at, $shift->hand, Difficulty::Shift, "the {$shift->hand->word()} shifts {$keys} ".($keys === 1 ? 'key' : 'keys').($shift->keys > 0 ? ' up' : ' down'));
        }
        foreach ($work->crossings() as $crossing) {
            $this->move($crossing->at, $crossing->hand, Difficulty::Crossing, ($crossing->move === HandMove::ThumbUnder ? "the thumb goes under finger {$crossing->finger}" : "finger {$crossing->finger} goes over the thumb").", in the {$crossing->hand->word()}");
        }
        foreach ($work->leaps() as $leap) {
            $this->move($leap->at, $leap->hand, Difficulty::Leap, "the {$leap->hand->word()} leaps ".($leap->steps > 0 ? 'up' : 'down').' '.Move::interval($leap->steps));
        }
        foreach ($work->weakRuns() as $run) {
            for ($i = $this->event($run->hand, $run->from)[0]; $i <= $this->event($run->hand, $run->to)[0]; $i++) {
                $this->add($i, Difficulty::WeakRun, "fingers 4 and 5 in a row, in the {$run->hand->word()}", 1, $run->events, $run->hand);
            }
        }
    }

    private function move(Place $at, Hand $hand, Difficulty $difficulty, string $text): void
    {
        [$i, $event] = $this->event($hand, $at);
        $isDownbeat = $i > 0 && $this->firstBeat($i) === $at->beats->floor();
        $this->add($isDownbeat ? $i - 1 : $i, $difficulty, $text, 1, [$event->id], $hand, $isDownbeat);
    }

    /** @return int|null the beat in which a bar begins to sound */
    private function firstBeat(int $index): ?int
    {
        if (! array_key_exists($index, $this->firstBeats)) {
            $measure = $this->piece->measures[$index];
            $first = $measure->firstSounding();
            $this->firstBeats[$index] = $first === null ? null : $measure->place($first->onset)->beats->floor();
        }

        return $this->firstBeats[$index];
    }

    /** @return array{int, Event} what a hand plays at a place, after the index of its measure */
    private function event(Hand $hand, Place $at): array
    {
        if ($this->events === null) {
            $this->events = [];
            foreach ($this->piece->measures as $i => $measure) {
                foreach ($measure->events() as $event) {
                    $this->events["{$event->hand->value} {$measure->place($event->onset)}"] ??= [$i, $event];
                }
            }
        }

        return $this->events["{$hand->value} {$at}"] ?? throw new \LogicException("the {$hand->word()} plays nothing at {$at}");
    }

    /** @param list<string> $events */
    private function add(int $i, Difficulty $difficulty, string $text, int $times, array $events, ?Hand $hand = null, bool $leadsOn = false): void
    {
        if ($times === 0) {
            return;
        }
        $before = $this->found[$i][$difficulty->value] ?? null;
        if ($before !== null && $before->times >= self::MOST_TOLD) {
            return;
        }
        $this->told[$i][$difficulty->value][$text] = ($this->told[$i][$difficulty->value][$text] ?? 0) + 1;
        $this->found[$i][$difficulty->value] = $before === null
            ? new Reason($difficulty, $text, $times, $events, $hand, $leadsOn)
            : new Reason($difficulty, self::once($this->told[$i][$difficulty->value]), $before->times + $times, [...$before->events, ...$events], $before->hand === $hand ? $hand : null, $before->leadsOn && $leadsOn);
    }

    /**
     * Each reason once, with how often; up and down again is a swing: `the left hand swings over a sixth, four times`.
     *
     * @param  array<string, int>  $told  how often, by words
     */
    private static function once(array $told): string
    {
        $said = [];
        foreach ($told as $text => $times) {
            $back = strtr($text, [' up' => ' down', ' down' => ' up']);
            $isBothWays = $back !== $text && isset($told[$back]);
            $bothWays = (string) preg_replace(['/ leaps (?:up|down) /', '/ (keys?) (?:up|down)/'], [' swings over ', ' $1 up and down'], $text);
            $said[$isBothWays ? $bothWays : $text] = $times + ($isBothWays ? $told[$back] : 0);
        }

        return implode('; ', array_map(static fn (string $text, int $times): string => $times === 1 ? $text : "{$text}, ".Words::times($times), array_keys($said), $said));
    }
}

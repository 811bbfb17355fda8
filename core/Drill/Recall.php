<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill;

use Nasturtium\Core\Counting\NoteWords;
use Nasturtium\Core\Pattern\EqualBars;
use Nasturtium\Core\Reading\DynamicWords;
use Nasturtium\Core\Reading\StaffPlace;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\SignKind;
use Nasturtium\Core\Words;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Recall questions that are made from a page itself (trade 15.1, kind 10). Each is asked only where it has one answer. */
final class Recall
{
    public const AT_ONCE = 5;

    private const LENGTHS = ['1' => 'whole', '1/2' => 'half', '1/4' => 'quarter', '1/8' => 'eighth'];

    private function __construct(private readonly Piece $piece, private readonly NoteWords $words) {}

    /** @return list<RecallQuestion> five of what can be asked, chosen by the seed; fewer where the page has less to ask */
    public static function of(Piece $piece, int $seed, NoteWords $words = NoteWords::British): array
    {
        /** @var list<RecallQuestion> $mixed */
        $mixed = (new Randomizer(new Xoshiro256StarStar($seed)))->shuffleArray(self::all($piece, $words));

        return array_slice($mixed, 0, self::AT_ONCE);
    }

    /** @return list<RecallQuestion> everything that can be asked, in the order in which a page is looked over */
    public static function all(Piece $piece, NoteWords $words = NoteWords::British): array
    {
        $of = new self($piece, $words);

        return [...$of->times(), ...$of->starts(), ...$of->again(), ...$of->lengths(), ...$of->outermost(), ...$of->ties(), ...$of->dynamics(), ...$of->touch(), ...$of->rests(), ...$of->repeats()];
    }

    /** @return list<RecallQuestion> */
    private function times(): array
    {
        $meter = $this->piece->meter();

        return [new RecallQuestion('How many beats are in a bar?', "{$meter->count}: the time is {$meter}.", [$this->piece->measures[$this->piece->firstFull()]->number])];
    }

    /** @return list<RecallQuestion> */
    private function starts(): array
    {
        $asked = [];
        foreach (Hand::cases() as $hand) {
            $first = $this->sounding($hand)[0] ?? null;
            if ($first !== null) {
                $note = $first->lowest();
                $where = $this->piece->notation->hasStaff() ? ', '.StaffPlace::of($note, $first->clef, $first->ottava) : '';
                $asked[] = new RecallQuestion("On which note does the {$hand->word()} start?", "{$note->spelled()}{$where}.", [$this->number($first)]);
            }
        }

        return $asked;
    }

    /** @return list<RecallQuestion> bars that come again */
    private function again(): array
    {
        $asked = [];
        foreach (EqualBars::both($this->piece) as $group) {
            [$first, $group] = [$group[0], array_slice($group, 1)];
            $asked[] = new RecallQuestion("Where does bar {$first} come again?", 'In '.self::bars($group).'.', [$first, ...$group]);
        }

        return $asked;
    }

    /** @return list<RecallQuestion> how many notes of a length are in the first bar of a hand */
    private function lengths(): array
    {
        $asked = [];
        foreach (Hand::cases() as $hand) {
            $index = $this->piece->firstFull();
            $events = array_filter($this->sounding($hand), static fn (Event $event): bool => $event->measure === $index && $event->ink->tuplet === null);
            foreach (self::LENGTHS as $whole => $value) {
                $count = count(array_filter($events, static fn (Event $event): bool => (string) $event->duration->whole === (string) $whole));
                if ($count > 0) {
                    $name = $this->words->of($value).($this->words === NoteWords::American ? ' note' : '');
                    $number = $this->piece->measures[$index]->number;
                    $asked[] = new RecallQuestion("How many {$name}s does the {$hand->word()} have in ".self::bars([$number]).'?', ucfirst(Words::number($count)).'.', [$number]);
                }
            }
        }

        return $asked;
    }

    /** @return list<RecallQuestion> */
    private function outermost(): array
    {
        $asked = [];
        foreach (Hand::cases() as $hand) {
            $highest = null;
            foreach ($this->sounding($hand) as $event) {
                $note = $event->notes[count($event->notes) - 1]->pitch;
                if ($highest === null || $note->midi() > $highest[0]->midi()) {
                    $highest = [$note, $event];
                }
            }
            if ($highest !== null) {
                $number = $this->number($highest[1]);
                $asked[] = new RecallQuestion("Which is the highest note of the {$hand->word()}?", "{$highest[0]->spelled()}, first in ".self::bars([$number]).'.', [$number]);
            }
        }

        return $asked;
    }

    /** @return list<RecallQuestion> */
    private function ties(): array
    {
        return $this->where('Where is a tie?', static fn (Event $event): bool => ! $event->isRest() && $event->notes[0]->tieStart);
    }

    /** @return list<RecallQuestion> */
    private function touch(): array
    {
        return [
            ...$this->where('Where are notes with a dot above or below?', static fn (Event $event): bool => $event->has(Mark::Staccato)),
            ...$this->where('Where is a note held longer than it is written?', static fn (Event $event): bool => $event->has(Mark::Fermata)),
        ];
    }

    /** @return list<RecallQuestion> */
    private function rests(): array
    {
        return $this->where('In which bars does the right hand rest?', static fn (Event $event): bool => $event->isRest() && $event->hand === Hand::Right);
    }

    /** @return list<RecallQuestion> */
    private function repeats(): array
    {
        $bars = [];
        foreach ($this->piece->measures as $measure) {
            if ($measure->repeatEnd) {
                $bars[] = $measure->number;
            }
        }

        return $bars === [] ? [] : [new RecallQuestion('Where do you go back and play again?', 'At the end of '.self::bars($bars).'.', $bars)];
    }

    /** @return list<RecallQuestion> what the first of each dynamic says */
    private function dynamics(): array
    {
        $asked = [];
        foreach ($this->piece->measures as $measure) {
            foreach ($measure->signs as $sign) {
                $meaning = $sign->kind === SignKind::Dynamic ? DynamicWords::meaning($sign->text) : null;
                if ($meaning !== null) {
                    $asked[$sign->text] ??= new RecallQuestion("What does {$sign->text} in ".self::bars([$measure->number]).' say?', ucfirst($meaning).'.', [$measure->number]);
                }
            }
        }

        return array_values($asked);
    }

    /**
     * @param  \Closure(Event): bool  $is
     * @return list<RecallQuestion> none where there is nothing of it, or nothing else
     */
    private function where(string $ask, \Closure $is): array
    {
        $bars = [];
        foreach (Hand::cases() as $hand) {
            foreach ($this->piece->hand($hand) as $event) {
                if ($is($event)) {
                    $bars[$event->measure] = $this->number($event);
                }
            }
        }
        ksort($bars);
        $bars = array_values(array_unique($bars));

        return $bars === [] || count($bars) === count($this->piece->measures) ? [] : [new RecallQuestion($ask, 'In '.self::bars($bars).'.', $bars)];
    }

    /**
     * `bar 3`, `bars 3 and 5`, `the pickup and bar 4`
     *
     * @param  list<int>  $bars
     */
    private static function bars(array $bars): string
    {
        $full = array_values(array_filter($bars, static fn (int $bar): bool => $bar > 0));
        $said = $full === [] ? '' : (count($full) === 1 ? 'bar ' : 'bars ').Words::listed(array_map(strval(...), $full));

        return count($full) === count($bars) ? $said : ($said === '' ? 'the pickup' : "the pickup and {$said}");
    }

    private function number(Event $event): int
    {
        return $this->piece->measures[$event->measure]->number;
    }

    /** @return list<Event> */
    private function sounding(Hand $hand): array
    {
        return array_values(array_filter($this->piece->hand($hand), static fn (Event $event): bool => ! $event->isRest()));
    }
}

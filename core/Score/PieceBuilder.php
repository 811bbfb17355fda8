<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** Puts measures together as a page is read: lengths, numbers, the pickup, clefs, voices, ids. */
final class PieceBuilder
{
    /** @var list<MeasureDraft> */
    private array $drafts = [];

    public string $title = '';

    public ?string $composer = null;

    public ?string $tempoWords = null;

    public ?Metronome $metronome = null;

    public Notation $notation = Notation::Staff;

    /** @var array<string, string> */
    public array $credits = [];

    /** @var array<string, int> what each event was read from, by its id; once the piece is built */
    public array $tokens = [];

    /** @var array{R: Clef, L: Clef} by the hand whose staff it is, as the measures are put together */
    private array $clefs = ['R' => Clef::Treble, 'L' => Clef::Bass];

    /** @var list<Hand>|null */
    private ?array $playing = null;

    /** @var array{R: int, L: int} octaves of the ottava line in force, likewise */
    private array $ottavas = ['R' => 0, 'L' => 0];

    /** @param int $most notes and rests of the piece */
    public function __construct(private readonly int $most = Limits::EVENTS) {}

    /** @param int|null $number as printed, where the source says it */
    public function measure(Meter $meter, Key $key, ?int $number = null, bool $implicit = false, bool $newLine = false): MeasureDraft
    {
        return $this->drafts[] = new MeasureDraft($meter, $key, $number, $implicit, $newLine);
    }

    /** @return list<MeasureDraft> */
    public function drafts(): array
    {
        return $this->drafts;
    }

    public function count(): int
    {
        return count($this->drafts);
    }

    /** @throws InvalidScore when there is no measure, or more of anything than Limits allows */
    public function piece(): Piece
    {
        $this->hold();
        TellMode::settle($this->drafts);
        $lengths = array_map(static fn (MeasureDraft $draft): Fraction => $draft->length(), $this->drafts);
        $pickup = $this->startsWithPickup($lengths);
        [$numbers, $after] = MeasureNumbers::of($this->drafts, $lengths, $pickup);
        $labels = self::labels($numbers);
        $measures = [];
        $this->settleSigns($lengths);
        $this->settleTempoWords();
        $last = $this->drafts[count($this->drafts) - 1] ?? null;
        if ($last !== null && $last->barStyle === 'light-heavy') {
            // Every piece ends with one.
            $last->barStyle = '';
        }
        foreach ($this->drafts as $index => $draft) {
            $this->restWherePlaying($draft, $lengths[$index]);
            $measures[] = $this->built($draft, $index, $numbers[$index], $labels[$index], $lengths[$index], $pickup && $index === 0, $after[$index]);
        }

        return new Piece($this->title, $measures, $this->composer, $this->tempoWords, $this->metronome, $this->notation, $this->credits);
    }

    /**
     * The end of a measure and the start of the next are one moment: what ends there belongs to the first, what begins to the second.
     *
     * @param  list<Fraction>  $lengths
     */
    private function settleSigns(array $lengths): void
    {
        $moved = [];
        foreach ($this->drafts as $index => $draft) {
            $stay = [];
            foreach ($draft->signs as $sign) {
                $to = match (true) {
                    $sign->kind->isEnd() && $sign->onset->isZero() && $index > 0 => $index - 1,
                    ! $sign->kind->isEnd() && $sign->onset->compare($lengths[$index]) >= 0 && isset($this->drafts[$index + 1]) => $index + 1,
                    default => $index,
                };
                if ($to === $index) {
                    $stay[] = $sign;
                } else {
                    $moved[$to][] = $sign->at($to < $index ? $lengths[$to] : Fraction::zero());
                }
            }
            $draft->signs = $stay;
        }
        foreach ($moved as $to => $signs) {
            // What comes from the measure before stands first, what comes from the one after last; the moment sorts them.
            $this->drafts[$to]->signs = [...$signs, ...$this->drafts[$to]->signs];
        }
    }

    /** The first words above the first note are its tempo, such as `Gently`, where nothing else is. */
    private function settleTempoWords(): void
    {
        foreach ($this->drafts[0]->signs ?? [] as $i => $sign) {
            if ($this->tempoWords === null && $sign->kind === SignKind::Words && $sign->staff === Hand::Right && $sign->above && $sign->onset->isZero()) {
                $this->tempoWords = mb_substr($sign->text, 0, 120);
                array_splice($this->drafts[0]->signs, $i, 1);

                return;
            }
        }
    }

    /** A hand that plays elsewhere rests in a measure in which nothing is written for it. */
    private function restWherePlaying(MeasureDraft $draft, Fraction $length): void
    {
        $this->playing ??= $this->playing();
        foreach ($this->playing as $hand) {
            if (array_filter($draft->events, static fn (DraftEvent $event): bool => $event->hand === $hand) === []) {
                $full = $draft->meter->measure();
                $draft->events[] = DraftEvent::rest($hand, '1', Fraction::zero(), $length->compare($full) > 0 ? $full : $length);
            }
        }
    }

    /** @return list<Hand> the hands for which anything is written */
    private function playing(): array
    {
        $found = [];
        foreach ($this->drafts as $draft) {
            foreach ($draft->events as $event) {
                $found[$event->hand->value] = $event->hand;
            }
        }
        ksort($found);

        return array_values($found);
    }

    /** @param string $label of its number, the only one of its kind in the piece */
    private function built(MeasureDraft $draft, int $index, int $number, string $label, Fraction $length, bool $pickup, ?Fraction $after): Measure
    {
        $changes = $this->changes($draft, $index, $length);
        $clefs = $this->clefs;
        $ottavas = $this->ottavas($draft);
        $byVoice = [];
        foreach (Hand::cases() as $hand) {
            foreach ($draft->voices($hand) as $lane => $events) {
                $voice = $lane + 1;
                foreach ($events as $i => $event) {
                    $staff = ($event->crossed ? $hand->other() : $hand)->value;
                    $id = $hand->value.$label.($lane === 0 ? '' : "v{$voice}").'-'.($i + 1);
                    if ($event->token !== null) {
                        $this->tokens[$id] = $event->token;
                    }
                    $byVoice[$lane === 0 ? $hand->value : 'inner'][] = new Event(
                        $id,
                        $hand,
                        self::clefAt($clefs[$staff], $changes, $staff, $event->onset),
                        $index,
                        $event->onset,
                        $event->duration,
                        self::lowestFirst($event->notes),
                        $event->ink,
                        $voice,
                        $event->crossed,
                        self::ottavaAt($ottavas[$staff], $event->onset),
                    );
                }
            }
        }
        foreach ($changes as $change) {
            if ($change->staff !== null && $change->to instanceof Clef) {
                $this->clefs[$change->staff->value] = $change->to;
            }
        }
        $signs = $draft->signs;
        usort($signs, static fn (Sign $a, Sign $b): int => $a->onset->compare($b->onset));

        return new Measure(
            $index,
            $number,
            $draft->meter,
            $draft->key,
            $length,
            $byVoice['R'] ?? [],
            $byVoice['L'] ?? [],
            $pickup,
            $draft->repeatStart,
            $draft->repeatEnd,
            $draft->endings,
            $draft->newLine,
            $draft->times,
            $byVoice['inner'] ?? [],
            $clefs,
            $changes,
            $signs,
            $draft->navigation,
            $draft->barStyle,
            $after,
            $draft->sameAsBefore,
        );
    }

    /** @throws InvalidScore */
    private function hold(): void
    {
        if (count($this->drafts) > Limits::MEASURES) {
            throw InvalidScore::tooMany('the piece', count($this->drafts), 'bars', Limits::MEASURES);
        }
        [$events, $notes] = [0, 0];
        $divisions = 1;
        $beats = Fraction::zero();
        foreach ($this->drafts as $i => $draft) {
            Limits::holdMeasure($draft, (string) ($draft->number ?? $i + 1));
            $events += count($draft->events);
            foreach ($draft->events as $event) {
                $notes += count($event->notes);
                $divisions = Limits::divided(Limits::divided($divisions, $event->onset), $event->duration->whole);
            }
            foreach ([...$draft->signs, ...array_map(static fn (array $one): Change => new Change($one[0], null, $one[1]), $draft->keys)] as $standing) {
                $divisions = Limits::divided($divisions, $standing->onset);
            }
            foreach ($draft->clefs as [$onset]) {
                $divisions = Limits::divided($divisions, $onset);
            }
            $beats = $beats->plus($draft->meter->beats($draft->length()));
        }
        if ($events > $this->most) {
            throw InvalidScore::tooMany('the piece', $events, 'notes and rests', $this->most);
        }
        if ($notes > Limits::NOTES) {
            throw InvalidScore::tooMany('the piece', $notes, 'notes in its chords', Limits::NOTES);
        }
        if ($beats->compare(Fraction::of(Limits::BEATS)) > 0) {
            throw InvalidScore::tooMany('the piece', $beats->floor(), 'beats', Limits::BEATS);
        }
    }

    /**
     * @param  list<int>  $numbers
     * @return list<string> `4`, and `4b` for a second measure of that number
     */
    private static function labels(array $numbers): array
    {
        $seen = [];
        $labels = [];
        foreach ($numbers as $number) {
            $times = $seen[$number] = ($seen[$number] ?? 0) + 1;
            $labels[] = $number.match ($times) {
                1 => '',
                2 => 'b',
                default => "b{$times}",
            };
        }

        return $labels;
    }

    /**
     * Clefs at the start of the measure come into force; those inside it are changes; one at its end is the next measure's.
     *
     * @return list<Change>
     */
    private function changes(MeasureDraft $draft, int $index, Fraction $length): array
    {
        $changes = [];
        $next = $this->drafts[$index + 1] ?? null;
        foreach ($draft->clefs as [$onset, $staff, $clef]) {
            if ($onset->isZero()) {
                $this->clefs[$staff->value] = $clef;
            } elseif ($onset->compare($length) < 0) {
                $changes[] = new Change($onset, $staff, $clef);
            } elseif ($next !== null) {
                array_unshift($next->clefs, [Fraction::zero(), $staff, $clef]);
            }
        }
        foreach ($draft->keys as [$onset, $key]) {
            $changes[] = new Change($onset, null, $key);
        }
        usort($changes, static fn (Change $a, Change $b): int => $a->onset->compare($b->onset));

        return $changes;
    }

    /** @param list<Change> $changes */
    private static function clefAt(Clef $clef, array $changes, string $staff, Fraction $onset): Clef
    {
        foreach ($changes as $change) {
            if ($change->staff?->value === $staff && $change->to instanceof Clef && $change->onset->compare($onset) <= 0) {
                $clef = $change->to;
            }
        }

        return $clef;
    }

    /** @return array{R: list<array{Fraction, int}>, L: list<array{Fraction, int}>} octaves from a moment on, by staff */
    private function ottavas(MeasureDraft $draft): array
    {
        $found = [
            'R' => [[Fraction::zero(), $this->ottavas['R']]],
            'L' => [[Fraction::zero(), $this->ottavas['L']]],
        ];
        foreach ($draft->signs as $sign) {
            $octaves = $sign->text === '15' ? 2 : 1;
            $octaves = match ($sign->kind) {
                SignKind::OttavaAbove => $octaves,
                SignKind::OttavaBelow => -$octaves,
                SignKind::OttavaEnd => 0,
                default => null,
            };
            if ($octaves !== null) {
                $found[$sign->staff->value][] = [$sign->onset, $octaves];
                $this->ottavas[$sign->staff->value] = $octaves;
            }
        }

        return $found;
    }

    /** @param list<array{Fraction, int}> $ottavas */
    private static function ottavaAt(array $ottavas, Fraction $onset): int
    {
        $octaves = 0;
        foreach ($ottavas as [$from, $value]) {
            if ($from->compare($onset) <= 0) {
                $octaves = $value;
            }
        }

        return $octaves;
    }

    /**
     * @param  list<Note>  $notes
     * @return list<Note>
     */
    private static function lowestFirst(array $notes): array
    {
        usort($notes, static fn (Note $a, Note $b): int => $a->pitch->midi() <=> $b->pitch->midi());

        return $notes;
    }

    /**
     * A short first measure is a pickup when the page says so, or when the last measure completes it.
     *
     * @param  list<Fraction>  $lengths
     */
    private function startsWithPickup(array $lengths): bool
    {
        if (count($lengths) < 2) {
            return false;
        }
        $first = $this->drafts[0];
        $full = $first->meter->measure();
        if ($lengths[0]->compare($full) >= 0) {
            return false;
        }
        $together = $lengths[0]->plus($lengths[count($lengths) - 1]);

        return $first->implicit || $first->number === 0 || $together->equals($full);
    }
}

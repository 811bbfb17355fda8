<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report;

use Nasturtium\Core\Counting\NoteWords;
use Nasturtium\Core\Fingering\Placed;
use Nasturtium\Core\Reading\DynamicWords;
use Nasturtium\Core\Reading\InventoryNote;
use Nasturtium\Core\Reading\KeyWords;
use Nasturtium\Core\Reading\NoteStatus;
use Nasturtium\Core\Reading\TempoWords;
use Nasturtium\Core\Report\Document\Pointed;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Metronome;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\SignKind;
use Nasturtium\Core\Wording\Variety;
use Nasturtium\Core\Words;

/** Everything that a teacher points at before a key is played, in her order (trade 3.8). Only what is there is said. */
final class LookOver
{
    private const TOUCH = [
        'staccato' => 'dots: short', 'staccatissimo' => 'wedges: very short', 'tenuto' => 'lines: held to the full',
        'accent' => 'accents: a little stronger', 'strong-accent' => 'strong accents', 'fermata' => 'fermata: hold it longer',
    ];

    /** @var list<Pointed> */
    private array $list = [];

    private function __construct(private readonly Breakdown $breakdown, private readonly Piece $piece) {}

    /**
     * @param  list<int>  $thorns  numbers of the bars where it will stick
     * @return list<Pointed>
     */
    public static function of(Breakdown $breakdown, array $thorns): array
    {
        $look = new self($breakdown, $breakdown->piece);
        if ($breakdown->piece->notation->hasStaff()) {
            $look->clefs();
            $look->keys();
        }
        $look->times();
        $look->tempo();
        $look->pickup();
        $look->way();
        $look->dynamics();
        $look->touch();
        $look->starts();
        $look->newNotes();
        $look->form();
        if ($thorns !== []) {
            $look->point('Where it will stick', self::bars($thorns).'.', $thorns, thorn: true);
        }

        return $look->list;
    }

    /**
     * @param  list<int>  $bars
     * @param  list<string>  $events
     */
    private function point(string $what, string $text, array $bars = [], array $events = [], bool $thorn = false): void
    {
        $this->list[] = new Pointed($what, Variety::in($this->breakdown->settings->words, ucfirst($text)), $bars, $events, $thorn);
    }

    private function clefs(): void
    {
        $clefs = $this->piece->measures[0]->clefs;
        $hands = array_values(array_filter(Hand::cases(), fn (Hand $hand): bool => $this->piece->plays($hand)));
        $said = array_map(fn (Hand $hand): string => "{$hand->word()} in {$clefs[$hand->value]->value} clef", $hands);
        if (count($hands) === 2 && $clefs['R'] === $clefs['L']) {
            $said = ["both hands in {$clefs['R']->value} clef"];
        }
        $bars = [];
        $now = $clefs;
        foreach ($this->piece->measures as $measure) {
            foreach ($this->clefChanges($measure, $now) as [$hand, $clef]) {
                $said[] = "{$hand->word()} changes to {$clef->value} clef in bar {$measure->number}";
                $bars[] = $measure->number;
            }
        }
        if ($said !== []) {
            $this->point('Clefs', implode(', ', $said).'.', $bars);
        }
    }

    /**
     * @param  array{R: Clef, L: Clef}  $now
     *
     * @param-out array{R: Clef, L: Clef} $now
     *
     * @return list<array{Hand, Clef}>
     */
    private function clefChanges(Measure $measure, array &$now): array
    {
        $changes = [];
        foreach (Hand::cases() as $hand) {
            $found = $measure->clefs[$hand->value] === $now[$hand->value] ? [] : [$measure->clefs[$hand->value]];
            foreach ($measure->changes as $change) {
                if ($change->staff === $hand && $change->to instanceof Clef) {
                    $found[] = $change->to;
                }
            }
            foreach ($this->piece->plays($hand) ? $found : [] as $clef) {
                $changes[] = [$hand, $clef];
            }
            $now[$hand->value] = $measure->clefAtEnd($hand);
        }

        return $changes;
    }

    private function keys(): void
    {
        $said = [KeyWords::of($this->piece->key())];
        $bars = [];
        foreach ($this->piece->measures as $i => $measure) {
            if ($i > 0 && ! $measure->key->equals($this->piece->measures[$i - 1]->key)) {
                $said[] = "from bar {$measure->number} ".KeyWords::of($measure->key);
                $bars[] = $measure->number;
            }
        }
        $this->point('Key', implode('; ', $said).'.', $bars);
    }

    private function times(): void
    {
        $said = [$this->time($this->piece->meter())];
        $bars = [];
        $first = $this->piece->firstFull();
        foreach ($this->piece->measures as $i => $measure) {
            if ($i > $first && ! $measure->meter->equals($this->piece->measures[$i - 1]->meter)) {
                $said[] = "from bar {$measure->number} {$this->time($measure->meter)}";
                $bars[] = $measure->number;
            }
        }
        $this->point('Time', implode('; ', $said).'.', $bars);
    }

    /** `4/4: four quarter notes in a bar`, or four crotchets. */
    private function time(Meter $meter): string
    {
        $words = $this->breakdown->settings->counting->noteWords;
        $value = $words->of(Duration::of(1, $meter->unit)->asNote()[0] ?? 'quarter');
        $notes = $words === NoteWords::British ? ($meter->count === 1 ? $value : "{$value}s") : "{$value} ".($meter->count === 1 ? 'note' : 'notes');

        return "{$meter}: ".Words::number($meter->count)." {$notes} in a bar";
    }

    private function tempo(): void
    {
        $metronome = $this->piece->metronome;
        $words = $this->piece->tempoWords;
        if ($metronome === null && $words === null) {
            return;
        }
        $meanings = TempoWords::meanings($words ?? '');
        $said = $words === null ? [] : [$words.($meanings === [] ? '' : ' ('.implode('; ', $meanings).')')];
        if ($metronome !== null) {
            $said[] = self::sign($metronome).' = '.($metronome->from === null ? '' : "{$metronome->from} to ").$metronome->goal;
        }
        $this->point('Tempo', implode(', ', $said).'.');
    }

    private static function sign(Metronome $metronome): string
    {
        [$value, $dots] = $metronome->unit->asNote() ?? ['quarter', 0];

        return (['whole' => '𝅝', 'half' => '𝅗𝅥', 'quarter' => '♩', 'eighth' => '♪'][$value] ?? $value).str_repeat('.', $dots);
    }

    private function pickup(): void
    {
        $counts = implode(' ', $this->breakdown->countIn->counts);
        $enter = $this->breakdown->countIn->enter;
        $pickup = $this->piece->pickup();
        if ($pickup === null) {
            $this->point('Count in', "{$counts}, then play on {$enter}.", events: $this->firstEvents());

            return;
        }
        $beats = $pickup->meter->beats($pickup->length);
        $many = $beats->part()->isZero() ? Words::number($beats->floor()) : (string) $beats;
        $many .= $beats->equals(Fraction::of(1)) ? ' beat' : ' beats';
        $this->point('Pickup', "it starts before the bar, with {$many}. Count {$counts}, then play on {$enter}.", [0], $this->firstEvents());
    }

    /** The way through as ranges of bars: `bars 1–8, then 1–6, then 9–10`. */
    private function way(): void
    {
        $order = $this->breakdown->playOrder;
        if ($order === array_keys($this->piece->measures)) {
            return;
        }
        $ranges = [];
        foreach ($order as $i => $index) {
            $isNext = $i > 0 && $index === $order[$i - 1] + 1;
            if ($isNext) {
                $ranges[count($ranges) - 1][1] = $index;
            } else {
                $ranges[] = [$index, $index];
            }
        }
        $said = array_map(fn (array $range): string => $this->range($range[0], $range[1]), $ranges);
        $this->point('The way through', 'bars '.implode(', then ', $said).'.');
    }

    private function range(int $first, int $last): string
    {
        [$from, $to] = [$this->piece->measures[$first]->number, $this->piece->measures[$last]->number];

        return $from === $to ? "{$from}" : "{$from}–{$to}";
    }

    private function dynamics(): void
    {
        $said = [];
        $bars = [];
        $last = null;
        foreach ($this->piece->measures as $measure) {
            foreach ($measure->signs as $sign) {
                $word = match ($sign->kind) {
                    SignKind::Dynamic => $sign->text.(DynamicWords::meaning($sign->text) === null ? '' : ' ('.DynamicWords::meaning($sign->text).')'),
                    SignKind::Crescendo => 'getting louder',
                    SignKind::Diminuendo => 'getting softer',
                    default => null,
                };
                if ($word !== null && $word !== $last) {
                    $said[] = "{$word} ".($measure->number === 0 ? 'in the pickup' : "in bar {$measure->number}");
                    $bars[$measure->number] = $measure->number;
                    $last = $word;
                }
            }
        }
        if ($said !== []) {
            // A dynamic is a sign, and no word with a capital.
            $this->list[] = new Pointed('Loud and soft', implode(', ', $said).'.', array_values($bars));
        }
    }

    private function touch(): void
    {
        $found = [];
        foreach ($this->piece->measures as $measure) {
            foreach ($measure->events() as $event) {
                foreach ($event->ink->marks as $mark) {
                    $found[$mark->value] = $mark;
                }
                if ($event->ink->slurs !== []) {
                    $found['slur'] = true;
                }
            }
        }
        $said = isset($found['slur']) ? ['slurs: smoothly joined'] : [];
        foreach (Mark::cases() as $mark) {
            if (isset($found[$mark->value], self::TOUCH[$mark->value])) {
                $said[] = self::TOUCH[$mark->value];
            }
        }
        if ($said !== []) {
            $this->point('Touch', implode(', ', $said).'.');
        }
    }

    private function starts(): void
    {
        $said = [];
        foreach (Hand::cases() as $hand) {
            $fingers = $this->breakdown->fingers[$hand->value];
            $event = ($fingers->placed[0] ?? null)?->event;
            if ($event === null) {
                continue;
            }
            $on = [];
            foreach ($event->notes as $i => $note) {
                $finger = $fingers->fingers[$event->id][$i] ?? null;
                $on[] = ($finger === null ? '' : "finger {$finger} on ").$note->pitch->name();
            }
            $said[] = "{$hand->word()} with ".implode(' and ', $on);
        }
        if ($said !== []) {
            $this->point('Where the hands start', implode(', ', $said).'.', events: $this->firstEvents());
        }
    }

    /** @return list<string> ids of what each hand strikes first */
    private function firstEvents(): array
    {
        $ids = [];
        foreach ($this->breakdown->fingers as $fingers) {
            array_push($ids, ...array_map(static fn (Placed $placed): string => $placed->event->id, array_slice($fingers->placed, 0, 1)));
        }

        return $ids;
    }

    private function newNotes(): void
    {
        $new = array_values(array_filter($this->breakdown->notes, static fn (InventoryNote $note): bool => $note->status === NoteStatus::Fresh));
        if ($new === [] || $this->breakdown->settings->isForNobody) {
            return;
        }
        $names = array_values(array_unique(array_map(static fn (InventoryNote $note): string => $note->pitch->name(), $new)));
        $this->point('New notes', implode(', ', $names).'.', events: array_merge(...array_column($new, 'events')));
    }

    private function form(): void
    {
        $lines = count($this->breakdown->letters);
        $letters = $lines > 1 ? ' The lines are '.implode(' ', $this->breakdown->letters).'.' : '';
        $this->point('The form', $this->breakdown->learn->text().$letters, array_column($this->breakdown->learn->order, 'measure'));
    }

    /** @param non-empty-list<int> $bars */
    private static function bars(array $bars): string
    {
        return (count($bars) === 1 ? 'bar ' : 'bars ').Words::listed(array_map(strval(...), $bars));
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

use Nasturtium\Core\Score\Change;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Sign;
use Nasturtium\Core\Score\SignKind;

/** Types one voice of a piece, bar by bar; keeps what sticks from token to token. */
final class VoiceWriting
{
    public readonly ToneWriting $tones;

    /** The length in force; the first is always said. */
    private string $length = '';

    private bool $crossed = false;

    /** Whether any finger was printed so far. */
    private bool $fingered = false;

    private bool $slurred = false;

    /** @var array<int, int> alterations of the keys tied into the next event, by letter count */
    private array $tied = [];

    /** @var list<array{string, int}> event id and finger of the printed fingers still to come, nearest first */
    private array $fingers = [];

    private string $tokens = '';

    /** @param \Closure(string): void $unsaid told what cannot be typed */
    public function __construct(private readonly Hand $hand, private readonly int $number, Piece $piece, private readonly \Closure $unsaid)
    {
        $this->tones = new ToneWriting($hand);
        foreach ($piece->measures as $measure) {
            foreach ($measure->voices($hand)[$number] ?? [] as $event) {
                foreach ($event->notes as $i => $note) {
                    if ($note->finger !== null) {
                        $this->fingers[] = ["{$event->id}.{$i}", $this->tones->thumbFor($note->pitch, $note->finger) - 7 * $event->ottava];
                    }
                }
            }
        }
        $this->fingers = array_reverse($this->fingers);
    }

    /**
     * @param  bool  $leads  it types what both hands share: keys inside the bar
     * @return string the bar without its bar lines
     */
    public function bar(Measure $measure, bool $leads): string
    {
        $this->tokens = '';
        $this->tones->tones->forget();
        $events = $measure->voices($this->hand)[$this->number] ?? [];
        if ($events === [] && $this->number > 1) {
            return '/';
        }
        $cursor = Fraction::zero();
        $key = $measure->key;
        foreach ($this->inTime($measure, $events, $leads) as $item) {
            if ($item instanceof Event) {
                $this->gap($item->onset->minus($cursor));
                $this->event($measure, $item, $key, count($events) === 1);
                $cursor = $item->end;
            } elseif (! $item->onset->equals($cursor) && ! ($item->onset->isZero() && $cursor->isZero())) {
                ($this->unsaid)($item instanceof Sign ? "the {$item->kind->value} inside a note" : 'a change inside a note');
            } elseif ($item instanceof Sign) {
                $this->sign($item);
            } else {
                $key = $item->to instanceof Key ? $item->to : $key;
                $this->put($item->to instanceof Clef ? "[{$item->to->value}]" : "[key {$item->to->typed()}]");
            }
        }

        return $this->tokens;
    }

    /**
     * @param  list<Event>  $events
     * @return list<Event|Sign|Change>
     */
    private function inTime(Measure $measure, array $events, bool $leads): array
    {
        if ($this->number > 1) {
            return $events;
        }
        $items = [
            ...array_filter($measure->changes, fn (Change $change): bool => $change->staff === null ? $leads : $change->staff === $this->hand),
            ...array_filter($measure->signs, fn (Sign $sign): bool => $sign->staff === $this->hand),
            ...$events,
        ];
        usort($items, static fn (Event|Sign|Change $a, Event|Sign|Change $b): int => $a->onset->compare($b->onset) ?: ($a instanceof Event) <=> ($b instanceof Event));

        return $items;
    }

    private function put(string $token): void
    {
        $this->tokens .= ($this->tokens === '' ? '' : ' ').$token;
    }

    /** @param bool $alone nothing else is typed in the bar */
    private function event(Measure $measure, Event $event, Key $key, bool $alone): void
    {
        if ($event->crossed !== $this->crossed) {
            $this->put($event->crossed ? '[cross]' : '[back]');
            $this->crossed = $event->crossed;
        }
        if ($event->ink->tuplet?->starts === true) {
            $ratio = "{$event->ink->tuplet->actual}:{$event->ink->tuplet->normal}";
            $this->put($ratio === '3:2' ? '{' : '{'.$ratio);
        }
        if ($alone && $this->number === 1 && $event->isRest() && $event->onset->isZero() && $event->ink->marks === [] && $event->duration->whole->equals($measure->length)) {
            $this->put('/');
            $this->tied = [];
        } else {
            $this->graces($event, $key);
            $before = $this->positions($event);
            $this->put($before.$this->lengthOf($event).$this->tonesOf($event, $key).$this->marks($event));
        }
        if ($event->ink->tuplet?->stops === true) {
            $this->put('}');
        }
    }

    private function graces(Event $event, Key $key): void
    {
        foreach ($event->ink->graces as $grace) {
            $value = array_search($grace->value, Names::LENGTHS, true);
            $tone = $this->tones->note(new Note($grace->pitch, $grace->finger, courtesy: false), $key, $event->crossed, []);
            if ($grace->chord || $value === false || $tone === null) {
                ($this->unsaid)('a grace note');

                continue;
            }
            $this->put(($grace->slashed ? '`' : '``').($value === 'v' ? '' : $value).$tone);
        }
    }

    /** A place for the hand, where this printed finger and the next agree on it. */
    private function positions(Event $event): string
    {
        $said = '';
        foreach ($event->notes as $i => $note) {
            if ($note->finger === null) {
                continue;
            }
            array_pop($this->fingers);
            $thumb = $this->tones->thumbFor($note->pitch, $note->finger);
            $next = $this->fingers[count($this->fingers) - 1][1] ?? null;
            if ($i === 0 && $thumb !== $this->tones->tones->thumb && $thumb >= 4 && ($next === $thumb || ($next === null && ! $this->fingered))) {
                $said = $this->tones->position($thumb).' ';
            }
            $this->fingered = true;
        }

        return $said;
    }

    private function lengthOf(Event $event): string
    {
        $length = Names::ofLength($event->writtenLength());
        if ($length === null) {
            ($this->unsaid)("a length of {$event->duration->whole} of a whole note");

            return '';
        }
        $changed = $length !== $this->length;
        $this->length = $length;

        return $changed ? $length : '';
    }

    private function tonesOf(Event $event, Key $key): string
    {
        $tied = $this->tied;
        $this->tied = [];
        $tokens = [];
        $all = $event->notes !== [] && array_filter($event->notes, static fn (Note $note): bool => ! $note->tieStart) === [];
        foreach ($event->notes as $note) {
            $token = $this->tones->note($note, $key, $event->crossed, $tied);
            if ($token === null) {
                ($this->unsaid)("the note {$note->pitch->name()}");
            }
            $tokens[] = $token.($note->tieStart && ! $all ? '~' : '');
            if ($note->tieStart) {
                $this->tied[$note->pitch->diatonic()] = $note->pitch->alter;
            }
        }

        return match (count($tokens)) {
            0 => 'r',
            1 => $tokens[0],
            default => '('.implode(' ', $tokens).')',
        }.($all ? '~' : '');
    }

    private function marks(Event $event): string
    {
        $marks = '';
        foreach ($event->ink->slurs as $end) {
            if ($end->starts === $this->slurred) {
                ($this->unsaid)('slurs inside one another');
            } else {
                $this->slurred = $end->starts;
                $marks .= '_';
            }
        }
        foreach ($event->ink->marks as $mark) {
            $marks .= Names::ofMark($mark);
        }

        return $marks;
    }

    /** @param Fraction $length between the notes of a second voice */
    private function gap(Fraction $length): void
    {
        foreach (array_keys(Names::LENGTHS) as $token) {
            $one = Names::length($token)->whole;
            while ($one->compare($length) <= 0) {
                $this->put(($token === $this->length ? '' : $token).'o');
                $this->length = $token;
                $length = $length->minus($one);
            }
        }
        if (! $length->isZero()) {
            ($this->unsaid)('a gap of '.Duration::ofWhole($length)->whole.' of a whole note');
        }
    }

    private function sign(Sign $sign): void
    {
        if ($sign->kind === SignKind::OttavaAbove || $sign->kind === SignKind::OttavaBelow || $sign->kind === SignKind::OttavaEnd) {
            $this->tones->tones->ottava = ['8va' => 1, '8vb' => -1, '15ma' => 2, '15mb' => -2][(string) $this->line($sign)] ?? 0;
        }
        $side = $sign->above === $sign->kind->standsAbove($this->hand) ? '' : ($sign->above ? '^' : '_');
        if (str_contains($sign->text, '"') || ($sign->kind === SignKind::Dynamic && ! Names::isDynamic($sign->text))) {
            ($this->unsaid)("'{$sign->text}'");

            return;
        }
        $this->put(match ($sign->kind) {
            SignKind::Dynamic, SignKind::Words => "\"{$side}{$sign->text}\"",
            SignKind::Tempo => '[tempo '.($sign->metronome === null ? $sign->text : Names::ofTempo($sign->metronome)).']',
            SignKind::Crescendo => '<',
            SignKind::Diminuendo => '>',
            SignKind::HairpinEnd => '.',
            default => '['.$this->line($sign).']',
        });
    }

    private function line(Sign $sign): ?string
    {
        foreach (Names::LINES as $name => [$kind, $size]) {
            if ($kind === $sign->kind && ($size === $sign->text || $kind === SignKind::OttavaEnd)) {
                return (string) $name;
            }
        }

        return null;
    }
}

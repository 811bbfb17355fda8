<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

use Nasturtium\Core\Formats\NavigationWords;
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
use Nasturtium\Core\Score\SlurEnd;

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

    private bool $hairpin = false;

    /** The ratio of the group that is open: `3:2`; empty where none is. */
    private string $group = '';

    /** @var array<string, true> notes whose tie is met by the next event of the voice, by event id and place in the chord */
    private array $ties = [];

    /** @var array<int, int> alterations of the keys tied into the next event, by letter count */
    private array $tied = [];

    /** @var list<array{string, int}> event id and finger of the printed fingers still to come, nearest first */
    private array $fingers = [];

    private string $tokens = '';

    /** Whether anything with a length was typed in the bar. */
    private bool $typed = false;

    /** @param \Closure(string): void $unsaid told what cannot be typed */
    public function __construct(private readonly Hand $hand, private readonly int $number, Piece $piece, private readonly \Closure $unsaid)
    {
        $this->tones = new ToneWriting($hand);
        $before = null;
        foreach ($piece->measures as $measure) {
            foreach (array_filter($measure->voices($hand)[$number] ?? [], static fn (Event $event): bool => self::hasRoom($measure, $event)) as $event) {
                foreach ($before->notes ?? [] as $i => $note) {
                    if ($note->tieStart && array_filter($event->notes, static fn (Note $next): bool => $next->pitch->equals($note->pitch)) !== []) {
                        $this->ties["{$before?->id}.{$i}"] = true;
                    }
                }
                $before = $event;
            }
        }
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

    /** What is typed closes a bar when it is full, so nothing can begin after that. */
    public static function hasRoom(Measure $measure, Event $event): bool
    {
        return $event->onset->compare($measure->meter->measure()) < 0;
    }

    /**
     * @param  bool  $leads  it types what both hands share: keys inside the bar
     * @return string the bar without its bar lines
     */
    public function bar(Measure $measure, bool $leads): string
    {
        $this->tokens = '';
        $this->typed = false;
        $this->tones->tones->forget();
        $events = $measure->voices($this->hand)[$this->number] ?? [];
        if ($events === []) {
            return '/';
        }
        $cursor = Fraction::zero();
        $key = $measure->key;
        foreach ($this->inTime($measure, $events, $leads) as $item) {
            if ($item instanceof Event && ! self::hasRoom($measure, $item)) {
                ($this->unsaid)('what stands after its time signature is full');
            } elseif ($item instanceof Event) {
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

        $this->closeGroup();

        return $this->typed ? $this->tokens : trim("{$this->tokens} /");
    }

    private function closeGroup(): void
    {
        if ($this->group !== '') {
            $this->put('}');
            $this->group = '';
        }
    }

    /** A note of a tuplet stands in a group of its ratio, any other in none. */
    private function group(Event $event): void
    {
        $ratio = $event->ink->tuplet === null ? '' : "{$event->ink->tuplet->actual}:{$event->ink->tuplet->normal}";
        if ($ratio !== $this->group || $event->ink->tuplet?->starts === true) {
            $this->closeGroup();
        }
        if ($ratio !== '' && $this->group === '') {
            $this->put($ratio === '3:2' ? '{' : '{'.$ratio);
            $this->group = $ratio;
        }
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
        if ($alone && $this->number === 1 && $event->isRest() && $event->onset->isZero() && $event->ink->marks === [] && $event->duration->whole->equals($measure->length)) {
            $this->closeGroup();
            $this->put('/');
            $this->tied = [];
            $this->typed = true;

            return;
        }
        $length = $this->lengthOf($event);
        if ($length === null) {
            return;
        }
        $this->group($event);
        $this->graces($event, $key);
        $before = $this->positions($event);
        $tones = $this->tonesOf($event, $key);
        $this->put($before.$length.$tones.($tones === 'r' && ! $event->isRest() ? '' : $this->marks($event)));
        $this->typed = true;
        if ($event->ink->tuplet?->stops === true) {
            $this->closeGroup();
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
            $this->put(($grace->slashed ? '`' : '``').($value === 'v' ? '' : $value).$tone.$this->slurs($grace->slurs));
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

    /** @return string|null empty where the length in force goes on; null when the event cannot be typed at all */
    private function lengthOf(Event $event): ?string
    {
        $length = Names::ofLength($event->writtenLength());
        if ($length === null) {
            ($this->unsaid)("a length of {$event->duration->whole} of a whole note");
            $length = self::longestWithin($event->writtenLength());
        }
        if ($length === null) {
            return null;
        }
        $changed = $length !== $this->length;
        $this->length = $length;

        return $changed ? $length : '';
    }

    private static function longestWithin(Duration $length): ?string
    {
        foreach (['w', 'h.', 'h', 'q.', 'q', 'v.', 'v', 'x', 'y'] as $token) {
            if (Names::length($token)->whole->compare($length->whole) <= 0) {
                return $token;
            }
        }

        return null;
    }

    private function tonesOf(Event $event, Key $key): string
    {
        $tied = $this->tied;
        $this->tied = [];
        $tokens = [];
        // A tie that goes to another note cannot be typed; in a chord some may go on.
        $ties = array_map(fn (int $i, Note $note): bool => $note->tieStart && isset($this->ties["{$event->id}.{$i}"]), array_keys($event->notes), $event->notes);
        $all = $ties !== [] && ! in_array(false, $ties, true);
        foreach ($event->notes as $i => $note) {
            if ($note->tieStart && ! $ties[$i]) {
                ($this->unsaid)("a tie from {$note->pitch->name()} to another note");
            }
            $token = $this->tones->note($note, $key, $event->crossed, $tied);
            if ($token === null) {
                ($this->unsaid)("the note {$note->pitch->name()}");

                continue;
            }
            $tokens[] = $token.($ties[$i] && ! $all ? '~' : '');
            if ($ties[$i]) {
                $this->tied[$note->pitch->diatonic()] = $note->pitch->alter;
            }
        }

        return match (count($tokens)) {
            0 => 'r',
            1 => $tokens[0],
            default => '('.implode(' ', $tokens).')',
        }.($all && $tokens !== [] ? '~' : '');
    }

    private function marks(Event $event): string
    {
        if ($event->isRest() && $event->ink->slurs !== []) {
            ($this->unsaid)('a slur at a rest');
        }
        $marks = $event->isRest() ? '' : $this->slurs($event->ink->slurs);
        foreach ($event->ink->marks as $mark) {
            $marks .= Names::ofMark($mark);
        }

        return $marks;
    }

    /** @param list<SlurEnd> $ends */
    private function slurs(array $ends): string
    {
        $signs = '';
        foreach ($ends as $end) {
            if ($end->starts === $this->slurred || strlen($signs) === 2) {
                ($this->unsaid)('slurs inside one another');
            } else {
                $this->slurred = $end->starts;
                $signs .= '_';
            }
        }

        return $signs;
    }

    /** @param Fraction $length between the notes of a second voice */
    private function gap(Fraction $length): void
    {
        foreach (array_keys(Names::LENGTHS) as $token) {
            $one = Names::length($token)->whole;
            while ($one->compare($length) <= 0) {
                $this->closeGroup();
                $this->put(($token === $this->length ? '' : $token).'o');
                $this->length = $token;
                $this->typed = true;
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
        $isWords = $sign->kind === SignKind::Words;
        if (! $this->canBeTyped($sign)) {
            ($this->unsaid)("'".mb_substr($sign->text === '' ? $sign->kind->value : $sign->text, 0, 40)."'");

            return;
        }
        // Words that would send the player elsewhere, or begin with a side, have their side said.
        $side = $side === '' && $isWords && (NavigationWords::in($sign->text) !== null || in_array($sign->text[0], ['^', '_'], true)) ? ($sign->above ? '^' : '_') : $side;
        if ($sign->kind->end() === SignKind::HairpinEnd || $sign->kind === SignKind::HairpinEnd) {
            $this->hairpin = $sign->kind !== SignKind::HairpinEnd;
        }
        $this->put(match ($sign->kind) {
            SignKind::Dynamic, SignKind::Words => "\"{$side}{$sign->text}\"",
            SignKind::Tempo => '[tempo '.($sign->metronome === null ? $sign->text : Names::ofTempo($sign->metronome)).']',
            SignKind::Chord => "[chord {$sign->text}]",
            SignKind::Crescendo => '<',
            SignKind::Diminuendo => '>',
            SignKind::HairpinEnd => '.',
            default => '['.$this->line($sign).']',
        });
    }

    private function canBeTyped(Sign $sign): bool
    {
        return match ($sign->kind) {
            SignKind::Dynamic => Names::isDynamic($sign->text),
            SignKind::Words => ! str_contains($sign->text, '"') && trim($sign->text, "^_ \t\n\r") !== '' && trim((string) preg_replace('/\s+/u', ' ', $sign->text)) === $sign->text,
            SignKind::Tempo => $sign->metronome !== null && Names::isTempo($sign->metronome),
            SignKind::Chord => preg_match('/[\[\]|"]/', $sign->text) !== 1 && Commands::isChord($sign->text),
            // One hairpin at a time, on each staff.
            SignKind::Crescendo, SignKind::Diminuendo => ! $this->hairpin,
            SignKind::HairpinEnd => $this->hairpin,
            default => true,
        };
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

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Pitch;

/** One hand of the shorthand: what sticks from token to token, and the bars so far. */
final class ShorthandHand
{
    private const LENGTHS = ['w' => 'whole', 'h' => 'half', 'q' => 'quarter', 'v' => 'eighth', 'x' => '16th'];

    /** Letter counts of A0 and C8. */
    private const LOWEST = 5;

    private const HIGHEST = 56;

    /** @var list<ShorthandBar> */
    private array $bars = [];

    private ?ShorthandBar $bar = null;

    private int $lineStart = 0;

    private Duration $length;

    /** Letter count of the thumb's key; null until a position is stated. */
    private ?int $thumb = null;

    private ?Pitch $last = null;

    private bool $tied = false;

    private bool $repeatNext = false;

    /** @var list<int> */
    private array $ending = [];

    private PrintedAccidentals $accidentals;

    public function __construct(private readonly Hand $hand, private readonly Meter $meter, private readonly Key $key)
    {
        $this->length = Duration::ofNote('quarter');
        $this->accidentals = new PrintedAccidentals($key);
    }

    public function beginLine(): void
    {
        $this->lineStart = count($this->bars);
        $this->bar = null;
    }

    /** @return int the bars of the line that ends */
    public function endLine(): int
    {
        $this->bar = null;

        return count($this->bars) - $this->lineStart;
    }

    /** Adds bars without a note until the line has as many as the other hand's. */
    public function fill(int $to, int $lineIndex, bool $needed): void
    {
        while ($needed && count($this->bars) - $this->lineStart < $to) {
            $this->bars[] = new ShorthandBar($lineIndex > 0 && count($this->bars) === $this->lineStart);
        }
    }

    /** @return list<ShorthandBar> */
    public function bars(): array
    {
        return $this->bars;
    }

    public function bar(string $sign): void
    {
        if ($sign === ':|') {
            $bar = $this->bars[count($this->bars) - 1] ?? throw new InvalidScore('A repeat sign :| ends a bar; no bar stands before it.');
            $bar->repeatEnd = true;
            // A second ending follows its first without a bar number of its own.
            $this->ending = [];
        }
        if ($sign === '|:') {
            $this->repeatNext = true;
            $this->ending = [];
        }
        // A first ending goes on to its repeat sign; a later one has none, and ends with its bar.
        if ($sign === '|' && ($this->ending[0] ?? 1) > 1) {
            $this->ending = [];
        }
        if ($sign === '|' && $this->bars === []) {
            // The other hand's pickup: this hand waits.
            $this->current();
        }
        $this->bar = null;
    }

    public function ending(int $pass): void
    {
        if ($pass < 1) {
            throw new InvalidScore('Endings are numbered from 1, as in [1 and [2.');
        }
        if ($this->bar !== null && $this->bar->events !== [] && $this->bar->written()->compare($this->meter->measure()) < 0) {
            throw new InvalidScore('An ending begins with a bar: finish the bar before it, or put | first.');
        }
        $this->bar = null;
        $this->ending = [$pass];
    }

    /** @param int $finger whose key is named; 1 is the thumb */
    public function position(string $key, int $finger): void
    {
        $this->thumb = Pitch::parse($key)->diatonic() - ($finger - 1) * $this->hand->direction();
    }

    public function length(string $token): void
    {
        $this->length = Duration::ofNote(self::LENGTHS[$token[0]], strlen($token) - 1);
    }

    public function note(string $token, bool $tie): void
    {
        $this->add([$this->tone($token)], $tie);
    }

    public function chord(string $inside, bool $tie): void
    {
        if (preg_match_all('/\s*([1-5][+\-n]?|[a-gA-G][+\-n]?[\',]*(?:\^[1-5])?)/A', $inside, $found) === 0 || trim(implode('', $found[0])) !== trim($inside)) {
            throw new InvalidScore('A chord holds fingers or letters only, such as (135) or (ce).');
        }
        $notes = array_map($this->tone(...), $found[1]);
        $this->add($notes, $tie);
    }

    public function rest(): void
    {
        $this->put($this->length, []);
        $this->tied = false;
    }

    public function wholeRest(): void
    {
        if ($this->current()->events !== []) {
            throw new InvalidScore('/ is a whole bar of rest, and this bar has begun. Type r for a rest of the length in force.');
        }
        $this->put(Duration::ofWhole($this->meter->measure()), []);
        $this->tied = false;
    }

    private function tone(string $token): Note
    {
        if (preg_match('/^(\w)([+\-n]?)([\',]*)(?:\^(\d))?$/', $token, $found) !== 1) {
            throw new InvalidScore("'{$token}' is no note.");
        }
        [$name, $sign, $octaves] = [$found[1], $found[2], $found[3]];
        if (ctype_digit($name)) {
            if ($this->thumb === null) {
                $example = $this->hand === Hand::Right ? '@c4' : '@5=c3';
                throw new InvalidScore("Finger {$name} has no place yet: say where the hand lies first, such as {$example}.");
            }
            $finger = (int) $name;
            $diatonic = $this->thumb + ($finger - 1) * $this->hand->direction();
        } else {
            $finger = isset($found[4]) ? (int) $found[4] : null;
            $diatonic = $this->nearest((int) array_search(strtoupper($name), Pitch::LETTERS, true), $octaves === '')
                + 7 * (substr_count($octaves, "'") - substr_count($octaves, ','));
        }
        $alter = match ($sign) {
            '+' => 1,
            '-' => -1,
            'n' => 0,
            default => null,
        };
        // The bar is opened first, so that an accidental of the bar before is forgotten.
        $this->current();
        if ($alter !== null) {
            $this->accidentals->set($diatonic, $alter);
        }
        $pitch = $diatonic < self::LOWEST || $diatonic > self::HIGHEST ? null : Pitch::ofDiatonic($diatonic, $alter ?? $this->accidentals->at($diatonic));
        if ($pitch === null || ! $pitch->isOnKeyboard()) {
            throw new InvalidScore("'{$token}' would be a key that is not on the keyboard; it runs from A0 to C8.");
        }
        $this->last = $pitch;

        return new Note($pitch, $finger);
    }

    /** The letter under the hand if there is one, else the nearest to the note before. */
    private function nearest(int $step, bool $underHand): int
    {
        if ($underHand && $this->thumb !== null) {
            for ($finger = 0; $finger < 5; $finger++) {
                $key = $this->thumb + $finger * $this->hand->direction();
                if ((($key % 7) + 7) % 7 === $step) {
                    return $key;
                }
            }
        }
        $from = $this->last?->diatonic() ?? $this->thumb ?? ($this->hand === Hand::Right ? 28 : 24);
        $up = ((($step - $from) % 7) + 7) % 7;

        return $from + ($up > 3 ? $up - 7 : $up);
    }

    /** @param list<Note> $notes */
    private function add(array $notes, bool $tie): void
    {
        $held = $this->tied;
        $before = $this->lastNotes();
        $tiedNotes = [];
        foreach ($notes as $note) {
            $stop = $held && isset($before[$note->pitch->midi()]);
            $tiedNotes[] = new Note($note->pitch, $note->finger, $tie, $stop);
        }
        if ($held && array_filter($tiedNotes, static fn (Note $note): bool => $note->tieStop) === []) {
            $this->tied = false;
            throw new InvalidScore('A tie ~ holds the same note; this is another. Take the ~ away, or type the same note again.');
        }
        $this->put($this->length, $tiedNotes);
        $this->tied = $tie;
    }

    /** @return array<int, true> the keys of the last event, by number */
    private function lastNotes(): array
    {
        for ($i = count($this->bars) - 1; $i >= 0; $i--) {
            $events = $this->bars[$i]->events;
            if ($events !== []) {
                return array_fill_keys(array_map(static fn (Note $note): int => $note->pitch->midi(), $events[count($events) - 1][2]), true);
            }
        }

        return [];
    }

    /** @param list<Note> $notes */
    private function put(Duration $length, array $notes): void
    {
        $bar = $this->current();
        $bar->events[] = [$bar->written(), $length, $notes];
        if ($bar->written()->compare($this->meter->measure()) >= 0) {
            $this->bar = null;
        }
    }

    private function current(): ShorthandBar
    {
        if ($this->bar === null) {
            $this->bar = new ShorthandBar(count($this->bars) === $this->lineStart);
            $this->bar->repeatStart = $this->repeatNext;
            $this->bar->endings = $this->ending;
            $this->repeatNext = false;
            $this->bars[] = $this->bar;
            $this->accidentals = new PrintedAccidentals($this->key);
        }

        return $this->bar;
    }
}

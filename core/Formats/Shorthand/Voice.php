<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Grace;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Limits;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Metronome;
use Nasturtium\Core\Score\Navigation;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Sign;
use Nasturtium\Core\Score\SignKind;
use Nasturtium\Core\Score\SlurEnd;
use Nasturtium\Core\Score\Tuplet;

/** One voice of the shorthand: what sticks from token to token, and the bars so far. */
final class Voice
{
    /** @var list<TypedBar> */
    public array $bars = [];

    private ?TypedBar $bar = null;

    /** The bar that has just filled by itself; what ends something still belongs to it, until a bar line is typed. */
    private ?TypedBar $filled = null;

    public int $lineStart = 0;

    private Duration $length;

    public readonly Tones $tones;

    public bool $crossed = false;

    private ?Tuplet $tuplet = null;

    /** @var list<TypedEvent> in the tuplet that is open */
    private array $inTuplet = [];

    /** @var list<Note> tied into the next event */
    private array $tied = [];

    private bool $slurred = false;

    /** How many there are so far. */
    private int $events = 0;

    private ?SignKind $hairpin = null;

    /** @var list<Grace> */
    private array $graces = [];

    /** What the next bar begins with. */
    private TypedBar $next;

    /**
     * @param  int  $number  1 is the hand's main voice
     */
    public function __construct(public readonly Hand $hand, public readonly int $number, public readonly Frame $frame)
    {
        $this->length = Duration::ofNote('quarter');
        $this->tones = new Tones($hand);
        $this->next = new TypedBar(false);
    }

    public function beginLine(): void
    {
        $this->lineStart = count($this->bars);
        $this->bar = $this->filled = null;
    }

    /** @throws BadShorthand when something that must end within the line has not */
    public function endLine(): void
    {
        $this->bar = $this->filled = null;
        if ($this->tuplet !== null) {
            $this->tuplet = null;
            throw BadShorthand::groupNotClosed();
        }
    }

    /** Adds bars without a note until the line has as many as the others. */
    public function fill(int $to): void
    {
        while (count($this->bars) - $this->lineStart < $to) {
            $this->begin();
        }
        $this->bar = null;
    }

    /** Signs that wait for a bar that never came stand at the end of the last one. */
    public function finish(): void
    {
        if ($this->bars === []) {
            return;
        }
        $last = $this->bars[count($this->bars) - 1];
        foreach ($this->next->signs as $sign) {
            $last->signs[] = $sign->at($last->written);
        }
    }

    public function barLine(string $sign, int $times): void
    {
        $last = $this->bar ?? $this->filled ?? $this->bars[count($this->bars) - 1] ?? null;
        if ($sign === ':|') {
            $last ?? throw BadShorthand::repeatWithoutBar();
            $last->repeatEnd = true;
            $last->times = $times;
            // A second ending follows its first without a bar number of its own.
            $this->next->endings = [];
        }
        if ($sign === '|:') {
            $this->next->repeatStart = true;
            $this->next->endings = [];
        }
        if ($sign === '||') {
            $last ?? throw BadShorthand::doubleBarWithoutBar();
            $last->barStyle = 'light-light';
        }
        // A first ending goes on to its repeat sign; a later one has none, and ends with its bar.
        if ($sign === '|' && ($this->next->endings[0] ?? 1) > 1) {
            $this->next->endings = [];
        }
        if ($sign === '|' && $this->bars === []) {
            // The other hand's pickup: this hand waits.
            $this->current();
        }
        $this->bar = $this->filled = null;
    }

    /** @param list<int> $passes */
    public function ending(array $passes): void
    {
        if (in_array(0, $passes, true)) {
            throw BadShorthand::endingBelowOne();
        }
        if ($this->bar !== null && $this->bar->events !== []) {
            throw BadShorthand::endingInsideBar();
        }
        $this->bar = $this->filled = null;
        $this->next->endings = $passes;
    }

    public function length(string $token): void
    {
        $this->length = Names::length($token);
    }

    public function inForce(): string
    {
        return Names::ofLength($this->length) ?? 'q';
    }

    /** @param string $marks as typed after it */
    public function note(string $token, string $marks, Span $at): void
    {
        $this->add([[$token, false]], $marks, $at);
    }

    public function chord(string $inside, string $marks, Span $at): void
    {
        $this->add(Token::tones($inside) ?? throw BadShorthand::mixedChord(), $marks, $at);
    }

    public function rest(string $marks, Span $at): void
    {
        $this->tied = [];
        $this->mark($this->put(new TypedEvent($this->moment(), $this->length, [], $at)), $marks);
    }

    public function wholeRest(Span $at): void
    {
        $bar = $this->current();
        if ($bar->events !== [] || ! $bar->written->isZero()) {
            throw BadShorthand::wholeRestInsideBar();
        }
        $this->tied = [];
        if ($this->number === 1) {
            $bar->events[] = new TypedEvent(Fraction::zero(), Duration::ofWhole($this->meter()->measure()), [], $at, true);
        }
        $this->close();
    }

    public function skip(): void
    {
        if ($this->number === 1) {
            throw BadShorthand::gapInFirstVoice();
        }
        $bar = $this->current();
        $bar->written = $bar->written->plus($this->length->whole);
        $this->closeWhenFull();
    }

    /** @param int $slurs signs of slurs after it */
    public function grace(string $token, string $value, bool $slashed, int $slurs): void
    {
        $this->current();
        if (count($this->graces) >= Limits::NOTES_IN_CHORD) {
            throw BadShorthand::tooManyGraceNotes();
        }
        $note = $this->tones->note($token, $this->key(), $this->crossed, []);
        $this->graces[] = new Grace($note->pitch, Names::LENGTHS[$value] ?? 'eighth', $slashed, $note->finger, slurs: $this->slurEnds($slurs));
    }

    public function openTuplet(int $actual, int $normal): void
    {
        if ($this->tuplet !== null) {
            throw BadShorthand::groupInGroup();
        }
        $this->tuplet = new Tuplet($actual, $normal);
        $this->inTuplet = [];
    }

    public function closeTuplet(): void
    {
        $tuplet = $this->tuplet ?? throw BadShorthand::noGroupToClose();
        $this->tuplet = null;
        $last = count($this->inTuplet) - 1;
        foreach ($this->inTuplet as $i => $event) {
            $event->tuplet = new Tuplet($tuplet->actual, $tuplet->normal, $i === 0, $i === $last);
        }
    }

    public function hairpin(SignKind $kind): void
    {
        if ($this->hairpin !== null) {
            throw BadShorthand::hairpinInHairpin();
        }
        $this->hairpin = $kind;
        $this->sign($kind);
    }

    public function level(): void
    {
        if ($this->hairpin === null) {
            throw BadShorthand::noHairpinToEnd();
        }
        $this->hairpin = null;
        $this->sign(SignKind::HairpinEnd);
    }

    /** Something begins at the next note, or ends with the note before. */
    public function sign(SignKind $kind, string $text = '', bool $above = false, ?Metronome $metronome = null): void
    {
        $bar = $this->bar ?? ($kind->isEnd() ? $this->filled : null);
        $onset = $bar === null ? Fraction::zero() : $bar->written;
        $bar ??= $this->next;
        $bar->signs[] = new Sign($kind, $this->hand, $onset, $text, $above, $metronome);
    }

    public function clef(Clef $clef): void
    {
        $bar = $this->bar ?? $this->next;
        $bar->clefs[] = [$bar->written, $clef];
    }

    public function navigate(Navigation $sign): void
    {
        $starts = $sign === Navigation::Segno || $sign === Navigation::Coda;
        $bar = $this->bar ?? ($starts ? null : $this->filled) ?? $this->next;
        $bar->navigation[] = $sign;
    }

    /** @return array{int, Fraction} the bar and the moment in it that comes next */
    public function here(): array
    {
        return $this->bar === null ? [count($this->bars), Fraction::zero()] : [count($this->bars) - 1, $this->bar->written];
    }

    /** The same as bars that are typed already; null for the one before. */
    public function copy(?int $first, int $last, Span $at): void
    {
        if ($this->bar !== null && ! $this->bar->written->isZero()) {
            throw BadShorthand::copyInsideBar();
        }
        if ($first === null) {
            $this->copyBar($this->bars[count($this->bars) - 1] ?? throw BadShorthand::nothingToRepeat(), $at);

            return;
        }
        $numbered = $this->numbered();
        for ($number = $first; $number <= $last; $number++) {
            foreach ($numbered[$number] ?? throw BadShorthand::barNotTypedYet($number) as $bar) {
                $this->copyBar($bar, $at);
            }
        }
    }

    /** @return array<int, non-empty-list<TypedBar>> the bars so far by their number: a bar that a repeat sign or a double bar divides has one */
    private function numbered(): array
    {
        $numbered = [];
        $number = 0;
        $before = null;
        $together = Fraction::zero();
        foreach ($this->bars as $i => $bar) {
            $full = $this->frame->meterAt($i)->measure();
            $isShort = ! $bar->hasWholeRest() && $bar->written->compare($full) < 0;
            $together = $together->plus($bar->written);
            $isDivided = $before !== null && ($before->repeatEnd || $before->barStyle !== '' || $bar->repeatStart);
            if ($i === 0 && $isShort) {
                $together = Fraction::zero();
            } elseif (! ($isDivided && $isShort && $together->equals($full) && $number > 0)) {
                $number++;
                $together = $isShort ? $bar->written : Fraction::zero();
            }
            $numbered[$number][] = $bar;
            $before = $bar;
        }

        return $numbered;
    }

    private function copyBar(TypedBar $from, Span $at): void
    {
        $this->hold(count($from->events));
        $this->bar = $this->filled = null;
        $bar = $this->current();
        array_push($bar->signs, ...$from->signs);
        foreach ($from->events as $event) {
            $notes = array_map(fn (Note $note): Note => $this->tiedIn($note, $note->tieStart), $event->notes);
            $copy = new TypedEvent($event->onset, $event->length, $notes, $at, $event->wholeBar);
            [$copy->marks, $copy->slurs, $copy->graces, $copy->tuplet, $copy->crossed] = [$event->marks, $event->slurs, $event->graces, $event->tuplet, $event->crossed];
            $bar->events[] = $copy;
            $this->tied = array_values(array_filter($notes, static fn (Note $note): bool => $note->tieStart));
        }
        $bar->written = $from->written;
        $this->close();
    }

    /** @param list<array{string, bool}> $tokens each with its own tie */
    private function add(array $tokens, string $marks, Span $at): void
    {
        $this->current();
        $tieAll = str_contains($marks, '~');
        $tied = $this->tiedKeys();
        $notes = array_map(fn (array $token): Note => $this->tiedIn($this->tones->note($token[0], $this->key(), $this->crossed, $tied), $token[1] || $tieAll), $tokens);
        $broken = $this->tied !== [] && array_filter($notes, static fn (Note $note): bool => $note->tieStop) === [];
        $this->tied = [];
        if ($broken) {
            throw BadShorthand::tieToAnotherNote();
        }
        $event = new TypedEvent($this->moment(), $this->length, $notes, $at);
        $event->graces = $this->graces;
        $this->graces = [];
        $this->mark($event, $marks);
        $this->put($event);
        $this->tied = array_values(array_filter($notes, static fn (Note $note): bool => $note->tieStart));
    }

    /** @return array<int, int> alterations of the keys that are tied over to here, by letter count */
    public function tiedKeys(): array
    {
        $tied = [];
        foreach ($this->tied as $note) {
            $tied[$note->pitch->diatonic()] = $note->pitch->alter;
        }

        return $tied;
    }

    private function tiedIn(Note $note, bool $tieStart): Note
    {
        $held = array_filter($this->tied, static fn (Note $before): bool => $before->pitch->equals($note->pitch)) !== [];

        return new Note($note->pitch, $note->finger, $tieStart, $held, $note->courtesy);
    }

    private function mark(TypedEvent $event, string $marks): void
    {
        preg_match_all('/_{1,2}|[*!]|:[a-z\-]+/', $marks, $found);
        foreach ($found[0] as $mark) {
            if ($mark[0] === '_') {
                $this->slur($event, strlen($mark));

                continue;
            }
            $known = Names::SIGNS[$mark] ?? Names::mark(substr($mark, 1));
            if (! in_array($known, $event->marks, true)) {
                $event->marks[] = $known;
            }
        }
    }

    /** One sign opens or closes a slur; two close it and open the next. */
    private function slur(TypedEvent $event, int $signs): void
    {
        if ($event->notes === []) {
            throw BadShorthand::slurAtRest();
        }
        array_push($event->slurs, ...$this->slurEnds($signs));
    }

    /** @return list<SlurEnd> */
    private function slurEnds(int $signs): array
    {
        // Each voice has a number of its own, so that slurs side by side are not taken for one.
        $number = 2 * $this->number - ($this->hand === Hand::Right ? 1 : 0);
        $ends = [];
        for ($i = 0; $i < $signs; $i++) {
            $this->slurred = ! $this->slurred;
            $ends[] = new SlurEnd($number, $this->slurred);
        }

        return $ends;
    }

    private function put(TypedEvent $event): TypedEvent
    {
        $bar = $this->current();
        if ($this->tuplet !== null) {
            $event->length = Duration::ofWhole($event->length->whole->times($this->tuplet->ratio()));
            $this->inTuplet[] = $event;
        }
        $this->hold(1);
        $event->crossed = $this->crossed;
        $event->onset = $bar->written;
        $bar->events[] = $event;
        $bar->written = $bar->written->plus($event->length->whole);
        $this->closeWhenFull();

        return $event;
    }

    /** @throws BadShorthand when this voice alone has more than a piece may */
    private function hold(int $more): void
    {
        $this->events += $more;
        if ($this->events > Limits::EVENTS) {
            throw BadShorthand::tooManyNotes();
        }
    }

    private function moment(): Fraction
    {
        return $this->here()[1];
    }

    private function meter(): Meter
    {
        return $this->frame->meterAt($this->here()[0]);
    }

    private function key(): Key
    {
        return $this->frame->keyAt(...$this->here());
    }

    private function closeWhenFull(): void
    {
        if ($this->bar !== null && $this->bar->written->compare($this->meter()->measure()) >= 0) {
            $this->close();
        }
    }

    private function close(): void
    {
        $this->filled = $this->bar;
        $this->bar = null;
    }

    private function current(): TypedBar
    {
        return $this->bar ??= $this->begin();
    }

    private function begin(): TypedBar
    {
        if (count($this->bars) >= Limits::MEASURES) {
            throw BadShorthand::tooManyBars();
        }
        $bar = $this->next;
        $bar->startsLine = count($this->bars) === $this->lineStart;
        $this->next = new TypedBar(false);
        $this->next->endings = $bar->endings;
        $this->filled = null;
        $this->bars[] = $bar;
        $this->tones->forget();

        return $bar;
    }
}

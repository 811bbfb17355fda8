<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

use Nasturtium\Core\Score\DraftEvent;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\MeasureDraft;
use Nasturtium\Core\Score\PieceBuilder;

/** Lays the bars of the voices side by side as the measures of a piece. */
final class TypedPage
{
    /** @var list<Span> */
    private array $tokens = [];

    /** @param array<string, Voice> $voices by name, as `R1` */
    public function __construct(
        private readonly PieceBuilder $builder,
        private readonly Headings $headings,
        private readonly Frame $frame,
        private readonly array $voices,
    ) {}

    public function measures(): void
    {
        $first = array_values($this->voices)[0] ?? null;
        // Each printed line has brought all voices to the same number of bars.
        for ($i = 0; $i < count($first->bars ?? []); $i++) {
            $this->measure($i);
        }
    }

    /** @return array<string, Span> by event id; once the piece is built */
    public function spans(): array
    {
        return array_map(fn (int $token): Span => $this->tokens[$token], $this->builder->tokens);
    }

    private function measure(int $i): void
    {
        $meter = $this->frame->meterAt($i);
        $written = Fraction::zero();
        $startsLine = false;
        foreach ($this->voices as $voice) {
            $written = $written->max($voice->bars[$i]->written);
            $startsLine = $startsLine || $voice->bars[$i]->startsLine;
        }
        $length = $written->isZero() ? $meter->measure() : $written;
        $number = $this->headings->firstBar === 1 ? null : $this->headings->firstBar + $i;
        $short = $i === 0 && $length->compare($meter->measure()) < 0;
        $draft = $this->builder->measure($meter, $this->frame->keyAt($i, Fraction::zero()), $number, $short, $startsLine && $i > 0);
        $draft->keys = $this->frame->keysInside($i);
        if ($i === 0) {
            foreach (Hand::cases() as $staff) {
                $draft->clefs[] = [Fraction::zero(), $staff, $this->headings->clefs[$staff->value]];
            }
        }
        foreach ($this->voices as $voice) {
            $this->bar($draft, $voice, $voice->bars[$i], $length->compare($meter->measure()) > 0 ? $meter->measure() : $length);
        }
    }

    private function bar(MeasureDraft $draft, Voice $voice, TypedBar $bar, Fraction $rest): void
    {
        foreach ($bar->events as $event) {
            $length = $event->wholeBar ? Duration::ofWhole($rest) : $event->length;
            $this->tokens[] = $event->at;
            $draft->events[] = new DraftEvent($voice->hand, (string) $voice->number, $event->onset, $length, $event->notes, $event->ink(), $event->crossed, count($this->tokens) - 1);
        }
        foreach ($bar->clefs as [$onset, $clef]) {
            $draft->clefs[] = [$onset, $voice->hand, $clef];
        }
        array_push($draft->signs, ...$bar->signs);
        foreach ($bar->navigation as $sign) {
            $draft->navigate($sign);
        }
        $draft->repeatStart = $draft->repeatStart || $bar->repeatStart;
        $draft->repeatEnd = $draft->repeatEnd || $bar->repeatEnd;
        $draft->times = max($draft->times, $bar->times);
        $draft->endings = $draft->endings === [] ? $bar->endings : $draft->endings;
        $draft->barStyle = $draft->barStyle === '' ? $bar->barStyle : $draft->barStyle;
    }
}

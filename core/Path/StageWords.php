<?php

declare(strict_types=1);

namespace Nasturtium\Core\Path;

use Nasturtium\Core\Practice\TempoLadder;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Words;

/** What a stage asks of a student, in one sentence that fits the page: its hands, and only the marks that are there (trade 8.2). */
final readonly class StageWords
{
    private const MARKS = ['staccato' => 'dots', 'staccatissimo' => 'wedges', 'tenuto' => 'held notes', 'accent' => 'accents', 'strong-accent' => 'strong accents'];

    private bool $hasBothHands;

    /** @param bool $everTogether the hands sound together somewhere */
    public function __construct(private Piece $piece, private bool $everTogether)
    {
        $this->hasBothHands = $piece->plays(Hand::Right) && $piece->plays(Hand::Left);
    }

    /** @param ?int $tempo that it begins at; null where none is kept */
    public function of(PathStep $step, ?int $tempo): string
    {
        // What is slower than a metronome goes is counted in halves of the beat, and said so (trade 9.1).
        $halves = $tempo !== null && TempoLadder::isInHalves($tempo) ? ' The metronome ticks twice a beat, at '.(2 * $tempo).'.' : '';

        return $this->sentence($step).$halves;
    }

    private function sentence(PathStep $step): string
    {
        return match ($step->kind) {
            StageKind::TapAndCount => 'Tap '.match (true) {
                ! $this->hasBothHands => 'the rhythm on the closed lid or your lap and count aloud.',
                $this->everTogether => 'each hand on the closed lid or your lap and count aloud, one hand, the other, then both.',
                default => 'it on the closed lid or your lap, each hand where it plays, and count aloud.',
            },
            StageKind::HandsTogether => count($this->piece->lines()) > 1 ? 'Play both hands together, slowly, a line at a time.' : 'Play both hands together, slowly.',
            StageKind::RightHand, StageKind::LeftHand => $this->hasBothHands ? $step->sentence : 'Play it, counting.',
            StageKind::RightHandUncounted, StageKind::LeftHandUncounted => $this->hasBothHands ? $step->sentence : 'Play it, only correct keys and fingers.',
            StageKind::RightHandCounting, StageKind::LeftHandCounting => $this->hasBothHands ? $step->sentence : 'Play it, counting, two bars at a time.',
            StageKind::HandOver => $this->joinsHands() ? 'Pass the tune from hand to hand with no gap, smoothly as the slur has it.' : $step->sentence,
            StageKind::Articulation => 'Play it with its '.$this->marks().' as printed.',
            default => $step->sentence,
        };
    }

    /** A slur begins in one hand and ends in the other. */
    private function joinsHands(): bool
    {
        $open = [];
        foreach ($this->piece->measures as $measure) {
            foreach ($measure->inTime() as $event) {
                foreach ($event->ink->slurs as $slur) {
                    if ($slur->starts) {
                        $open[$slur->number] = $event->hand;
                    } elseif (isset($open[$slur->number]) && $open[$slur->number] !== $event->hand) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    /** `slurs, dots and dynamics`. */
    private function marks(): string
    {
        $found = [];
        foreach ($this->piece->measures as $measure) {
            foreach ($measure->events() as $event) {
                $found += $event->ink->slurs === [] ? [] : ['slurs' => true];
                foreach ($event->ink->marks as $mark) {
                    $found += $mark->isArticulation() ? [self::MARKS[$mark->value] ?? $mark->value => true] : [];
                }
            }
            foreach ($measure->signs as $sign) {
                $found += $sign->kind->isLoudness() ? ['dynamics' => true] : [];
            }
        }
        $order = ['slurs', ...array_values(self::MARKS), 'dynamics'];
        $said = array_values(array_filter($order, static fn (string $one): bool => isset($found[$one])));

        return Words::listed($said);
    }
}

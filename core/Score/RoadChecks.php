<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** Repeats, endings and jumps that lead nowhere (trade 2.7). */
final class RoadChecks
{
    /** @var list<Check> */
    private array $found = [];

    private function __construct(private readonly Piece $piece) {}

    /** @return list<Check> */
    public static function of(Piece $piece): array
    {
        $checks = new self($piece);
        $checks->repeats();
        $checks->jumps();

        return $checks->found;
    }

    private function repeats(): void
    {
        $open = null;
        $first = null;
        foreach ($this->piece->measures as $measure) {
            if ($measure->repeatStart) {
                $this->repeatOpen($open, null);
                $open = $measure;
            }
            $ending = in_array(1, $measure->endings, true);
            if (! $ending && $measure->endings !== [] && $first !== null) {
                $before = $this->piece->measures[$measure->index - 1] ?? null;
                $this->endingOpen($first, $before);
                $first = null;
                $open = null;
            }
            $first = $ending ? $first ?? $measure : $first;
            if ($measure->repeatEnd) {
                $open = null;
                $first = null;
            }
        }
        if ($first !== null) {
            $this->endingOpen($first, null);
        } else {
            $this->repeatOpen($open, $this->piece->last());
        }
    }

    private function endingOpen(Measure $first, ?Measure $last): void
    {
        $this->add('ending_open', $first, "The first ending at bar {$first->number} has no repeat sign after it.", $last);
    }

    private function repeatOpen(?Measure $measure, ?Measure $last): void
    {
        if ($measure !== null) {
            $this->add('repeat_open', $measure, "The repeat that begins at bar {$measure->number} is not closed.", $last);
        }
    }

    private function jumps(): void
    {
        $signs = [];
        foreach ($this->piece->measures as $measure) {
            foreach ($measure->navigation as $sign) {
                $signs[$sign->value] = $measure;
            }
        }
        foreach ($this->piece->measures as $measure) {
            foreach ($measure->navigation as $sign) {
                foreach ($sign->needs() as $needed) {
                    if (! isset($signs[$needed->value])) {
                        $this->add('jump_nowhere', $measure, "Bar {$measure->number} says {$sign->value}, but there is no {$needed->value}.", null);
                    }
                }
            }
        }
    }

    /** @param Measure|null $last where the missing repeat sign belongs, when that is certain */
    private function add(string $code, Measure $measure, string $text, ?Measure $last): void
    {
        $events = $last === null ? [] : ($last->right !== [] ? $last->right : $last->left);
        $fix = $events === [] ? null : Fix::closeRepeat($events[count($events) - 1]->id);
        $this->found[] = new Check($code, $measure->place(Fraction::zero()), null, $text, [], $fix);
    }
}

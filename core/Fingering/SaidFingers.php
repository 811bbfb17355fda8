<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Fingering\Keys\Strike;
use Nasturtium\Core\Fingering\Standard\ChordShape;
use Nasturtium\Core\Fingering\Standard\StandardFingers;
use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Piece;

/** What was chosen for the strikes, said for the notes of the page: each finger, who says it, and what else would do. */
final class SaidFingers
{
    /** @var array<string, list<int|null>> */
    private array $fingers = [];

    /** @var array<string, list<int|null>> */
    private array $or = [];

    /** @var array<string, FingerSource> */
    private array $sources = [];

    /** @var array<string, string> */
    private array $patterns = [];

    public function __construct(private readonly Piece $piece, private readonly Hand $hand, private readonly OwnFingers $own) {}

    public function add(Strike $strike, Grip $grip, Grip $other, ?StandardFingers $standard): void
    {
        [$pattern, $or] = $this->pattern($strike, $grip, $standard);
        $or ??= $other->fingers;
        $direction = $this->hand->direction();
        $chosen = [];
        $others = [];
        foreach ($strike->keys as $i => $key) {
            // What is set stands, even where no hand could do it.
            $chosen[$direction * $key] = $strike->set[$i] ?? $grip->fingers[$i] ?? 0;
            $others[$direction * $key] = $strike->set[$i] ?? $or[$i] ?? 0;
        }
        foreach ($strike->events as $event) {
            $this->event($event, $chosen, $others, $pattern);
        }
    }

    /**
     * @param  array<int, int>  $chosen  by key
     * @param  array<int, int>  $others
     */
    private function event(Event $event, array $chosen, array $others, ?string $pattern): void
    {
        $fingers = array_map(static fn (Note $note): ?int => $chosen[$note->pitch->midi()] ?? null, $event->notes);
        $or = array_map(static fn (Note $note): ?int => $others[$note->pitch->midi()] ?? null, $event->notes);
        $this->fingers[$event->id] = $fingers;
        $this->sources[$event->id] = $this->source($event, $pattern);
        if ($or !== $fingers) {
            $this->or[$event->id] = $or;
        }
        if ($this->sources[$event->id] !== FingerSource::WorkedOut && $pattern !== null) {
            $this->patterns[$event->id] = $pattern;
        }
    }

    /** @return array{string|null, list<int>|null} the name of the pattern that the grip is of, and its other fingers */
    private function pattern(Strike $strike, Grip $grip, ?StandardFingers $standard): array
    {
        if ($standard !== null) {
            return match ($grip->fingers[0]) {
                $standard->finger => [$standard->name, [$standard->or]],
                $standard->or => [$standard->name, [$standard->finger]],
                default => [null, null],
            };
        }
        $shape = ChordShape::of($strike->keys, $strike->letters);
        if ($shape === null || ($grip->fingers !== $shape->fingers && $grip->fingers !== $shape->or)) {
            return [null, null];
        }

        return [$shape->name, $grip->fingers === $shape->fingers ? $shape->or : $shape->fingers];
    }

    private function source(Event $event, ?string $pattern): FingerSource
    {
        if (array_filter($this->own->at($this->piece, $event), is_int(...)) !== []) {
            return FingerSource::Teacher;
        }
        $printed = array_filter($event->notes, static fn (Note $note): bool => $note->finger !== null);

        return match (true) {
            $printed !== [] => FingerSource::Page,
            $pattern !== null => FingerSource::Pattern,
            default => FingerSource::WorkedOut,
        };
    }

    /**
     * @param  list<Placed>  $placed
     * @param  list<Check>  $checks
     */
    public function all(array $placed, array $checks): HandFingers
    {
        $this->held();

        return new HandFingers($this->fingers, $this->or, $this->sources, $this->patterns, $placed, $checks);
    }

    /** A tied note keeps the finger it was struck with. */
    private function held(): void
    {
        $byKey = [];
        foreach ($this->piece->measures as $measure) {
            foreach ($measure->inTime($this->hand) as $event) {
                if ($event->isHeld()) {
                    $own = $this->own->at($this->piece, $event);
                    $this->fingers[$event->id] = array_map(static fn (Note $note, ?int $finger): ?int => $finger ?? $note->finger ?? $byKey[$note->pitch->midi()] ?? null, $event->notes, $own);
                    $this->sources[$event->id] = $this->source($event, null);
                }
                foreach ($event->notes as $i => $note) {
                    $byKey[$note->pitch->midi()] = $this->fingers[$event->id][$i] ?? $byKey[$note->pitch->midi()] ?? null;
                }
            }
        }
    }
}

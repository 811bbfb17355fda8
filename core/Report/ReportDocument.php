<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report;

use Nasturtium\Core\Counting\PlayOrder;
use Nasturtium\Core\Fingering\Crossing;
use Nasturtium\Core\Fingering\HandWork;
use Nasturtium\Core\Fingering\Leap;
use Nasturtium\Core\Fingering\Shift;
use Nasturtium\Core\Fingering\Span;
use Nasturtium\Core\Fingering\WeakRun;
use Nasturtium\Core\Path\Stage;
use Nasturtium\Core\Pattern\Chunk;
use Nasturtium\Core\Pattern\ChunkKind;
use Nasturtium\Core\Pattern\EqualBars;
use Nasturtium\Core\Pattern\Learn;
use Nasturtium\Core\Pattern\Reason;
use Nasturtium\Core\Pattern\StickingPoint;
use Nasturtium\Core\Pattern\StickingPoints;
use Nasturtium\Core\Reading\Drill;
use Nasturtium\Core\Reading\Drills;
use Nasturtium\Core\Reading\Move;
use Nasturtium\Core\Reading\Ring;
use Nasturtium\Core\Reading\Rings;
use Nasturtium\Core\Reading\ShakierHand;
use Nasturtium\Core\Reading\Solfege;
use Nasturtium\Core\Reading\StaffPlace;
use Nasturtium\Core\Reading\Trap;
use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Place;

/** The breakdown as the document of trade 14.1; every field is described in docs/breakdown.md. */
final class ReportDocument
{
    public const VERSION = 3;

    /** @var array<int, StickingPoint> */
    private array $points = [];

    private function __construct(private readonly Breakdown $breakdown) {}

    /** @return array<string, mixed> ready for JSON */
    public static function of(Breakdown $breakdown): array
    {
        $document = new self($breakdown);

        return [
            'version' => self::VERSION,
            'student' => ! $breakdown->settings->isForNobody,
            'piece' => $document->piece(),
            'checks' => array_map(static fn (Check $check): array => [
                'code' => $check->code,
                'place' => (string) $check->place,
                'hand' => $check->hand?->value,
                'text' => $check->text,
                'events' => $check->events,
            ], $breakdown->checks),
            'play_order' => array_map(static fn (int $index): int => $breakdown->piece->measures[$index]->number, $breakdown->playOrder),
            'beats' => $document->beats(),
            'bars' => $document->bars(),
            'count_in' => ['counts' => $breakdown->countIn->counts, 'enter' => $breakdown->countIn->enter],
            'events' => [...$document->events(Hand::Right), ...$document->events(Hand::Left)],
            'counting' => $document->counting(),
            'positions' => $document->positions(),
            'shifts' => $document->work(static fn (HandWork $work): array => $work->shifts(), self::shift(...)),
            'crossings' => $document->work(static fn (HandWork $work): array => $work->crossings(), static fn (Crossing $one): array => [
                'hand' => $one->hand->value, 'at' => (string) $one->at, 'kind' => $one->move->value, 'finger' => $one->finger,
            ]),
            'leaps' => $document->work(static fn (HandWork $work): array => $work->leaps(), static fn (Leap $one): array => [
                'hand' => $one->hand->value, 'at' => (string) $one->at, 'from' => $one->from->name(), 'to' => $one->to->name(), 'move' => Move::of($one->steps),
            ]),
            'spans' => $document->work(static fn (HandWork $work): array => $work->spans($breakdown->settings->handSpan), static fn (Span $one): array => [
                'hand' => $one->hand->value, 'at' => (string) $one->at, 'keys' => $one->keys, 'fits' => $one->fits,
            ]),
            'weak_runs' => $document->work(static fn (HandWork $work): array => $work->weakRuns(), static fn (WeakRun $one): array => [
                'hand' => $one->hand->value, 'from' => (string) $one->from, 'to' => (string) $one->to, 'events' => $one->events,
            ]),
            'finger_lines' => $document->fingerLines(),
            'notes' => $document->notes(),
            'traps' => array_map(static fn (Trap $trap): array => [
                'code' => $trap->code, 'place' => (string) $trap->place, 'hand' => $trap->hand?->value, 'text' => $trap->text, 'events' => $trap->events,
            ], $breakdown->traps),
            'drill' => array_map(static fn (Drill $drill): array => [
                'clef' => $drill->clef->value, 'pitch' => $drill->pitch->name(), 'status' => $drill->status->value, 'why' => $drill->why,
            ], Drills::before($breakdown->notes)),
            'rings' => array_map(static fn (Ring $ring): array => ['what' => $ring->what, 'times' => $ring->times, 'events' => $ring->events], Rings::of($breakdown->notes)),
            'equal' => [
                'bars' => EqualBars::both($breakdown->piece),
                'right' => EqualBars::of($breakdown->piece, Hand::Right),
                'left' => EqualBars::of($breakdown->piece, Hand::Left),
            ],
            'lines' => $document->lines(),
            'hands' => $document->hands(),
            'hand_first' => $breakdown->settings->isForNobody ? null : ShakierHand::of($breakdown->piece, $breakdown->settings->known)?->value,
            'chunks' => array_map($document->chunk(...), $breakdown->chunks),
            'sticking' => $document->sticking(),
            'learn' => [
                'text' => $breakdown->learn->text(),
                'bars' => $breakdown->learn->bars,
                'hands' => $breakdown->learn->hands,
                'order' => array_map(static fn (Learn $learn): array => ['measure' => $learn->measure, 'serves' => $learn->serves, 'score' => $learn->score], $breakdown->learn->order),
            ],
            'path' => $breakdown->settings->path->name,
            'stages' => array_map($document->stage(...), $breakdown->stages),
        ];
    }

    /** @return array<string, mixed> */
    private function piece(): array
    {
        $piece = $this->breakdown->piece;
        $pickup = $piece->pickup();

        return [
            'title' => $piece->title,
            'composer' => $piece->composer,
            'measures' => count($piece->measures),
            'pickup' => $pickup === null ? '0' : (string) $pickup->meter->beats($pickup->length),
            'time' => (string) $piece->meter(),
            'key' => $piece->key()->name(),
            'lines' => count($piece->lines()),
            'tempo_words' => $piece->tempoWords,
            'tempo' => $piece->tempo,
            'tempo_from' => $piece->tempoFrom,
            'notation' => $piece->notation->value,
        ];
    }

    /** @return list<array<string, mixed>> */
    private function bars(): array
    {
        return array_map(static fn (Measure $measure): array => [
            'measure' => $measure->number,
            'time' => (string) $measure->meter,
            'key' => $measure->key->name(),
            'first' => $measure->place(Fraction::zero())->beats->floor() + 1,
            'last' => $measure->lastBeat()->beats->floor() + 1,
        ], $this->breakdown->piece->measures);
    }

    /** @return array{written: string, played: string} */
    private function beats(): array
    {
        $piece = $this->breakdown->piece;

        return [
            'written' => (string) PlayOrder::beats($piece, ...array_keys($piece->measures)),
            'played' => (string) PlayOrder::beats($piece, ...$this->breakdown->playOrder),
        ];
    }

    /** @return list<array<string, mixed>> */
    private function events(Hand $hand): array
    {
        $piece = $this->breakdown->piece;
        $do = $piece->key()->fixed ? null : $this->lowestKey($hand);
        $events = [];
        $lasts = [];
        foreach ($piece->measures as $measure) {
            foreach ($measure->inTime($hand) as $event) {
                $last = $lasts[$event->voice] ?? null;
                $steps = $event->isRest() || $last === null ? null : $event->lowest()->diatonic() - $last->diatonic();
                $lasts[$event->voice] = $event->isRest() ? $last : $event->lowest();
                $pitches = array_map(static fn (Note $note): string => $note->pitch->name(), $event->notes);
                $events[] = [
                    'id' => $event->id,
                    'hand' => $hand->value,
                    'clef' => $event->clef->value,
                    'place' => (string) $measure->place($event->onset),
                    'beats' => (string) $event->duration->inBeatsOf($measure->meter),
                    'kind' => $event->kind()->value,
                    'pitches' => $pitches,
                    'voice' => $event->voice,
                    'staff' => $piece->notation->hasStaff()
                        ? array_map(static fn (Note $note): string => StaffPlace::of($note->pitch, $event->clef, $event->ottava), $event->notes)
                        : [],
                    'fingers' => $this->breakdown->fingers[$hand->value]->fingers[$event->id] ?? [],
                    'finger_from' => $this->fingerFrom($event),
                    'move' => $event->isRest() ? null : ($event->isHeld() ? Move::HELD : Move::of($steps)),
                    'interval' => $steps,
                    'solfege' => $event->isRest() ? null : implode(' ', array_map(
                        static fn (Note $note): string => Solfege::of($note->pitch, $measure->key, $do ?? $measure->key->doStep()),
                        $event->notes,
                    )),
                    'counts' => $this->breakdown->counts->under($event),
                ];
            }
        }

        return $events;
    }

    /** Where no key is fixed, do is the lowest key of the hand's first position. */
    private function lowestKey(Hand $hand): ?int
    {
        foreach ($this->breakdown->positions as $position) {
            if ($position->hand === $hand) {
                return $position->low->step;
            }
        }

        return null;
    }

    private function fingerFrom(Event $event): ?string
    {
        $fingers = $this->breakdown->fingers[$event->hand->value];

        return isset($fingers->fingers[$event->id]) ? ($fingers->sources[$event->id] ?? null)?->value : null;
    }

    /** @return list<array{measure: int, hand: string, text: string}> */
    private function counting(): array
    {
        $rows = [];
        foreach ($this->breakdown->piece->measures as $measure) {
            foreach (Hand::cases() as $hand) {
                if ($measure->of($hand) !== []) {
                    $rows[] = ['measure' => $measure->number, 'hand' => $hand->value, 'text' => $this->breakdown->counts->text($measure, $hand)];
                }
            }
        }

        return $rows;
    }

    /** @return list<array<string, mixed>> */
    private function positions(): array
    {
        $rows = [];
        foreach ($this->breakdown->positions as $position) {
            $rows[] = [
                'hand' => $position->hand->value,
                'from' => (string) $position->from,
                'to' => (string) $position->to,
                'thumb' => $position->thumb->name(),
                'low' => $position->low->name(),
                'high' => $position->high->name(),
                'keys' => $position->keys,
                'name' => $position->name,
            ];
        }

        return $rows;
    }

    /**
     * Of both hands, the right one first.
     *
     * @template T
     *
     * @param  \Closure(HandWork): list<T>  $of
     * @param  \Closure(T): array<string, mixed>  $row
     * @return list<array<string, mixed>>
     */
    private function work(\Closure $of, \Closure $row): array
    {
        return array_map($row, [...$of($this->breakdown->work['R']), ...$of($this->breakdown->work['L'])]);
    }

    /** @return array<string, mixed> */
    private static function shift(Shift $shift): array
    {
        return [
            'hand' => $shift->hand->value,
            'at' => (string) $shift->at,
            'keys' => $shift->keys,
            'from' => $shift->from->name(),
            'to' => $shift->to->name(),
            'beats' => (string) $shift->time,
            'rest' => (string) $shift->rest,
        ];
    }

    /** @return list<array{measure: int, hand: string, text: string}> */
    private function fingerLines(): array
    {
        $rows = [];
        foreach ($this->breakdown->piece->measures as $measure) {
            foreach (Hand::cases() as $hand) {
                $text = $this->breakdown->work[$hand->value]->line($measure);
                if ($text !== '') {
                    $rows[] = ['measure' => $measure->number, 'hand' => $hand->value, 'text' => $text];
                }
            }
        }

        return $rows;
    }

    /** @return list<array<string, mixed>> */
    private function notes(): array
    {
        $rows = [];
        foreach ($this->breakdown->notes as $note) {
            $rows[] = [
                'clef' => $note->clef->value,
                'pitch' => $note->pitch->name(),
                'times' => $note->times,
                'first' => (string) $note->first,
                'status' => $note->status->value,
                'route' => $note->route,
                'landmark' => $note->landmark->name(),
                'steps' => $note->steps,
                'staff' => $note->staff,
                'key' => $note->key,
                'midi' => $note->midi,
                'events' => $note->events,
            ];
        }

        return $rows;
    }

    /** @return list<array{from: int, to: int, letter: string}> */
    private function lines(): array
    {
        $rows = [];
        foreach ($this->breakdown->piece->lines() as $i => $line) {
            $rows[] = [
                'from' => $this->breakdown->piece->measures[$line->from]->number,
                'to' => $this->breakdown->piece->measures[$line->to]->number,
                'letter' => $this->breakdown->letters[$i],
            ];
        }

        return $rows;
    }

    /** @return list<array<string, mixed>> */
    private function hands(): array
    {
        $rows = [];
        foreach ($this->breakdown->piece->measures as $i => $measure) {
            $hands = $this->breakdown->hands[$i];
            $rows[] = ['measure' => $measure->number, 'play' => $hands->play, 'motion' => $hands->motion, 'same_rhythm' => $hands->sameRhythm];
        }

        return $rows;
    }

    /** @return list<array<string, mixed>> */
    private function sticking(): array
    {
        $measures = $this->breakdown->piece->measures;
        $thorns = array_flip(StickingPoints::thorns($this->breakdown->sticking));

        return array_map(static fn (StickingPoint $point): array => [
            'measure' => $measures[$point->index]->number,
            'score' => $point->score,
            'thorn' => isset($thorns[$point->index]),
            'teacher' => $point->teacher?->value,
            'reasons' => array_map(static fn (Reason $reason): array => [
                'code' => $reason->difficulty->value,
                'text' => $reason->text,
                'weight' => $reason->score(),
                'events' => $reason->events,
            ], $point->reasons),
        ], $this->breakdown->sticking);
    }

    /** @return array<string, mixed> a bar-over with its score; that of the hardest place it serves */
    private function chunk(Chunk $chunk): array
    {
        $hardest = null;
        if ($chunk->kind === ChunkKind::BarOver) {
            $served = array_map(static fn (Place $place): int => $place->measure, $chunk->serves);
            foreach ($served as $number) {
                $point = $this->points()[$number] ?? null;
                $hardest = $hardest === null || ($point !== null && $point->score > $hardest->score) ? $point : $hardest;
            }
        }

        return [
            'kind' => $chunk->kind->value,
            'from' => (string) $chunk->from,
            'to' => (string) $chunk->to,
            'serves' => array_map(static fn (Place $place): string => (string) $place, $chunk->serves),
            'score' => $hardest?->score,
            'reasons' => array_map(static fn (Reason $reason): string => $reason->text, $hardest->reasons ?? []),
            'beats' => (string) $chunk->beats,
        ];
    }

    /** @return array<int, StickingPoint> by measure number */
    private function points(): array
    {
        if ($this->points === []) {
            foreach ($this->breakdown->sticking as $point) {
                $this->points[$this->breakdown->piece->measures[$point->index]->number] = $point;
            }
        }

        return $this->points;
    }

    /** @return array<string, mixed> */
    private function stage(Stage $stage): array
    {
        return [
            'name' => $stage->step->name,
            'petal' => $stage->step->petal?->value,
            'hand' => $stage->step->hand?->value,
            'chunks' => array_map($this->chunk(...), $stage->chunks),
            'do' => $stage->step->sentence,
            'pass' => $stage->step->passMark,
            'minutes' => $stage->halfMinutes / 2,
            'repetitions' => $stage->repetitions,
            'tempo' => $stage->tempo,
            'waits_for' => $stage->waitsFor,
        ];
    }
}

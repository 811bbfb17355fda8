<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report;

use Nasturtium\Core\Fingering\HandWork;
use Nasturtium\Core\Path\Stage;
use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Pattern\Chunk;
use Nasturtium\Core\Pattern\ChunkKind;
use Nasturtium\Core\Pattern\StickingPoint;
use Nasturtium\Core\Pattern\StickingPoints;
use Nasturtium\Core\Reading\Drills;
use Nasturtium\Core\Reading\LandmarksDue;
use Nasturtium\Core\Reading\Move;
use Nasturtium\Core\Reading\Rings;
use Nasturtium\Core\Reading\School;
use Nasturtium\Core\Reading\ShakierHand;
use Nasturtium\Core\Reading\Solfege;
use Nasturtium\Core\Reading\StaffPlace;
use Nasturtium\Core\Reading\Trap;
use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Wording\Variety;

/** Lays a breakdown out as the document of trade 14.1. */
final class ReportDocument
{
    public const VERSION = 3;

    /** @var array<int, StickingPoint> */
    private array $points = [];

    /** @var array<int, Document\Chunk> by the object of the chunk: stages have the page's own */
    private array $chunks = [];

    private function __construct(private readonly Breakdown $breakdown) {}

    public static function of(Breakdown $breakdown): Document\Report
    {
        $document = new self($breakdown);
        $piece = $breakdown->piece;
        $settings = $breakdown->settings;
        $equal = Document\Equal::of($piece);
        $sticking = $document->sticking($equal);

        return new Document\Report(
            version: self::VERSION,
            student: ! $settings->isForNobody,
            piece: Document\Piece::of($piece),
            checks: array_map($document->check(...), $breakdown->checks),
            playOrder: array_map(static fn (int $index): int => $piece->measures[$index]->number, $breakdown->playOrder),
            beats: Document\Beats::of($piece, $breakdown->playOrder),
            bars: array_map(Document\Bar::of(...), $piece->measures),
            countIn: Document\CountIn::of($breakdown->countIn),
            events: [...$document->events(Hand::Right), ...$document->events(Hand::Left)],
            counting: $document->barTexts(static fn (Measure $measure, Hand $hand): string => $measure->of($hand) === [] ? '' : $breakdown->counts->text($measure, $hand)),
            positions: array_map(Document\Position::of(...), $breakdown->positions),
            shifts: array_map(Document\Shift::of(...), $document->work(static fn (HandWork $work): array => $work->shifts())),
            crossings: array_map(Document\Crossing::of(...), $document->work(static fn (HandWork $work): array => $work->crossings())),
            leaps: array_map(Document\Leap::of(...), $document->work(static fn (HandWork $work): array => $work->leaps())),
            spans: array_map(Document\Span::of(...), $document->work(static fn (HandWork $work): array => $work->spans($settings->handSpan))),
            weakRuns: array_map(Document\WeakRun::of(...), $document->work(static fn (HandWork $work): array => $work->weakRuns())),
            fingerLines: $document->barTexts(static fn (Measure $measure, Hand $hand): string => $breakdown->work[$hand->value]->line($measure)),
            notes: array_map(Document\Note::of(...), $breakdown->notes),
            landmarksDue: $settings->school === School::Landmark && $piece->notation->hasStaff() ? LandmarksDue::of($breakdown->notes, $settings->landmarks) : null,
            traps: array_map($document->trap(...), $breakdown->traps),
            drill: array_map(Document\Drill::of(...), Drills::before($breakdown->notes)),
            rings: array_map(Document\Ring::of(...), Rings::of($breakdown->notes)),
            equal: $equal,
            lines: $document->lines(),
            hands: array_map(Document\Hands::of(...), $piece->measures, $breakdown->hands),
            handFirst: $settings->isForNobody ? null : ShakierHand::of($piece, $settings->known),
            chunks: array_map($document->chunk(...), $breakdown->chunks),
            sticking: $sticking,
            lookOver: LookOver::of($breakdown, array_values(array_map(static fn (Document\Sticking $one): int => $one->measure, array_filter($sticking, static fn (Document\Sticking $one): bool => $one->thorn)))),
            learn: Document\Learn::of($breakdown->learn, $document->said($breakdown->learn->text())),
            path: $settings->path->name,
            stages: array_map(static fn (Stage $stage): Document\Stage => Document\Stage::of($stage, $stage->step->kind === StageKind::Own ? $stage->sentence : $document->said($stage->sentence), array_map($document->chunk(...), $stage->chunks)), $breakdown->stages),
        );
    }

    /** In the studio's English. */
    private function said(string $text): string
    {
        return Variety::in($this->breakdown->settings->words, $text);
    }

    private function check(Check $check): Document\Check
    {
        return Document\Check::of($check, $this->said($check->text));
    }

    private function trap(Trap $trap): Document\Trap
    {
        return Document\Trap::of($trap, $this->said($trap->text));
    }

    /** @return list<Document\Event> */
    private function events(Hand $hand): array
    {
        $piece = $this->breakdown->piece;
        $do = $piece->key()->fixed ? null : $this->lowestKey($hand);
        $fingers = $this->breakdown->fingers[$hand->value];
        $events = [];
        $lasts = [];
        foreach ($piece->measures as $measure) {
            foreach ($measure->inTime($hand) as $event) {
                $last = $lasts[$event->voice] ?? null;
                $steps = $event->isRest() || $last === null ? null : $event->lowest()->diatonic() - $last->diatonic();
                $lasts[$event->voice] = $event->isRest() ? $last : $event->lowest();
                $events[] = new Document\Event(
                    id: $event->id,
                    hand: $hand,
                    clef: $event->clef,
                    place: (string) $measure->place($event->onset),
                    beats: (string) $event->duration->inBeatsOf($measure->meter),
                    kind: $event->kind(),
                    pitches: array_map(static fn (Note $note): string => $note->pitch->name(), $event->notes),
                    letters: array_map(static fn (Note $note): string => $note->pitch->spelled(), $event->notes),
                    voice: $event->voice,
                    staff: $piece->notation->hasStaff()
                        ? array_map(static fn (Note $note): string => StaffPlace::of($note->pitch, $event->clef, $event->ottava), $event->notes)
                        : [],
                    fingers: $fingers->fingers[$event->id] ?? [],
                    fingersOr: $fingers->or[$event->id] ?? null,
                    fingerFrom: isset($fingers->fingers[$event->id]) ? $fingers->sources[$event->id] ?? null : null,
                    pattern: $fingers->patterns[$event->id] ?? null,
                    move: $event->isRest() ? null : ($event->isHeld() ? Move::HELD : Move::of($steps, $last === null ? 0 : $event->lowest()->midi() - $last->midi())),
                    interval: $steps,
                    solfege: self::solfege($event, $measure, $do),
                    counts: $this->breakdown->counts->under($event),
                );
            }
        }

        return $events;
    }

    /** @param int|null $do where no key says it */
    private static function solfege(Event $event, Measure $measure, ?int $do): ?string
    {
        return $event->isRest() ? null : implode(' ', array_map(
            static fn (Note $note): string => Solfege::of($note->pitch, $measure->key, $do ?? $measure->key->doStep()),
            $event->notes,
        ));
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

    /**
     * @param  \Closure(Measure, Hand): string  $text  of a bar; empty for none
     * @return list<Document\BarText>
     */
    private function barTexts(\Closure $text): array
    {
        $texts = [];
        foreach ($this->breakdown->piece->measures as $measure) {
            foreach (Hand::cases() as $hand) {
                $of = $text($measure, $hand);
                if ($of !== '') {
                    $texts[] = new Document\BarText($measure->number, $hand, $of);
                }
            }
        }

        return $texts;
    }

    /**
     * Of both hands, the right one first.
     *
     * @template T
     *
     * @param  \Closure(HandWork): list<T>  $of
     * @return list<T>
     */
    private function work(\Closure $of): array
    {
        return [...$of($this->breakdown->work['R']), ...$of($this->breakdown->work['L'])];
    }

    /** @return list<Document\Line> */
    private function lines(): array
    {
        $measures = $this->breakdown->piece->measures;
        $lines = [];
        foreach ($this->breakdown->piece->lines() as $i => $line) {
            $lines[] = new Document\Line($measures[$line->from]->number, $measures[$line->to]->number, $this->breakdown->letters[$i]);
        }

        return $lines;
    }

    /** @return list<Document\Sticking> */
    private function sticking(Document\Equal $equal): array
    {
        $piece = $this->breakdown->piece;
        $first = self::firstOfEqual($piece, $equal);
        $thorns = StickingPoints::thorns($this->breakdown->sticking, $first);

        return array_map(function (StickingPoint $point) use ($piece, $first, $thorns): Document\Sticking {
            $isThorn = in_array($point->index, $thorns, true);
            $others = $isThorn && isset($first[$point->index]) ? array_diff(array_keys($first, $first[$point->index], true), [$point->index]) : [];

            return Document\Sticking::of($piece, $point, $this->said(...), $isThorn, array_values(array_map(static fn (int $index): int => $piece->measures[$index]->number, $others)));
        }, $this->breakdown->sticking);
    }

    /** @return array<int, int> of each bar that has equals in both hands, the first of them, by index */
    private static function firstOfEqual(Piece $piece, Document\Equal $equal): array
    {
        $numbers = [];
        foreach ($equal->bars as $group) {
            $numbers += array_fill_keys($group, $group[0] ?? 0);
        }
        $indices = [];
        $first = [];
        foreach ($piece->measures as $index => $measure) {
            $indices[$measure->number] ??= $index;
            if (isset($numbers[$measure->number])) {
                $first[$index] = $indices[$numbers[$measure->number]];
            }
        }

        return $first;
    }

    /** A bar-over with the hardest of the places it serves. */
    private function chunk(Chunk $chunk): Document\Chunk
    {
        return $this->chunks[spl_object_id($chunk)] ??= $this->described($chunk);
    }

    private function described(Chunk $chunk): Document\Chunk
    {
        $hardest = null;
        foreach ($chunk->kind === ChunkKind::BarOver ? $chunk->serves : [] as $place) {
            $point = $this->points()[$place->measure] ?? null;
            $hardest = $hardest === null || ($point !== null && $point->score > $hardest->score) ? $point : $hardest;
        }

        return Document\Chunk::of($chunk, $hardest);
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
}

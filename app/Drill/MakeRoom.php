<?php

declare(strict_types=1);

namespace App\Drill;

use App\Http\English;
use App\Student\KnowNotes;
use App\Student\Student;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Drill\Card;
use Nasturtium\Core\Drill\ChooseCards;
use Nasturtium\Core\Drill\DrillKind;
use Nasturtium\Core\Drill\Kinds\Makers;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Reading\KeyDrill;
use Nasturtium\Core\Reading\NoteStatus;

/** Everything that the practice room of a student needs for a week: cards, and a session of each kind for each day. */
final class MakeRoom
{
    public const DAYS = 7;

    /** Pages that bars are taken from. */
    private const PAGES = 3;

    /** What everybody meets first, in this order (trade 15.2). */
    private const FIRST = ['treble:G4', 'bass:F3', 'treble:C4'];

    public function __construct(private readonly KnowNotes $know, private readonly MaterialFor $material, private readonly LinesAtSight $lines) {}

    /** @param Student $student with the studio */
    public function __invoke(Student $student): RoomResource
    {
        $today = $student->today();
        $known = $this->know->now($student, $today);
        $material = $this->materialOf($student, $known);
        $decks = new DeckFor($student);
        $minutes = $student->drill_minutes ?? intdiv(KeyDrill::halfMinutes($student->age($today)), 2);
        $kinds = array_filter(DrillKind::cases(), static fn (DrillKind $kind): bool => $student->drill_kinds === null || in_array($kind->value, explode(',', $student->drill_kinds), true));
        $rooms = [];
        foreach ($kinds as $kind) {
            $cards = Makers::of($kind)->cards($material);
            if (count($cards) > 1) {
                $rooms[] = $this->deck($student, $kind, $cards, $decks, $known, $today, $minutes);
            }
        }
        foreach (NarrowDecks::of($student, $today, $known) as $narrow) {
            $cards = $narrow->task !== null || in_array($narrow->kind, $kinds, true) ? $this->few($student, $narrow, $known) : [];
            if (count($cards) > 1) {
                $rooms[] = $this->deck($student, $narrow->kind, $cards, $decks, $known, $today, $minutes, $narrow);
            }
        }

        return new RoomResource($student->id, $student->first_name, $today->toDateString(), $minutes, DeckFor::best($student), $rooms, ($this->lines)($student, $known, $today, self::DAYS));
    }

    /**
     * Whatever the teacher has chosen for the room: these notes are asked for, and what is secure stands between them;
     * nothing else is, such as the octave of a letter.
     *
     * @param  array<string, NoteStatus>  $known
     * @return list<Card>
     */
    private function few(Student $student, NarrowDeck $narrow, array $known): array
    {
        $cards = Makers::of($narrow->kind)->cards(($this->material)($student->studio, $student, [...$narrow->notes, ...array_keys($known, NoteStatus::Secure, true)], []));

        return array_values(array_filter($cards, static fn (Card $card): bool => $card->note !== null));
    }

    /**
     * @param  non-empty-list<Card>  $cards
     * @param  array<string, NoteStatus>  $known
     */
    private function deck(Student $student, DrillKind $kind, array $cards, DeckFor $decks, array $known, CarbonImmutable $today, int $minutes, ?NarrowDeck $narrow = null): DeckResource
    {
        $cards = array_column($cards, null, 'id');
        $deck = $decks->of($kind, array_keys($cards), array_filter(array_map(static fn (Card $card): ?string => $card->note, $cards)), $known);
        $choose = new ChooseCards($student->enough());
        $sessions = [];
        $used = [];
        for ($day = 0; $day < self::DAYS; $day++) {
            $date = $today->addDays($day);
            $session = $choose($deck, $day === 0 ? CarbonImmutable::now()->getTimestamp() : $date->addHours(15)->getTimestamp(), crc32("{$student->id} {$kind->value} {$date->toDateString()}"), 60 * $minutes);
            $sessions[] = DrillSessionResource::of($date->toDateString(), $session);
            $used += array_flip([...$session->learning, ...$session->joining, ...$session->known]);
        }
        $used = array_intersect_key($cards, $used);

        return new DeckResource($narrow?->task, $narrow?->page, $kind, English::text($kind->words()), array_values(array_map(CardResource::of(...), $used)), $sessions);
    }

    /** @param array<string, NoteStatus> $known */
    private function materialOf(Student $student, array $known): Material
    {
        // As the teacher set them; else what the pages brought, in the order they brought it, after the landmarks.
        $notes = $student->drill_notes === null ? [...self::FIRST, ...array_keys($known)] : explode(',', $student->drill_notes);

        return ($this->material)($student->studio, $student, $notes, TypedPages::of($student->id, LearningState::Current, 'opened_on', self::PAGES));
    }
}

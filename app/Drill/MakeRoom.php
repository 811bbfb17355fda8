<?php

declare(strict_types=1);

namespace App\Drill;

use App\Desk\SettingsFor;
use App\Http\English;
use App\Student\KnowNotes;
use App\Student\Learning\Learning;
use App\Student\Student;
use App\Week\Task;
use App\Week\Week;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Nasturtium\Core\Drill\Card;
use Nasturtium\Core\Drill\ChooseCards;
use Nasturtium\Core\Drill\DrillKind;
use Nasturtium\Core\Drill\Kinds\Makers;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Drill\Session;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Reading\Landmarks;
use Nasturtium\Core\Reading\NoteStatus;
use Nasturtium\Core\Reading\Phrases;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Pitch;

/** Everything that the practice room of a student needs for a week: cards, and a session of each kind for each day. */
final class MakeRoom
{
    public const DAYS = 7;

    /** Pages that bars are taken from. */
    private const PAGES = 3;

    /** Of a kind so many cards may join in one session. */
    private const JOINING = 9;

    /** What a drill of the week is: the notes of its page are found on the piano. */
    private const OF_TASKS = DrillKind::Find;

    /** Minutes of a session: fewer for small children. */
    private const MINUTES = [8 => 2, 200 => 3];

    /** What everybody meets first, in this order (trade 15.2). */
    private const FIRST = ['treble:G4', 'bass:F3', 'treble:C4'];

    public function __construct(private readonly KnowNotes $know, private readonly SettingsFor $settings, private readonly LinesAtSight $lines) {}

    /** @param Student $student with the studio */
    public function __invoke(Student $student): RoomResource
    {
        $today = $student->today();
        $known = $this->know->now($student, $today);
        $material = $this->material($student, $known);
        $decks = new DeckFor($student);
        $minutes = $student->drill_minutes ?? self::minutes($student->age($today));
        $kinds = array_filter(DrillKind::cases(), static fn (DrillKind $kind): bool => $student->drill_kinds === null || in_array($kind->value, explode(',', $student->drill_kinds), true));
        $rooms = [];
        foreach ($kinds as $kind) {
            $cards = Makers::of($kind)->cards($material);
            if (count($cards) > 1) {
                $rooms[] = $this->deck($student, $kind, $cards, $decks, $known, $today, $minutes);
            }
        }
        foreach (self::tasks($student, $today) as $task) {
            $of = explode(',', $task->learning->piece->note_names ?? '');
            $cards = array_values(array_filter(
                Makers::of(self::OF_TASKS)->cards($material),
                static fn (Card $card): bool => in_array($card->note, $of, true) || ($known[$card->note ?? ''] ?? null) === NoteStatus::Secure,
            ));
            if (count($cards) > 1) {
                $rooms[] = $this->deck($student, self::OF_TASKS, $cards, $decks, $known, $today, $minutes, $task->id);
            }
        }

        return new RoomResource($student->id, $student->first_name, $today->toDateString(), $minutes, DeckFor::best($student), $rooms, ($this->lines)($student, $known, $today, self::DAYS));
    }

    /**
     * @param  non-empty-list<Card>  $cards
     * @param  array<string, NoteStatus>  $known
     */
    private function deck(Student $student, DrillKind $kind, array $cards, DeckFor $decks, array $known, CarbonImmutable $today, int $minutes, ?int $task = null): DeckResource
    {
        $cards = array_column($cards, null, 'id');
        $deck = $decks->of($kind, array_keys($cards), array_filter(array_map(static fn (Card $card): ?string => $card->note, $cards)), $known);
        $choose = new ChooseCards($student->enough());
        $sessions = [];
        $used = [];
        for ($day = 0; $day < self::DAYS; $day++) {
            $date = $today->addDays($day);
            $session = $choose($deck, $day === 0 ? CarbonImmutable::now()->getTimestamp() : $date->addHours(15)->getTimestamp(), crc32("{$student->id} {$kind->value} {$date->toDateString()}"), 60 * $minutes);
            $session = new Session($session->seconds, $session->learning, array_slice($session->joining, 0, self::JOINING), $session->known, $session->share, $session->before, $session->pairs, $session->enough);
            $sessions[] = DrillSessionResource::of($date->toDateString(), $session);
            $used += array_flip([...$session->learning, ...$session->joining, ...$session->known]);
        }
        $used = array_intersect_key($cards, $used);

        return new DeckResource($task, $kind, English::text($kind->words()), array_values(array_map(CardResource::of(...), $used)), $sessions);
    }

    /** @return Collection<int, Task> the drills of the week that was sent, with the pages they are for */
    private static function tasks(Student $student, CarbonImmutable $today): Collection
    {
        $week = Week::query()->where('student_id', $student->id)->whereNotNull('sent_at')->where('starts_on', '<=', $today->toDateString())->orderByDesc('starts_on')->first();

        return Task::query()->where('week_id', $week?->id)->where('kind', TaskKind::Drill)->whereNotNull('learning_id')->with('learning.piece')->orderBy('id')->get();
    }

    private static function minutes(int $age): int
    {
        foreach (self::MINUTES as $below => $minutes) {
            if ($age < $below) {
                return $minutes;
            }
        }

        return 1;
    }

    /** @param array<string, NoteStatus> $known */
    private function material(Student $student, array $known): Material
    {
        $open = Learning::query()->where('student_id', $student->id)->where('state', LearningState::Current)->with('piece')->orderByDesc('opened_on')->orderByDesc('id');
        $open->limit(self::PAGES);
        $pieces = [];
        foreach ($open->get() as $learning) {
            if ($learning->piece->isTyped()) {
                $pieces[] = $learning->piece->score();
            }
        }

        return new Material(
            $this->notes($student, $known),
            $pieces,
            $student->school,
            new Landmarks($student->landmark_level->value, $student->landmark_middle),
            Phrases::of($student->studio->phrases ?? []),
            $this->settings->counting($student->studio, $student),
        );
    }

    /**
     * As the teacher set them; else what the pages brought, in the order they brought it, after the landmarks.
     *
     * @param  array<string, NoteStatus>  $known
     * @return list<array{Clef, Pitch}>
     */
    private function notes(Student $student, array $known): array
    {
        $notes = [];
        foreach (array_unique($student->drill_notes === null ? [...self::FIRST, ...array_keys($known)] : explode(',', $student->drill_notes)) as $name) {
            [$clef, $pitch] = [...explode(':', $name), ''];
            $clef = Clef::from($clef);
            if ($clef === Clef::Treble || $clef === Clef::Bass) {
                $notes[] = [$clef, Pitch::parse($pitch)];
            }
        }

        return $notes;
    }
}

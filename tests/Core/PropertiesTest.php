<?php

declare(strict_types=1);

use App\Demo\InventedWeeks;
use Nasturtium\Core\Counting\Counts;
use Nasturtium\Core\Counting\PlayOrder;
use Nasturtium\Core\Fingering\FingerSearch;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Pattern\ChunkKind;
use Nasturtium\Core\Pattern\Chunks;
use Nasturtium\Core\Pattern\EqualBars;
use Nasturtium\Core\Pattern\LineLetters;
use Nasturtium\Core\Performance\Playback;
use Nasturtium\Core\Practice\Planning\BrokenRule;
use Nasturtium\Core\Practice\Planning\PlanTask;
use Nasturtium\Core\Practice\Planning\RuleCheck;
use Nasturtium\Core\Practice\Planning\Week;
use Nasturtium\Core\Practice\Planning\WeekPlanner;
use Nasturtium\Core\Reading\KnownNotes;
use Nasturtium\Core\Report\Breakdown;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Transposition;
use Random\Engine\Mt19937;
use Random\Randomizer;

/*
 * What holds for every valid page, on a hundred made by seeded chance.
 */

/** Rhythms that fill a bar, by meter: a length and how many of them. */
const RHYTHMS = [
    '4/4' => [['w'], ['h', 'h'], ['q', 'q', 'h'], ['q', 'q', 'q', 'q'], ['h.', 'q'], ['q.', 'v', 'h'], ['v', 'v', 'q', 'h']],
    '3/4' => [['h.'], ['h', 'q'], ['q', 'q', 'q'], ['q', 'v', 'v', 'q'], ['q.', 'v', 'q']],
    '2/4' => [['h'], ['q', 'q'], ['v', 'v', 'q'], ['q.', 'v']],
    '6/8' => [['h.'], ['q.', 'q.'], ['q', 'v', 'q.'], ['v', 'v', 'v', 'q.']],
];

function random_line(Randomizer $chance, string $meter, int $bars, string $position): string
{
    $line = $position;
    for ($bar = 0; $bar < $bars; $bar++) {
        if ($chance->getInt(1, 8) === 1) {
            $line .= ' /';

            continue;
        }
        $rhythm = RHYTHMS[$meter][$chance->getInt(0, count(RHYTHMS[$meter]) - 1)];
        foreach ($rhythm as $length) {
            $tone = match ($chance->getInt(1, 12)) {
                1 => 'r',
                2 => '(13)',
                3 => 'a',
                4 => 'f+',
                default => (string) $chance->getInt(1, 5),
            };
            $line .= " {$length}{$tone}";
        }
        $line .= ' |';
    }

    return $line;
}

function random_page(int $seed): Piece
{
    $chance = new Randomizer(new Mt19937($seed));
    $meter = array_keys(RHYTHMS)[$chance->getInt(0, 3)];
    $key = ['C', 'G', 'F', 'D', 'A minor'][$chance->getInt(0, 4)];
    $text = "time: {$meter}\nkey: {$key}\ntempo: {$chance->getInt(60, 140)}\n";
    foreach (range(1, $chance->getInt(1, 4)) as $line) {
        $bars = $chance->getInt(2, 5);
        $text .= 'R: '.random_line($chance, $meter, $bars, $line === 1 ? '@c4' : '')."\n";
        $text .= 'L: '.random_line($chance, $meter, $bars, $line === 1 ? '@5=c3' : '')."\n";
    }
    $read = ShorthandReader::read($text);
    expect($read->errors)->toBe([], $text);

    return $read->piece ?? throw new LogicException('a page of rests');
}

dataset('pages', fn (): array => array_map(fn (int $seed): array => [$seed], range(1, 100)));

test('every page: counts, fingers, chunks, play order and letters hold together', function (int $seed): void {
    $piece = random_page($seed);

    // The counts of a bar add up to its meter: every beat is said once by each hand.
    $counts = Counts::of($piece);
    foreach ($piece->measures as $measure) {
        foreach (Hand::cases() as $hand) {
            $said = preg_match_all('/\d+/', $counts->text($measure, $hand));
            expect($said)->toBe($measure->meter->count, "bar {$measure->number} {$hand->value}");
        }
    }

    // Every struck note has a finger from 1 to 5, rising along the hand.
    foreach (Hand::cases() as $hand) {
        $fingers = FingerSearch::for($piece, $hand)->fingers;
        foreach ($piece->hand($hand) as $event) {
            if ($event->isStruck()) {
                $own = $fingers[$event->id];
                $sorted = $own;
                $hand === Hand::Right ? sort($sorted) : rsort($sorted);
                expect($own)->toBe($sorted)->and(min($own))->toBeGreaterThanOrEqual(1)->and(max($own))->toBeLessThanOrEqual(5);
            }
        }
    }

    // Line chunks cover every bar in which something sounds, directly or as equals.
    $chunks = new Chunks($piece);
    $served = [];
    foreach ($chunks->of(ChunkKind::Line) as $chunk) {
        foreach ($chunk->serves as $place) {
            $served[$place->measure] = true;
        }
    }
    foreach ($piece->lines() as $line) {
        $sounds = array_filter(range($line->from, $line->to), fn (int $i): bool => $piece->measures[$i]->firstSounding() !== null);
        expect(isset($served[$piece->measures[$line->from]->number]))->toBe($sounds !== []);
    }

    // Groups of equal bars never overlap.
    foreach ([EqualBars::both($piece), ...array_values(EqualBars::of($piece, Hand::Right)), ...array_values(EqualBars::of($piece, Hand::Left))] as $groups) {
        $all = array_merge([], ...$groups);
        expect(array_unique($all))->toHaveCount(count($all));
    }

    // One letter a line, from A on; without repeats, what is played is what is written.
    expect(LineLetters::of($piece))->toHaveCount(count($piece->lines()))
        ->and(LineLetters::of($piece)[0])->toBe('A')
        ->and(PlayOrder::of($piece))->toBe(array_keys($piece->measures));
})->with('pages');

test('every page: where the hand lies, fingers keep the order of their keys', function (int $seed): void {
    $piece = random_page($seed);
    foreach (Hand::cases() as $hand) {
        $found = FingerSearch::for($piece, $hand);
        $under = [];
        foreach ($found->placed as $placed) {
            foreach ($placed->event->notes as $i => $note) {
                if ($note->finger === null) {
                    $under[spl_object_id($placed->frame)][$note->pitch->midi()] = $found->fingers[$placed->event->id][$i] * $hand->direction();
                }
            }
        }
        foreach ($under as $fingers) {
            ksort($fingers);
            $sorted = array_values($fingers);
            sort($sorted);
            // Two keys beside one another may be under one finger at different times: F and F sharp.
            expect(array_values($fingers))->toBe($sorted);
        }
    }
})->with('pages');

test('every page: every note that sounds has a finger, and two keys in a row never the same one', function (int $seed): void {
    $piece = random_page($seed);
    foreach (Hand::cases() as $hand) {
        $found = FingerSearch::for($piece, $hand);
        foreach ($piece->hand($hand) as $event) {
            expect($event->isRest() || ! in_array(null, $found->fingers[$event->id], true))->toBeTrue("{$event->id} has no finger");
        }
        $before = null;
        foreach (array_column($found->placed, 'event') as $event) {
            $isFree = $before !== null && count($before->notes) === 1 && count($event->notes) === 1
                && $before->measure === $event->measure && $before->end->equals($event->onset) && ! $before->has(Mark::Staccato)
                && $before->notes[0]->finger === null && $event->notes[0]->finger === null
                && $before->lowest()->midi() !== $event->lowest()->midi();
            expect($isFree && $found->fingers[$before->id] === $found->fingers[$event->id])->toBeFalse("{$hand->value} {$event->id}");
            $before = $event;
        }
    }
})->with('pages');

test('every page: moved to another key and back, it is the same music', function (int $seed): void {
    $piece = random_page($seed);
    $there = Transposition::to($piece, new Key($piece->key()->fifths === 2 ? 1 : 2, $piece->key()->minor), 1);
    $back = Transposition::to($there, $piece->key(), -1);
    $pitches = fn (Piece $of): array => array_map(fn (Event $event): array => array_map(fn (Note $note): string => $note->pitch->name(), $event->notes), array_merge($of->hand(Hand::Right), $of->hand(Hand::Left)));
    expect($pitches($back))->toBe($pitches($piece));
})->with('pages');

test('every page: chunks of each kind lie within it, and bar-overs serve every bar that sounds', function (int $seed): void {
    $piece = random_page($seed);
    $last = count($piece->measures) - 1;
    $chunks = new Chunks($piece);
    foreach ($chunks->all() as $chunk) {
        expect($chunk->first)->toBeLessThanOrEqual($chunk->last)->and($chunk->last)->toBeLessThanOrEqual($last)
            ->and($chunk->beats->compare(Fraction::zero()))->toBe(1);
    }
    $served = [];
    foreach ($chunks->of(ChunkKind::BarOver) as $chunk) {
        foreach ($chunk->serves as $place) {
            $served[$place->measure] = true;
        }
    }
    foreach (array_slice($piece->measures, 0, -1) as $measure) {
        expect(isset($served[$measure->number]))->toBe($measure->firstSounding() !== null, "bar {$measure->number}");
    }
})->with('pages');

test('every page: what sticks has reasons that add up, and learning its bars is learning it all', function (int $seed): void {
    $report = document(Breakdown::of(random_page($seed), new Settings(known: KnownNotes::of(['C4', 'E4', 'C3']))));
    foreach ($report['sticking'] as $point) {
        expect($point['score'])->toBe(array_sum(array_column($point['reasons'], 'weight')));
    }
    $learnt = array_merge([], ...array_column($report['learn']['order'], 'serves'));
    sort($learnt);
    expect($learnt)->toBe(array_column($report['sticking'], 'measure'))
        // What unlocks most comes first.
        ->and(array_map(count(...), array_column($report['learn']['order'], 'serves')))->toBe(array_reverse((function (array $sizes): array {
            sort($sizes);

            return $sizes;
        })(array_map(count(...), array_column($report['learn']['order'], 'serves')))));
})->with('pages');

test('every page: bars that are equal are so for each other, and the same is of one shape and one rhythm', function (int $seed): void {
    $piece = random_page($seed);
    foreach (Hand::cases() as $hand) {
        $groups = EqualBars::of($piece, $hand);
        foreach (['same' => 'shape', 'shape' => 'rhythm'] as $closer => $wider) {
            foreach ($groups[$closer] as $bars) {
                $around = array_filter($groups[$wider], fn (array $other): bool => array_diff($bars, $other) === []);
                expect($around)->toHaveCount(1);
            }
        }
    }
})->with('pages');

test('every page: written out and read in again, it is the same file', function (int $seed): void {
    $piece = random_page($seed);
    if (! $piece->plays(Hand::Right) && ! $piece->plays(Hand::Left)) {
        $this->markTestSkipped('a page of rests');
    }
    $xml = MusicXmlWriter::write($piece);
    expect(MusicXmlWriter::write(MusicXmlReader::read($xml)->piece))->toBe($xml);
})->with('pages');

test('every page: what sounds lies within its length, in time', function (int $seed): void {
    $piece = random_page($seed);
    $playback = Playback::whole($piece);
    foreach ($playback->sounds as $sound) {
        expect($sound->at->compare(Fraction::zero()))->toBeGreaterThanOrEqual(0)
            ->and($sound->at->plus($sound->beats)->compare($playback->beats))->toBeLessThanOrEqual(0)
            ->and($sound->keys)->not->toBe([]);
    }
    expect($playback->bars)->toHaveCount(count($piece->measures));
})->with('pages');

/** @return list<BrokenRule> rules that are broken; a lock alone may make a day too long */
function broken_without_locks(Week $week, array $dates): array
{
    $isLocked = array_merge(...array_column($week->tasks, 'locked')) !== [];

    return array_values(array_filter(RuleCheck::broken($week, $dates), static fn (BrokenRule $of): bool => ! $isLocked || ! str_starts_with($of->text, 'The day has')));
}

test('every week: the plan breaks no rule, loses no task, and gives way to whatever is done to it', function (int $seed): void {
    $week = InventedWeeks::make($seed);
    $plan = WeekPlanner::propose($week, 60);
    $dates = $plan->dates();
    $noDay = array_diff(array_column($week->tasks, 'id'), array_keys($dates));
    expect(broken_without_locks($week, $dates))->toBe([])
        ->and($noDay)->toEqualCanonicalizing([...array_keys($plan->left), ...$plan->next]);
    // Somebody takes the first card off its day and locks another one: what is left is planned around both.
    $chance = new Randomizer(new Mt19937($seed));
    $taken = $week->tasks[$chance->getInt(0, count($week->tasks) - 1)];
    $off = array_slice($dates[$taken->id] ?? [], 0, 1);
    $changed = new Week($week->days, array_map(static fn (PlanTask $task): PlanTask => $task->again($dates[$task->id] ?? [], $task === $taken ? $off : []), $week->tasks), $week->mostNew, mostTasks: $week->mostTasks);
    $after = WeekPlanner::propose($changed, 60)->dates();
    expect(broken_without_locks($changed, $after))->toBe([])
        ->and(array_intersect($after[$taken->id] ?? [], $off))->toBe([]);
})->with('pages');

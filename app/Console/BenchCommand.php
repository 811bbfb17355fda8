<?php

declare(strict_types=1);

namespace App\Console;

use App\Account\User;
use App\Demo\DemoStudio;
use App\Demo\InventedWeeks;
use App\Demo\Scale\ScaledStudio;
use App\Desk\BreakDown;
use App\Lesson\Lesson;
use App\Page\Piece\Piece;
use App\Student\Student;
use GuzzleHttp\Cookie\CookieJar;
use Illuminate\Console\Command;
use Illuminate\Http\Client\PendingRequest;
use Illuminate\Support\Facades\Http;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Performance\Hearing\Hear;
use Nasturtium\Core\Performance\Hearing\Trial\InventTake;
use Nasturtium\Core\Performance\Hearing\Trial\TakeKind;
use Nasturtium\Core\Performance\Hearing\WrittenMusic;
use Nasturtium\Core\Practice\Planning\PlanTask;
use Nasturtium\Core\Practice\Planning\Week;
use Nasturtium\Core\Practice\Planning\WeekPlanner;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\Piece as Score;
use Symfony\Component\Process\ExecutableFinder;
use Symfony\Component\Process\Process;

/** Measures the core by length, and the endpoints of a running demo studio against a bare route of the same server. */
final class BenchCommand extends Command
{
    protected $signature = 'nasturtium:bench {--rounds=15 : how often each thing is measured} {--url= : the running application; its own address otherwise} {--only= : core, hearing, plan, files or endpoints alone}';

    protected $description = 'Measure the breakdown by length, and the endpoints against a bare route';

    private const LENGTHS = [8, 80, 800];

    /** Bars of a page as beginners have it. */
    private const PAGE = 16;

    /** Bars of a take. */
    private const TAKES = [16, 64, 256];

    private const WEEKS = 60;

    /** What a length may cost more than one ten times shorter. */
    private const MOST_GROWTH = 12;

    private const LINES = [
        "R: q1234 | v1234 h5 | q5 e c d | w1\nL: w5 | h1 5 | q5 3 1 r | w5\n",
        "R: h3 q2 1 | q5 4 3 r | v5432 h1 | h.3 qr\nL: q5 3 1 3 | h5 h3 | w1 | w(531)\n",
        "R: @g4 q1 2 3 4 | h5 3 | q4 f+ 2 r | @c4 w5\nL: @5=g2 w5 | q5 1 5 1 | h3 1 | @5=c3 w5\n",
    ];

    public function handle(): int
    {
        $rounds = max(3, (int) $this->option('rounds'));
        $this->line("The least of {$rounds} rounds, in milliseconds.");
        $only = $this->option('only');
        foreach (['core' => $this->core(...), 'hearing' => $this->hearing(...), 'plan' => $this->plan(...), 'files' => $this->files(...), 'endpoints' => $this->endpoints(...)] as $name => $measure) {
            if ($only === null || $only === $name) {
                $measure($rounds);
            }
        }

        return self::SUCCESS;
    }

    /** A take with faults of all kinds, beside what is written. */
    private function hearing(int $rounds): void
    {
        $this->line('');
        $this->line(sprintf('%-10s %12s %10s', 'bars', 'a take', 'growth'));
        $before = null;
        foreach (self::TAKES as $bars) {
            $music = WrittenMusic::of($this->tune($bars));
            $take = InventTake::of($music, TakeKind::Mixed, 1)->taken;
            $took = $this->least($rounds, static fn () => Hear::take($music, $take), self::processor(...));
            $this->line(sprintf('%-10d %12.1f %10s   %d notes', $bars, $took, $before === null ? '' : sprintf('x%.1f', $took / $before), count($take)));
            $before = $took;
        }
    }

    private function core(int $rounds): void
    {
        $breakDown = new BreakDown();
        $linear = true;
        $before = null;
        $page = $this->tune(self::PAGE);
        $this->line('');
        $this->line(sprintf('%-10s %12s %10s %12s %10s   %s', 'bars', 'breakdown', 'growth', 'read file', 'growth', 'processor time'));
        foreach (self::LENGTHS as $bars) {
            $score = $this->tune($bars);
            $file = MusicXmlWriter::write($score);
            $took = [
                $this->least($rounds, static fn () => $breakDown($score, new Settings()), self::processor(...)),
                $this->least($rounds, static fn () => MusicXmlReader::read($file), self::processor(...)),
            ];
            $growth = $before === null ? ['', ''] : [sprintf('x%.1f', $took[0] / $before[0]), sprintf('x%.1f', $took[1] / $before[1])];
            $linear = $linear && ($before === null || $took[0] / $before[0] <= self::MOST_GROWTH);
            $this->line(sprintf('%-10d %12.1f %10s %12.1f %10s', $bars, $took[0], $growth[0], $took[1], $growth[1]));
            $before = $took;
        }
        $this->line(sprintf('A page of %d bars is broken down in %.1f ms of processor time.', self::PAGE, $this->least($rounds, static fn () => $breakDown($page, new Settings()), self::processor(...))));
        $this->line($linear ? 'Linear: at most x'.self::MOST_GROWTH.' for ten times the bars.' : 'More than x'.self::MOST_GROWTH.' for ten times the bars: measure again on a quiet machine, then look for what grows.');
    }

    /** Invented weeks: the planner beside a plan that is filled by value alone. */
    private function plan(): void
    {
        [$searched, $filled, $took, $longest, $plain] = [0, 0, 0.0, 0.0, 0.0];
        for ($seed = 1; $seed <= self::WEEKS; $seed++) {
            $week = InventedWeeks::make($seed);
            $one = $this->least(1, static fn () => WeekPlanner::propose($week), self::processor(...));
            $plain += $this->least(1, static fn () => WeekPlanner::propose($week, 0), self::processor(...));
            $searched += WeekPlanner::propose($week)->eighths;
            $filled += WeekPlanner::propose($week, 0)->eighths;
            [$took, $longest] = [$took + $one, max($longest, $one)];
        }
        $this->line('');
        $this->line(sprintf('%-28s %10s %10s   processor time', self::WEEKS.' invented weeks', 'sum', 'ms a week'));
        $this->line(sprintf('%-28s %10.1f %10.1f', 'filled by value alone', $filled / 8, $plain / self::WEEKS));
        $this->line(sprintf('%-28s %10.1f %10.1f   sum x%.3f, the longest week %.1f ms', 'searched', $searched / 8, $took / self::WEEKS, $searched / $filled, $longest));
        $this->line(sprintf('One mark taken off its day moves %.1f others on average.', $this->movedByOne()));
    }

    /** Marks that come or go elsewhere when one is taken off a day, on average. */
    private function movedByOne(): float
    {
        $moved = 0;
        for ($seed = 1; $seed <= self::WEEKS; $seed++) {
            $week = InventedWeeks::make($seed);
            $dates = WeekPlanner::propose($week)->dates();
            $id = array_keys($dates)[$seed % count($dates)];
            $off = [$dates[$id][$seed % count($dates[$id])]];
            $tasks = array_map(static fn (PlanTask $task): PlanTask => $task->again($dates[$task->id] ?? [], $task->id === (string) $id ? $off : []), $week->tasks);
            $after = WeekPlanner::propose(new Week($week->days, $tasks, $week->mostNew, $week->until, $week->mostTasks))->dates();
            foreach ($tasks as $task) {
                [$was, $is] = [array_diff($dates[$task->id] ?? [], $task->id === (string) $id ? $off : []), $after[$task->id] ?? []];
                // The mark itself goes elsewhere, where it can; that is what was asked.
                $moved += max(0, max(count(array_diff($was, $is)), count(array_diff($is, $was))) - ($task->id === (string) $id ? 1 : 0));
            }
        }

        return $moved / self::WEEKS;
    }

    /** Reading and writing a file, beside a program of others that reads the same file in the same run. */
    private function files(int $rounds): void
    {
        $other = (new ExecutableFinder())->find('musicxml2ly');
        $this->line('');
        $this->line(sprintf('%-10s %12s %12s %16s %10s', 'bars', 'read file', 'write file', 'musicxml2ly', 'ratio'));
        foreach ([self::LENGTHS[0], self::LENGTHS[count(self::LENGTHS) - 1]] as $bars) {
            $score = $this->tune($bars);
            $file = MusicXmlWriter::write($score);
            $read = $this->least($rounds, static fn () => MusicXmlReader::read($file));
            $write = $this->least($rounds, static fn () => MusicXmlWriter::write($score));
            $theirs = $other === null ? null : $this->theirs($other, $file);
            $this->line(sprintf(
                '%-10d %12.1f %12.1f %16s %10s',
                $bars,
                $read,
                $write,
                $theirs === null ? 'not installed' : sprintf('%.1f', $theirs),
                $theirs === null ? '' : sprintf('x%.1f', $theirs / $read),
            ));
        }
        $this->line('The ratio is how much longer musicxml2ly takes, with its start, than reading takes here. A process of its own is measured twice.');
    }

    private function theirs(string $program, string $file): float
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'bench');
        rename($path, $path .= '.musicxml');
        file_put_contents($path, $file);
        $took = $this->least(1, static fn () => (new Process([$program, '-o', "{$path}.ly", $path], timeout: 600))->mustRun());
        array_map(unlink(...), [$path, "{$path}.ly"]);

        return $took;
    }

    private function tune(int $bars): Score
    {
        $text = "tempo: 96\nR: @c4 q1234 | v1234 h5 | q5 e c d | w1\nL: @5=c3 w5 | h1 5 | q5 3 1 r | w5\n";
        for ($line = 1; $line < intdiv($bars, 4); $line++) {
            $text .= self::LINES[$line % count(self::LINES)];
        }

        // The shorthand has a limit of its own, so the longest tune is the shorter one ten times over.
        if ($bars <= 160) {
            return ShorthandReader::read($text)->piece ?? throw new \LogicException('the tune cannot be read');
        }
        $part = MusicXmlWriter::write($this->tune(160));
        $from = (int) strpos($part, '<measure');
        $to = (int) strrpos($part, '</part>');
        $measures = substr($part, $from, $to - $from);
        $xml = substr($part, 0, $from).str_repeat($measures, intdiv($bars, 160)).substr($part, $to);

        return MusicXmlReader::read((string) preg_replace('/ number="\d+"(?=[ >])(?=[^<]*>\s*<(?:attributes|note|direction|barline|print))/', '', $xml))->piece;
    }

    /** Of the demo studio, and of the largest studio with years behind it where one was made. */
    private function endpoints(int $rounds): void
    {
        $piece = $this->longest(DemoStudio::EMAIL);
        if ($piece === null) {
            $this->line('No endpoint was measured: there is no demo studio. Start it with bin/start.');
        } else {
            $student = Student::query()->where('studio_id', $piece->studio_id)->firstOrFail();
            $this->compare($rounds, DemoStudio::EMAIL, 'the demo studio', [
                'this week' => '/api/this-week',
                'page desk' => "/api/pieces/{$piece->id}/breakdown",
                'page desk for a student' => "/api/pieces/{$piece->id}/breakdown?student={$student->id}",
            ]);
        }
        $teacher = User::query()->where('email', 'like', '%'.ScaledStudio::HOST)->get()->sortByDesc(static fn (User $user): int => Student::query()->where('studio_id', $user->studio_id)->count())->first();
        $piece = $teacher === null ? null : $this->longest($teacher->email);
        $lesson = $teacher?->studio_id === null ? null : $this->fullest($teacher->studio_id);
        if ($teacher === null || $piece === null || $lesson === null) {
            $this->line('There is no large studio: bin/start --scale=60x5 makes one.');

            return;
        }
        $years = $lesson->held_on->subYears(5)->toDateString();
        $this->compare($rounds, $teacher->email, strstr($teacher->email, '@', true).', students x years', [
            'this week' => '/api/this-week',
            'a lesson' => "/api/lessons/{$lesson->id}",
            'progress, half a year' => "/api/students/{$lesson->student_id}/progress",
            'progress, five years' => "/api/students/{$lesson->student_id}/progress?from={$years}",
            'a week' => "/api/weeks/{$lesson->week_id}",
            'students' => '/api/students',
            'a student' => "/api/students/{$lesson->student_id}",
            'books' => '/api/books',
            'page desk for a student' => "/api/pieces/{$piece->id}/breakdown?student={$lesson->student_id}",
        ]);
    }

    private function longest(string $teacher): ?Piece
    {
        return Piece::query()->where('studio_id', User::query()->where('email', $teacher)->value('studio_id'))->orderByDesc('measures')->first();
    }

    /** The lesson with the most slips of the last weeks. */
    private function fullest(int $studio): ?Lesson
    {
        return Lesson::query()->where('studio_id', $studio)->where('held_on', '>', now()->subWeeks(3))->withCount('slips')->orderByDesc('slips_count')->first();
    }

    /** @param array<string, string> $endpoints path by name */
    private function compare(int $rounds, string $teacher, string $studio, array $endpoints): void
    {
        $url = rtrim(is_string($this->option('url')) ? $this->option('url') : (string) config('app.url'), '/');
        $this->line('');
        try {
            $client = $this->signedIn($url, $teacher);
        } catch (\Throwable $reason) {
            $this->line("No endpoint was measured: {$url} does not answer with {$studio} ({$reason->getMessage()}). Start it with bin/start.");

            return;
        }
        $bare = 'a bare route (/up)';
        $endpoints = [$bare => '/up', ...$endpoints];
        // In turn, so that a busy moment of the machine is the same for all.
        $least = array_fill_keys(array_keys($endpoints), INF);
        for ($round = 0; $round < $rounds; $round++) {
            foreach ($endpoints as $name => $path) {
                $least[$name] = min($least[$name], $this->least(1, static fn () => $client->get($url.$path)->throw()));
            }
        }
        $this->line(sprintf('%-28s %10s %8s', $studio, 'ms', 'ratio'));
        foreach ($least as $name => $took) {
            $this->line(sprintf('%-28s %10.1f %8s', $name, $took, sprintf('x%.1f', $took / $least[$bare])));
        }
    }

    private function signedIn(string $url, string $teacher): PendingRequest
    {
        $jar = new CookieJar();
        $client = Http::withOptions(['cookies' => $jar])->acceptJson()->timeout(20);
        $client->get($url)->throw();
        $token = $jar->getCookieByName('XSRF-TOKEN')?->getValue() ?? '';
        $client->withHeaders(['X-XSRF-TOKEN' => urldecode($token)])
            ->post("{$url}/api/session", ['email' => $teacher, 'password' => DemoStudio::PASSWORD])->throw();

        return $client;
    }

    /**
     * @param  \Closure(): mixed  $work
     * @param  (\Closure(): float)|null  $clock  in milliseconds; the time of day where none is named
     */
    private function least(int $rounds, \Closure $work, ?\Closure $clock = null): float
    {
        $clock ??= static fn (): float => hrtime(true) / 1e6;
        $least = INF;
        for ($round = 0; $round <= $rounds; $round++) {
            $begun = $clock();
            $work();
            $took = $clock() - $begun;
            // The first round warms up.
            $least = $round === 0 ? INF : min($least, $took);
        }

        return $least;
    }

    /** What this process has used of the processor, in milliseconds. */
    private static function processor(): float
    {
        $used = getrusage() ?: throw new \RuntimeException('the processor time of this process cannot be read');

        return ($used['ru_utime.tv_sec'] + $used['ru_stime.tv_sec']) * 1e3 + ($used['ru_utime.tv_usec'] + $used['ru_stime.tv_usec']) / 1e3;
    }
}

<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Performance\Hearing\Hear;
use Nasturtium\Core\Performance\Hearing\Source;
use Nasturtium\Core\Performance\Hearing\TakeFile;
use Nasturtium\Core\Performance\Hearing\Trial\InventTake;
use Nasturtium\Core\Performance\Hearing\Trial\TakeFigures;
use Nasturtium\Core\Performance\Hearing\Trial\TakeKind;
use Nasturtium\Core\Performance\Hearing\WrittenMusic;
use Nasturtium\Core\Score\Piece;

/** How well takes are heard, measured on invented ones of the demo's tunes (docs/hearing.md). */
final class HearingCommand extends Command
{
    protected $signature = 'nasturtium:hearing {--takes=20 : of each kind} {--from=1 : the first seed; others than were tuned on begin at 100001} {--kind= : one kind alone} {--write= : a folder the takes are written to} {--heard= : a folder with those that were heard as sound}';

    protected $description = 'Measure how well invented takes are heard';

    private const SORTS = ['right', 'wrong', 'missed', 'extra', 'skipped', 'stall', 'restart', 'apart', 'early', 'late', 'short', 'long'];

    /** @var array<string, TakeFigures> by the kind of a take, or by the instrument and the noise it was played with */
    private array $figures = [];

    private int $time = 0;

    private int $notes = 0;

    public function handle(): int
    {
        $takes = max(1, min(2_000, (int) $this->option('takes')));
        $from = max(1, (int) $this->option('from'));
        $music = array_map(WrittenMusic::of(...), self::pieces());
        foreach (TakeKind::cases() as $at => $kind) {
            for ($seed = $from + 1_000 * $at; $seed < $from + 1_000 * $at + $takes; $seed++) {
                if ($this->option('kind') === null || $this->option('kind') === $kind->value) {
                    $this->take($music[$seed % count($music)], $kind, $seed);
                }
            }
        }
        match (true) {
            $this->option('write') !== null => null,
            $this->option('heard') !== null => $this->showHeard(),
            default => $this->showPlayed(),
        };

        return self::SUCCESS;
    }

    private function take(WrittenMusic $of, TakeKind $kind, int $seed): void
    {
        $take = InventTake::of($of, $kind, $seed);
        $name = str_replace(' ', '-', $kind->value).'-'.$seed;
        if (is_string($folder = $this->option('write'))) {
            file_put_contents("{$folder}/{$name}.take.json", TakeFile::of($take->taken));

            return;
        }
        $names = [$kind->value, 'all'];
        $source = Source::Keyboard;
        $taken = $take->taken;
        if (is_string($folder = $this->option('heard'))) {
            $json = is_file("{$folder}/{$name}.heard.json") ? (string) file_get_contents("{$folder}/{$name}.heard.json") : throw new \RuntimeException("{$folder} has no {$name}.heard.json");
            /** @var array{voice: string, noise: string} $with */
            $with = json_decode($json, true, 8, JSON_THROW_ON_ERROR);
            $names = [$with['voice'], 'noise '.$with['noise'], ...$names];
            [$source, $taken] = [Source::Microphone, TakeFile::read($json)];
        }
        $began = hrtime(true);
        $heard = Hear::take($of, $taken, $source);
        $this->time += hrtime(true) - $began;
        $this->notes += count($taken);
        foreach ($names as $one) {
            ($this->figures[$one] ??= new TakeFigures())->add($take, $heard);
        }
    }

    private function showPlayed(): void
    {
        $this->line(sprintf('%-16s %6s %6s %7s', '', 'takes', 'clean', 'faults').implode('', array_map(static fn (string $sort): string => sprintf('%9s', $sort), self::SORTS)));
        foreach ($this->ordered() as $name => $figures) {
            $faults = $figures->f1('wrong', 'missed', 'extra');
            $this->line(sprintf('%-16s %6d %6d %7.3f', $name, $figures->takes, $figures->clean, $faults / 1_000).implode('', array_map(static fn (string $sort): string => sprintf('%9.3f', $figures->f1($sort) / 1_000), self::SORTS)));
        }
        $this->line(sprintf('%d notes, %.2f ms a note', $this->notes, $this->time / 1_000_000 / max(1, $this->notes)));
    }

    /** What is told as a fact is measured by how much of it is one, and how much of what happened is told. */
    private function showHeard(): void
    {
        $this->line(sprintf('%-16s %6s %15s %15s %9s %9s %9s', '', 'takes', 'right', 'faults told', 'stall', 'restart', 'apart'));
        $share = static fn (int $part, int $other): string => $part + $other === 0 ? '   –  ' : sprintf('%6.3f', $part / ($part + $other));
        foreach ($this->ordered() as $name => $figures) {
            [$right, $notRight, $rightMissed] = $figures->sum('right');
            [$hits, $false, $missed] = $figures->sum('wrong', 'missed', 'extra');
            $this->line(sprintf('%-16s %6d %8s %6s %8s %6s', $name, $figures->takes, $share($right, $notRight), $share($right, $rightMissed), $share($hits, $false), $share($hits, $missed)).implode('', array_map(static fn (string $sort): string => sprintf('%10.3f', $figures->f1($sort) / 1_000), ['stall', 'restart', 'apart'])));
        }
        $this->line('of what is told as right or as a fault: precision and recall; the others as F1');
    }

    /** @return array<string, TakeFigures> all of them last */
    private function ordered(): array
    {
        $all = array_intersect_key($this->figures, ['all' => true]);

        return array_diff_key($this->figures, $all) + $all;
    }

    /** @return non-empty-list<Piece> the tunes of the demo that are on a staff and long enough to go wrong in */
    private static function pieces(): array
    {
        $pieces = [];
        /** @var list<array{pages: array<int, array<mixed>>}> $books */
        $books = require base_path('database/demo/books.php');
        array_walk_recursive($books, static function (mixed $text) use (&$pieces): void {
            $piece = is_string($text) && str_contains($text, 'R:') ? ShorthandReader::read($text)->piece : null;
            if ($piece !== null && count($piece->measures) >= 8) {
                $pieces[] = $piece;
            }
        });

        return $pieces === [] ? throw new \LogicException('the demo has no tune of eight bars') : $pieces;
    }
}

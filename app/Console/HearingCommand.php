<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Performance\Hearing\Hear;
use Nasturtium\Core\Performance\Hearing\Trial\InventTake;
use Nasturtium\Core\Performance\Hearing\Trial\TakeFigures;
use Nasturtium\Core\Performance\Hearing\Trial\TakeKind;
use Nasturtium\Core\Performance\Hearing\WrittenMusic;
use Nasturtium\Core\Score\Piece;

/** How well takes are heard, measured on invented ones of the demo's tunes (docs/hearing.md). */
final class HearingCommand extends Command
{
    protected $signature = 'nasturtium:hearing {--takes=20 : of each kind} {--from=1 : the first seed; others than were tuned on begin at 100001} {--kind= : one kind alone}';

    protected $description = 'Measure how well invented takes are heard';

    private const SORTS = ['right', 'wrong', 'missed', 'extra', 'skipped', 'stall', 'restart', 'apart', 'early', 'late', 'short', 'long'];

    public function handle(): int
    {
        $takes = max(1, min(2_000, (int) $this->option('takes')));
        $from = max(1, (int) $this->option('from'));
        $music = array_map(WrittenMusic::of(...), self::pieces());
        $all = new TakeFigures();
        $time = 0;
        $notes = 0;
        $this->line(sprintf('%-16s %6s %6s %7s', '', 'takes', 'clean', 'faults').implode('', array_map(static fn (string $sort): string => sprintf('%9s', $sort), self::SORTS)));
        foreach (TakeKind::cases() as $at => $kind) {
            if ($this->option('kind') !== null && $this->option('kind') !== $kind->value) {
                continue;
            }
            $figures = new TakeFigures();
            for ($i = 0; $i < $takes; $i++) {
                $seed = $from + 1_000 * $at + $i;
                $of = $music[$seed % count($music)];
                $take = InventTake::of($of, $kind, $seed);
                $began = hrtime(true);
                $heard = Hear::take($of, $take->taken);
                $time += hrtime(true) - $began;
                $notes += count($take->taken);
                $figures->add($take, $heard);
                $all->add($take, $heard);
            }
            $this->show($kind->value, $figures);
        }
        $this->show('all', $all);
        $this->line(sprintf('%d notes, %.2f ms a note', $notes, $time / 1_000_000 / max(1, $notes)));

        return self::SUCCESS;
    }

    private function show(string $name, TakeFigures $figures): void
    {
        $faults = $figures->f1('wrong', 'missed', 'extra');
        $this->line(sprintf('%-16s %6d %6d %7.3f', $name, $figures->takes, $figures->clean, $faults / 1_000).implode('', array_map(static fn (string $sort): string => sprintf('%9.3f', $figures->f1($sort) / 1_000), self::SORTS)));
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

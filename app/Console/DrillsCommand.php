<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;
use Nasturtium\Core\Drill\Trial\BoxChoosing;
use Nasturtium\Core\Drill\Trial\Learner;
use Nasturtium\Core\Drill\Trial\Note;
use Nasturtium\Core\Drill\Trial\OurChoosing;
use Nasturtium\Core\Drill\Trial\RandomChoosing;
use Nasturtium\Core\Drill\Trial\Trial;
use Nasturtium\Core\Drill\Trial\TrialFigures;

/** How cards are chosen, measured on invented learners against two other ways (docs/practice-room.md). */
final class DrillsCommand extends Command
{
    protected $signature = 'nasturtium:drills {--learners=200} {--from=1 : the first learner; others than were tuned on begin at 1001}';

    protected $description = 'Measure how many answers it takes until twenty notes are secure';

    public function handle(): int
    {
        $learners = max(1, min(2_000, (int) $this->option('learners')));
        $from = max(1, (int) $this->option('from'));
        $notes = Note::twenty();
        $cards = array_map(static fn (Note $note): string => $note->name, $notes);
        $figures = ['ours' => new TrialFigures(), 'random' => new TrialFigures(), 'boxes' => new TrialFigures()];
        for ($seed = $from; $seed < $from + $learners; $seed++) {
            $figures['ours']->add(Trial::run(new Learner($seed), $notes, new OurChoosing($cards, $seed)));
            $figures['random']->add(Trial::run(new Learner($seed), $notes, new RandomChoosing($cards, $seed)));
            $figures['boxes']->add(Trial::run(new Learner($seed), $notes, new BoxChoosing($cards)));
        }
        $this->line("{$learners} learners, answers until twenty notes have become secure");
        $this->line(sprintf('%-8s %8s %8s %10s %10s %10s %12s %12s', '', 'mean', 'median', 'there', 'days', 'right', 'from ten on', 'first of day'));
        foreach ($figures as $name => $of) {
            $this->line(sprintf('%-8s %8.0f %8d %10s %10d %9.1f%% %11.1f%% %11.1f%%', $name, $of->mean(), $of->median(), "{$of->there} of {$learners}", $of->medianDays(), $of->right(), $of->laterRight(), $of->firstRight()));
        }
        foreach (['random', 'boxes'] as $other) {
            $this->line(sprintf('ours takes %.0f %% fewer than %s (median %.0f %% fewer)', 100 - 100 * $figures['ours']->mean() / $figures[$other]->mean(), $other, 100 - 100 * $figures['ours']->median() / $figures[$other]->median()));
        }

        return self::SUCCESS;
    }
}

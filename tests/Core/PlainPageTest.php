<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Book\PageKind;
use Nasturtium\Core\Page\PlainPage;
use Nasturtium\Core\Path\PathStep;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Practice\TaskTimes;

test('a page without typed music has one step with its words and its time', function (PageKind $kind, TaskKind $task, int $halfMinutes, string $name): void {
    $page = PlainPage::of($kind);
    expect([$page->kind, $page->halfMinutes, $page->name])->toBe([$task, $halfMinutes, $name])
        ->and($page->halfMinutes)->toBeGreaterThanOrEqual(TaskTimes::LEAST)
        // It fits where a stage of a path stands, and is the name of none of the trade's.
        ->and(mb_strlen($page->name))->toBeLessThanOrEqual(PathStep::LONGEST_NAME)
        ->and($page->sentence)->toEndWith('.')->and($page->passMark)->not->toEndWith('.');
})->with([
    [PageKind::Theory, TaskKind::Theory, 10, 'do the page'],
    [PageKind::Listening, TaskKind::Theory, 8, 'listen'],
    [PageKind::Duet, TaskKind::Stage, 12, 'your part'],
    [PageKind::Pieces, TaskKind::Stage, 12, 'play the page'],
]);

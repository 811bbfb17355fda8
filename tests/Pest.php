<?php

declare(strict_types=1);

use Illuminate\Foundation\Testing\RefreshDatabase;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Report\Breakdown;
use Nasturtium\Core\Report\ReportDocument;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\Piece;
use Tests\TestCase;

uses(TestCase::class, RefreshDatabase::class)->in('Feature');

/** A small tune, typed in the shorthand; the test fails when it cannot be read whole. */
function tune(string $shorthand): Piece
{
    $read = ShorthandReader::read($shorthand);
    expect($read->errors)->toBe([]);

    return $read->piece ?? throw new LogicException('the tune is empty');
}

/** @return array<string, mixed> the breakdown report of a typed tune */
function broken_down(string $shorthand, ?Settings $settings = null): array
{
    return ReportDocument::of(Breakdown::of(tune($shorthand), $settings ?? new Settings()));
}

/** One bar of one hand of the counting, as text. */
function counted(array $report, int $measure, string $hand = 'R'): ?string
{
    foreach ($report['counting'] as $row) {
        if ($row['measure'] === $measure && $row['hand'] === $hand) {
            return $row['text'];
        }
    }

    return null;
}

/** @return list<mixed> one field of every event of a hand */
function each_event(array $report, string $field, string $hand = 'R'): array
{
    return array_values(array_map(
        static fn (array $event): mixed => $event[$field],
        array_filter($report['events'], static fn (array $event): bool => $event['hand'] === $hand),
    ));
}

/** @return list<string> `place pitches | staff | fingers | move | counts` of a hand */
function worked_out(array $report, string $hand): array
{
    $rows = [];
    foreach ($report['events'] as $event) {
        if ($event['hand'] === $hand) {
            $rows[] = implode(' | ', [
                $event['place'].' '.(implode('+', $event['pitches']) ?: 'rest'),
                implode('+', $event['staff']) ?: '-',
                implode('+', $event['fingers']) ?: '-',
                $event['move'] ?? '-',
                implode(' ', $event['counts']),
            ]);
        }
    }

    return $rows;
}

/** @return array<string, mixed> the report of a tune of the demo books */
function demo_report(string $title, ?Settings $settings = null): array
{
    foreach (require __DIR__.'/../database/demo/books.php' as $book) {
        foreach ($book['pages'] as [, , $tunes]) {
            foreach ($tunes as $tune) {
                if (str_contains($tune, "title: {$title}\n")) {
                    return broken_down($tune, $settings);
                }
            }
        }
    }
    throw new LogicException("there is no tune '{$title}'");
}

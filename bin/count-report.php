<?php

declare(strict_types=1);

/*
 * Counts a test report: `php bin/count-report.php FILE` prints how many passed and how many failed.
 * Reads JUnit XML (Pest), and the JSON of Vitest and of Playwright. No report, or one without a test, is one failure.
 */

$file = $argv[1] ?? '';
$text = is_file($file) ? (string) file_get_contents($file) : '';
[$passed, $failed] = str_ends_with($file, '.xml') ? junit($text) : json($text);
echo $passed + $failed === 0 ? '0 1' : "{$passed} {$failed}";

/** @return array{int, int} */
function junit(string $text): array
{
    $suite = $text === '' ? null : simplexml_load_string($text)?->testsuite;
    $failed = (int) ($suite['errors'] ?? 0) + (int) ($suite['failures'] ?? 0);

    return [(int) ($suite['tests'] ?? 0) - $failed - (int) ($suite['skipped'] ?? 0), $failed];
}

/** @return array{int, int} */
function json(string $text): array
{
    $report = json_decode($text, true);
    if (isset($report['numPassedTests'])) {
        return [$report['numPassedTests'], $report['numFailedTests']];
    }
    $stats = $report['stats'] ?? [];

    return [($stats['expected'] ?? 0) + ($stats['flaky'] ?? 0), $stats['unexpected'] ?? 0];
}

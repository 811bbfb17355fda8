<?php

declare(strict_types=1);

use Symfony\Component\Finder\Finder;

/*
 * What is said no more stands in docs/words.md: a phrase is in no text of the product, a label (in backquotes) not in the file where it stood.
 */

/** @return list<array{string, string}> what was said once, and where */
function said_once(): array
{
    preg_match_all('/^\| (?!said once|---)(.+?) \| (.+?) \| .+ \|$/m', (string) file_get_contents(dirname(__DIR__, 2).'/docs/words.md'), $rows, PREG_SET_ORDER);

    return array_map(static fn (array $row): array => [$row[1], $row[2]], $rows);
}

/** The text of a file without its comments, which nobody reads on a screen. */
function spoken(string $text): string
{
    return (string) preg_replace(['~/\*.*?\*/~s', '~^\s*//.*$~m'], '', $text);
}

test('a phrase that is said no more stands in no text', function (): void {
    $root = dirname(__DIR__, 2);
    $phrases = array_values(array_filter(array_column(said_once(), 0), static fn (string $said): bool => ! str_starts_with($said, '`') && str_word_count($said) >= 3));
    expect(count($phrases))->toBeGreaterThan(12);
    foreach (Finder::create()->files()->in(["{$root}/core", "{$root}/app", "{$root}/resources"])->name(['*.php', '*.ts', '*.tsx'])->notName(['*.test.ts', '*.test.tsx']) as $file) {
        $text = spoken($file->getContents());
        foreach ($phrases as $phrase) {
            expect(stripos($text, $phrase))->toBeFalse("{$file->getRelativePathname()} says: {$phrase}");
        }
    }
});

test('a label that is another now is not in the place where it stood', function (): void {
    $labels = array_values(array_filter(said_once(), static fn (array $row): bool => str_starts_with($row[0], '`')));
    expect(count($labels))->toBeGreaterThan(8);
    foreach ($labels as [$label, $place]) {
        $text = spoken((string) file_get_contents(dirname(__DIR__, 2).'/'.trim($place, '`')));
        $as = preg_quote(trim($label, '`'), '/');
        expect($text)->not->toBe('')->and($text)->not->toMatch("/(>\\s*|'|\"){$as}(\\s*<|'|\")/u", "{$place} says: {$label}");
    }
});

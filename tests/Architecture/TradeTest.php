<?php

declare(strict_types=1);

use Symfony\Component\Finder\Finder;

/*
 * Rules of the trade are referred to by their number in docs/trade.md, and each number is there.
 */

/** @return list<string> numbers such as 4.3, in the order they stand there */
function trade_rules(): array
{
    preg_match_all('/^(\d+\.\d+) /m', (string) file_get_contents(dirname(__DIR__, 2).'/docs/trade.md'), $found);

    return $found[1];
}

/** @return array<string, list<string>> the numbers that a file refers to, by its name */
function trade_references(): array
{
    $root = dirname(__DIR__, 2);
    $references = [];
    foreach (Finder::create()->files()->in(["{$root}/core", "{$root}/app", "{$root}/resources/js", "{$root}/tests", "{$root}/docs"])->name(['*.php', '*.ts', '*.tsx', '*.md'])->notPath(['trade.md', 'TradeTest.php']) as $file) {
        preg_match_all('/\btrade ((?:\d+(?:\.\d+)?(?:, | and )?)+)/', $file->getContents(), $found);
        foreach ($found[1] as $list) {
            preg_match_all('/\d+(?:\.\d+)?/', $list, $numbers);
            $references[$file->getPathname()] = [...$references[$file->getPathname()] ?? [], ...$numbers[0]];
        }
    }

    return $references;
}

test('every reference to a rule of the trade is a rule of docs/trade.md', function (): void {
    $rules = trade_rules();
    $references = trade_references();
    expect(count($references))->toBeGreaterThan(60);
    foreach ($references as $file => $numbers) {
        expect(array_values(array_diff($numbers, $rules)))->toBe([], "{$file} refers to what docs/trade.md does not have");
    }
});

test('the rules of the trade are numbered without a gap, and every chapter but the first is used', function (): void {
    $last = [0, 0];
    foreach (trade_rules() as $rule) {
        [$chapter, $number] = array_map(intval(...), explode('.', $rule));
        expect([$chapter, $number])->toBeIn([[$last[0], $last[1] + 1], [$last[0] + 1, 1]]);
        $last = [$chapter, $number];
    }
    $used = array_unique(array_map(static fn (string $rule): int => (int) $rule, array_merge(...array_values(trade_references()))));
    sort($used);
    expect($used)->toBe(range(2, $last[0]));
});

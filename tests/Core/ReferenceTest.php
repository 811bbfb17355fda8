<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;

/*
 * The reference of docs/shorthand.md, held against the reader.
 */

test('each example of the reference can be read, and printed again', function (): void {
    preg_match_all('/^```\n(.*?)^```/ms', (string) file_get_contents(__DIR__.'/../../docs/shorthand.md'), $found);
    expect($found[1])->not->toBe([]);
    foreach ($found[1] as $example) {
        $read = ShorthandReader::read($example);
        expect($read->errors)->toBe([], $example)
            ->and(ShorthandWriter::write($read->piece ?? throw new LogicException($example))->unsaid)->toBe([]);
    }
});

test('each token of the reference means something', function (): void {
    preg_match_all('/^\| (`.*?) \| /m', (string) file_get_contents(__DIR__.'/../../docs/shorthand.md'), $rows);
    $tokens = [];
    foreach ($rows[1] as $row) {
        preg_match_all('/(?<!`)(`{1,2}) ?(.+?) ?\1(?!`)/', str_replace('\|', '|', $row), $found);
        array_push($tokens, ...$found[2]);
    }
    expect(count($tokens))->toBeGreaterThan(40);
    foreach ($tokens as $token) {
        // Each in a bar of its own, after what it needs.
        $before = match ($token) {
            '.' => '< 1 ',
            '[loco]' => '[8va] 1 ',
            default => '',
        };
        $after = ['3~' => ' 3', '(1~3)' => ' 1'][$token] ?? '';
        $read = ShorthandReader::read("R: @c4 w1 w1 w1 w1 q {$before}{$token}{$after} q1 2 3\n");
        expect(array_column($read->errors, 'text'))->toBe([], $token);
    }
});

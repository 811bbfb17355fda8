<?php

declare(strict_types=1);

use App\Console\SchemaCommand;

test('docs/breakdown.md has the fields as they are', function (): void {
    $page = (string) file_get_contents(dirname(__DIR__, 2).'/docs/breakdown.md');
    expect(SchemaCommand::written($page))->toBe($page, 'php artisan nasturtium:schema --docs writes them');
});

test('files that the docs name are there', function (): void {
    $root = dirname(__DIR__, 2);
    $named = 0;
    foreach ([...glob("{$root}/docs/*.md") ?: [], "{$root}/README.md"] as $page) {
        preg_match_all('~`((?:core|app|resources|bin|tests|database|config)/[\w/.-]*)`~', (string) file_get_contents($page), $found);
        foreach ($found[1] as $path) {
            $named++;
            expect(file_exists("{$root}/{$path}"))->toBeTrue(basename($page)." names {$path}");
        }
    }
    expect($named)->toBeGreaterThan(25);
});

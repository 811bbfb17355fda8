<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Refusal;
use Symfony\Component\Finder\Finder;

arch('the core knows nothing of the framework, the application or the clock')
    ->expect('Nasturtium\Core')
    ->not->toUse(['Illuminate', 'App', 'Carbon', 'now', 'time', 'date', 'env', 'config', 'microtime']);

arch('classes of the core are final')
    ->expect('Nasturtium\Core')
    ->classes()->toBeFinal()
    ->ignoring([Refusal::class, BadInput::class]);

test('what is refused is said by a named maker, and nowhere else', function (): void {
    $root = dirname(__DIR__, 2);
    $makers = 0;
    foreach (Finder::create()->files()->in(["{$root}/core", "{$root}/app"])->name('*.php') as $file) {
        $makers += preg_match('/extends (Refusal|BadInput)\b/', $file->getContents());
        expect($file->getContents())->not->toMatch('/new (Invalid|Bad)[A-Z]\w*\(/', $file->getRelativePathname());
    }
    expect($makers)->toBeGreaterThan(14);
});

arch('everything is strictly typed')
    ->expect(['Nasturtium\Core', 'App'])
    ->toUseStrictTypes();

arch('nothing is left over from looking')
    ->expect(['dd', 'dump', 'var_dump', 'ray', 'print_r'])
    ->not->toBeUsed();

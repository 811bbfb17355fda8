<?php

declare(strict_types=1);

use Tests\SayableTunes;

/** @return array<string, string> every tune of the demo books, by its title */
function demo_tunes(): array
{
    $tunes = [];
    foreach (require __DIR__.'/../../database/demo/books.php' as $book) {
        foreach ($book['pages'] as [, , $pieces]) {
            foreach ($pieces as $tune) {
                $tunes[(string) strtok(substr($tune, 7), "\n")] = $tune;
            }
        }
    }

    return $tunes;
}

dataset('sayable', fn (): array => array_map(fn (string $tune): array => [$tune], SayableTunes::all()));

dataset('demo tunes', fn (): array => array_map(fn (string $tune): array => [$tune], demo_tunes()));

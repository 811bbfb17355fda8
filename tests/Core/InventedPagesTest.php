<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\PageChecks;
use Tests\Photo\InventedPage;

/*
 * The pages that reading is measured by are pages as books have them.
 */

test('every bar of an invented page is full', function (string $kind): void {
    for ($seed = 90001; $seed <= 90012; $seed++) {
        $piece = ShorthandReader::read(InventedPage::$kind($seed))->piece;
        expect($piece)->not->toBeNull();
        $wrong = $piece === null ? [] : array_filter(PageChecks::of($piece), static fn (Check $check): bool => str_starts_with($check->code, 'bar_'));
        expect(array_map(static fn (Check $check): string => "{$seed}: {$check->code}", array_values($wrong)))->toBe([]);
    }
})->with(['of', 'marked', 'voiced', 'bowed', 'busy', 'changing', 'common']);

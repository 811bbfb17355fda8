<?php

declare(strict_types=1);

use Tests\Golden;

test('what is written, read, played and reported is what it was when it was looked at', function (): void {
    $kept = json_decode((string) file_get_contents(Golden::FILE), true, flags: JSON_THROW_ON_ERROR);
    expect(count($kept))->toBeGreaterThan(250);
    $changed = array_keys(array_diff_assoc(Golden::digests(), $kept));
    expect($changed)->toBe([], 'php tests/renew-golden.php keeps them as they are now');
});

<?php

declare(strict_types=1);

use App\Console\SchemaCommand;

test('docs/breakdown.md has the fields as they are', function (): void {
    $page = (string) file_get_contents(dirname(__DIR__, 2).'/docs/breakdown.md');
    expect(SchemaCommand::written($page))->toBe($page, 'php artisan nasturtium:schema --docs writes them');
});

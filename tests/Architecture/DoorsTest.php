<?php

declare(strict_types=1);

/*
 * Each of the doors gives out every file that ships in public/; whatever it does not know it asks of the application, which has a page and no file.
 */

test('what ships in public is given out by each door', function (string $settings): void {
    $of = dirname(__DIR__, 2);
    preg_match_all('#location (=|~|\^~) (\S+) \{#', (string) file_get_contents("{$of}/{$settings}"), $locations, PREG_SET_ORDER);
    $isGiven = static function (string $address) use ($locations): bool {
        foreach ($locations as [, $how, $what]) {
            if ($how === '~' ? preg_match('#'.strtr($what, ['#' => '\#']).'#', $address) === 1 : ($how === '=' ? $address === $what : str_starts_with($address, $what))) {
                return true;
            }
        }

        return false;
    };
    $files = array_filter(iterator_to_array(new RecursiveIteratorIterator(new RecursiveDirectoryIterator("{$of}/public", FilesystemIterator::SKIP_DOTS))), static fn (SplFileInfo $file): bool => ! str_contains((string) $file, '/public/build/') && $file->getExtension() !== 'php');
    expect($files)->not->toBeEmpty();
    foreach ($files as $file) {
        expect($isGiven(substr((string) $file, strlen("{$of}/public"))))->toBeTrue("{$settings} does not give out {$file}");
    }
})->with(['deploy/nginx.conf', 'deploy/cluster/nginx.conf']);

<?php

declare(strict_types=1);

use Illuminate\Database\Eloquent\Model;
use Symfony\Component\Finder\Finder;

/*
 * What a folder stands on does not stand on it: no circle between the folders of the core, the chapters of the
 * application, or the rooms of the front end. Rows alone know one another both ways, as their tables do, so a
 * chapter's models are left out.
 */

/**
 * @param  array<string, array<string, true>>  $knows  folder => the folders that it uses
 * @return list<string> the folders that stand in a circle, or lean on one
 */
function in_a_circle(array $knows): array
{
    do {
        $before = count($knows);
        $knows = array_filter($knows, static fn (array $others): bool => array_intersect_key($others, $knows) !== []);
    } while (count($knows) < $before);
    ksort($knows);

    return array_keys($knows);
}

/**
 * @param  non-empty-string  $pattern  its first group is what a file uses
 * @param  callable(string, string): ?array{string, string}  $folders  of a file and of what it uses, or null where that does not count
 * @return array<string, array<string, true>>
 */
function folders_known(string $root, string $names, string $pattern, callable $folders): array
{
    $knows = [];
    foreach (Finder::create()->files()->in(dirname(__DIR__, 2)."/{$root}")->name($names) as $file) {
        preg_match_all($pattern, $file->getContents(), $found);
        foreach ($found[1] as $used) {
            [$from, $to] = $folders($file->getRelativePathname(), $used) ?? ['', ''];
            if ($from !== $to) {
                $knows[$from][$to] = true;
            }
        }
    }

    return $knows;
}

test('a circle is found, and what only leads to it is told with it', function (): void {
    expect(in_a_circle(['a' => ['b' => true], 'b' => ['c' => true], 'c' => ['b' => true], 'd' => ['e' => true]]))->toBe(['a', 'b', 'c'])
        ->and(in_a_circle(['a' => ['b' => true, 'c' => true], 'b' => ['c' => true]]))->toBe([]);
});

test('no circle between the folders of the core', function (): void {
    $knows = folders_known('core', '*.php', '/^use Nasturtium\\\\Core\\\\([\w\\\\]+);/m', static fn (string $file, string $class): array => [dirname($file), dirname(strtr($class, '\\', '/'))]);
    expect(count($knows))->toBeGreaterThan(12)->and(in_a_circle($knows))->toBe([]);
});

test('no circle between the chapters of the application', function (): void {
    $isRow = static fn (string $class): bool => is_subclass_of($class, Model::class);
    $knows = folders_known('app', '*.php', '/^use App\\\\([\w\\\\]+);/m', static function (string $file, string $class) use ($isRow): ?array {
        return $isRow("App\\{$class}") || $isRow('App\\'.strtr(substr($file, 0, -4), '/', '\\')) ? null : [explode('/', $file)[0], explode('\\', $class)[0]];
    });
    expect(count($knows))->toBeGreaterThan(9)->and(in_a_circle($knows))->toBe([]);
});

test('no circle between the rooms of the front end', function (): void {
    $knows = folders_known('resources/js', '/(?<!\.test)\.tsx?$/', "/(?:from |import\\()'(\\.[^']+)'/", static function (string $file, string $path): array {
        $parts = [];
        foreach (explode('/', dirname($file)."/{$path}") as $part) {
            $part === '..' ? array_pop($parts) : ($part === '.' ? null : $parts[] = $part);
        }

        return [dirname($file), is_dir(dirname(__DIR__, 2).'/resources/js/'.implode('/', $parts)) ? implode('/', $parts) : (implode('/', array_slice($parts, 0, -1)) ?: '.')];
    });
    expect(count($knows))->toBeGreaterThan(12)->and(in_a_circle($knows))->toBe([]);
});

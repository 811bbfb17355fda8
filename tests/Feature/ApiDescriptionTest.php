<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;
use OpenApi\Generator;
use Tests\Fixtures;

/** @return array<string, mixed> */
function description(): array
{
    return json_decode(Generator::scan([app_path('Http')])->toJson(), true, flags: JSON_THROW_ON_ERROR);
}

test('every route is described, and nothing else', function (): void {
    $described = [];
    foreach (description()['paths'] as $path => $verbs) {
        foreach (array_keys($verbs) as $verb) {
            $described[] = strtoupper($verb).' '.$path;
        }
    }
    $routes = [];
    foreach (Route::getRoutes()->getRoutes() as $route) {
        if (str_starts_with($route->uri(), 'api/') && ! str_contains($route->uri(), '{anything}')) {
            $routes[] = $route->methods()[0].' /'.$route->uri();
        }
    }
    sort($described);
    sort($routes);
    expect($described)->toBe($routes);
});

/** The fields of a schema that an answer lacks, or has too many; followed into what it holds. */
function differences(array $schemas, array $schema, mixed $answer, string $at): array
{
    $schema = isset($schema['oneOf']) ? $schema['oneOf'][0] : $schema;
    if (isset($schema['$ref'])) {
        $schema = $schemas[basename($schema['$ref'])];
    }
    if ($answer === null) {
        return [];
    }
    if (($schema['type'] ?? '') === 'array') {
        $found = [];
        foreach (array_slice($answer, 0, 3) as $i => $item) {
            $found = [...$found, ...differences($schemas, $schema['items'], $item, "{$at}[{$i}]")];
        }

        return $found;
    }
    if (! isset($schema['properties'])) {
        $is = get_debug_type($answer);
        $fits = match ($schema['type'] ?? '') {
            'string' => $is === 'string',
            'integer' => $is === 'int',
            'number' => $is === 'int' || $is === 'float',
            'boolean' => $is === 'bool',
            default => true,
        };

        return $fits ? [] : ["{$at} is {$is}"];
    }
    $found = array_map(fn (string $name): string => "{$at}.{$name}", [
        ...array_diff(array_keys($schema['properties']), array_keys($answer)),
        ...array_diff(array_keys($answer), array_keys($schema['properties'])),
    ]);
    foreach ($schema['properties'] as $name => $property) {
        $found = [...$found, ...differences($schemas, $property, $answer[$name] ?? null, "{$at}.{$name}")];
    }

    return $found;
}

test('answers have the fields and types of their schemas', function (string $path, string $schema): void {
    $own = new Fixtures();
    $uri = strtr($path, [
        '{student}' => $own->student->id,
        '{piece}' => $own->piece->id,
        '{week}' => $own->week->id,
        '{lesson}' => $own->lesson->id,
        '{task}' => $own->task('Tap and count')->id,
    ]);
    $headers = str_starts_with($path, '/api/home') ? ['Authorization' => "Bearer {$own->token}"] : [];
    $this->travelTo('2031-04-29 12:00:00');
    $answer = $this->actingAs($own->teacher, 'web')->getJson($uri, $headers)->assertOk()->json();
    $schemas = description()['components']['schemas'];
    $items = array_is_list($answer) ? $answer : [$answer];
    expect($items)->not->toBe([]);
    foreach ($items as $item) {
        expect(differences($schemas, $schemas[$schema], $item, $schema))->toBe([]);
    }
})->with([
    ['/api/session', 'SessionResource'],
    ['/api/this-week', 'ThisWeekResource'],
    ['/api/students', 'StudentResource'],
    ['/api/students/{student}', 'StudentDetailResource'],
    ['/api/books', 'BookResource'],
    ['/api/pieces/{piece}', 'PieceResource'],
    ['/api/pieces/{piece}/breakdown', 'BreakdownResource'],
    ['/api/pieces/{piece}/shorthand', 'PrintedResource'],
    ['/api/pieces/{piece}/draft', 'DraftResource'],
    ['/api/pieces/{piece}/playback', 'PlaybackResource'],
    ['/api/weeks/{week}', 'WeekResource'],
    ['/api/lessons/{lesson}', 'LessonResource'],
    ['/api/home/week', 'HomeWeekResource'],
    ['/api/home/tasks/{task}', 'HomeMusicResource'],
]);

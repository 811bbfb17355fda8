<?php

declare(strict_types=1);

use App\Account\Paper;
use App\Account\StudioRequest;
use App\Api\BodySchema;
use App\Api\Description;
use App\Http\Asked;
use App\Page\Entry\ReadingRequest;
use App\Student\Paths\PathRequest;
use Illuminate\Support\Facades\Route;
use Nasturtium\Core\Path\PassMark;
use Nasturtium\Core\Score\Hand;
use Tests\Fixtures;

/** @return array<string, mixed> */
function description(): array
{
    return app(Description::class)->make();
}

test('every route is described, and nothing else', function (): void {
    $described = [];
    foreach (description()['paths'] as $path => $verbs) {
        foreach (array_keys($verbs) as $verb) {
            $described[] = strtoupper($verb).' /api'.$path;
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

test('every route that is given a request says what it asks for', function (): void {
    $paths = description()['paths'];
    $asking = 0;
    foreach (Route::getRoutes()->getRoutes() as $route) {
        $action = $route->getAction('uses');
        $path = substr($route->uri(), strlen('api'));
        if (! is_string($action) || ! isset($paths[$path])) {
            continue;
        }
        $operation = $paths[$path][strtolower($route->methods()[0])];
        foreach ((new ReflectionMethod(...explode('@', $action)))->getParameters() as $parameter) {
            if (is_subclass_of((string) $parameter->getType(), Asked::class)) {
                $asking++;
                expect($operation['requestBody'] ?? array_filter($operation['parameters'], static fn (array $one): bool => $one['in'] === 'query'))->not->toBeEmpty($route->uri());
            }
        }
    }
    expect($asking)->toBeGreaterThan(50);
});

test('what is asked follows from the rules of the request', function (): void {
    $path = BodySchema::of(PathRequest::class);
    expect($path['required'])->toBe(['name', 'steps']);
    $step = $path['properties']['steps']['items'];
    expect($step['properties']['usually'])->toBe(['type' => PassMark::class])
        ->and($step['properties']['hand'])->toBe(['type' => [Hand::class, 'null']])
        ->and($step['required'])->toContain('chunks', 'petal');
    $studio = BodySchema::of(StudioRequest::class);
    expect($studio['properties']['phrases'])->toBe(['type' => 'object', 'additionalProperties' => ['type' => ['string', 'null']]])
        ->and($studio['properties']['paper'])->toBe(['type' => Paper::class])
        ->and($studio['required'])->not->toContain('keepMails');
    expect(BodySchema::hasFile(ReadingRequest::class))->toBeTrue()->and(BodySchema::hasFile(PathRequest::class))->toBeFalse()
        ->and(description()['paths']['/readings']['post']['requestBody']['content'])->toHaveKey('multipart/form-data');
});

/** The fields of a schema that an answer lacks, or has too many; followed into what it holds. */
function differences(array $schemas, array $schema, mixed $answer, string $at): array
{
    $schema = $schema['oneOf'][0] ?? $schema['anyOf'][0] ?? $schema;
    if (isset($schema['$ref'])) {
        $schema = $schemas[basename($schema['$ref'])];
    }
    if ($answer === null) {
        return [];
    }
    $type = ((array) ($schema['type'] ?? ''))[0];
    if ($type === 'array') {
        $found = [];
        foreach (array_slice($answer, 0, 3) as $i => $item) {
            $found = [...$found, ...differences($schemas, $schema['items'], $item, "{$at}[{$i}]")];
        }

        return $found;
    }
    if (! isset($schema['properties'])) {
        $is = get_debug_type($answer);
        $fits = match ($type) {
            'string' => $is === 'string',
            'integer' => $is === 'int',
            'number' => $is === 'int' || $is === 'float',
            'boolean' => $is === 'bool',
            default => true,
        };

        return $fits && in_array($answer, $schema['enum'] ?? [$answer], true) ? [] : ["{$at} is {$is} ".json_encode($answer)];
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

test('sets that are chosen from are served with their words, each once', function (): void {
    $sets = description()['x-choices'];
    expect($sets['School'][0])->toBe(['value' => 'landmark', 'label' => 'From landmarks'])
        ->and($sets['LandmarkLevel'])->toBe([['value' => 1, 'label' => 'C4 G4 F3'], ['value' => 2, 'label' => 'and C5 C3'], ['value' => 3, 'label' => 'and F5 G2 C6 C2']])
        ->and(array_column(array_filter($sets['CountingSystem'], static fn (array $one): bool => $one['isByBeat']), 'value'))->toBe(['numbers', 'du-de']);
    foreach ($sets as $name => $set) {
        expect(array_unique(array_column($set, 'label')))->toHaveCount(count($set), $name);
    }
});

<?php

declare(strict_types=1);

use Illuminate\Routing\Route as RoutingRoute;
use Illuminate\Support\Facades\Route;
use Tests\Fixtures;

/** Whoever is not signed in may do this, and no more. */
const OPEN_TO_ALL = ['POST api/session', 'GET api/welcome', 'POST api/studios', 'POST api/password-resets', 'PUT api/password-resets', 'POST api/invitations/opened', 'POST api/invitations'];

/** @return list<RoutingRoute> every route of the API but the sign-in and the last resort */
function api_routes(): array
{
    return array_values(array_filter(
        Route::getRoutes()->getRoutes(),
        fn (RoutingRoute $route): bool => str_starts_with($route->uri(), 'api/') && ! str_contains($route->uri(), '{anything}')
            && ! in_array($route->methods()[0].' '.$route->uri(), OPEN_TO_ALL, true),
    ));
}

test('every route of the API names its policy', function (): void {
    foreach (api_routes() as $route) {
        $policies = array_filter($route->gatherMiddleware(), fn ($middleware): bool => is_string($middleware) && str_starts_with($middleware, 'can:'));
        expect($policies)->not->toBe([], implode('|', $route->methods()).' '.$route->uri());
    }
    expect(count(api_routes()))->toBeGreaterThan(40);
});

test('each route opens to its own teacher or family, and to nobody else', function (string $side): void {
    $own = new Fixtures('north');
    $other = new Fixtures('south');
    foreach (api_routes() as $route) {
        $opens = match (true) {
            str_starts_with($route->uri(), 'api/home') => 'home',
            str_starts_with($route->uri(), 'api/camera') => 'camera',
            default => 'teacher',
        };
        if ($opens !== $side) {
            continue;
        }
        $method = $route->methods()[0];
        $uri = $own->at($route->uri());
        $at = "{$method} {$uri}";
        $row = str_contains($route->uri(), '{') && ! str_contains($route->uri(), 'account/');
        $family = fn (Fixtures $of): array => ['Authorization' => "Bearer {$of->token}"];
        $ask = function (?Fixtures $teacher, array $headers = []) use ($method, $uri): int {
            app('auth')->forgetGuards();
            $request = $teacher === null ? $this : $this->actingAs($teacher->teacher, 'web');
            DB::beginTransaction();
            $status = $request->json($method, $uri, [], $headers)->baseResponse->getStatusCode();
            DB::rollBack();
            app('auth')->forgetGuards();

            return $status;
        };
        expect($ask(null))->toBe(401, "{$at} as nobody");
        $camera = ['Authorization' => "Bearer {$own->cameraToken}"];
        if ($side === 'camera') {
            expect($ask(null, $camera))->toBeIn([200, 422], "{$at} as the phone")
                ->and($ask(null, $family($own)))->toBe(401, "{$at} as the family")
                ->and($ask($own))->toBe(401, "{$at} as the teacher");

            continue;
        }
        expect($ask(null, $camera))->toBe(401, "{$at} as a phone that may send a picture");
        if ($side === 'home') {
            expect($ask(null, $family($own)))->toBeIn([200, 204, 422], "{$at} as the family")
                ->and($ask(null, $family($other)))->toBeIn($row ? [404] : [200, 422], "{$at} as another family")
                ->and($ask($own))->toBe(401, "{$at} as the teacher");
        } else {
            expect($ask($own))->toBeIn([200, 204, 422], "{$at} as its teacher")
                ->and($ask($other))->toBeIn($row ? [404] : [200, 204, 422], "{$at} as another teacher")
                ->and($ask(null, $family($own)))->toBe(401, "{$at} as the family");
        }
    }
})->with(['teacher', 'home', 'camera']);

test('lists and references stay within the studio', function (): void {
    $own = new Fixtures('north');
    $other = new Fixtures('south');
    $this->actingAs($own->teacher);
    foreach (['students', 'books', 'this-week'] as $list) {
        expect($this->getJson("/api/{$list}")->json())->toHaveCount(1);
    }
    $this->postJson("/api/students/{$own->student->id}/learnings", ['pieceId' => $other->piece->id])->assertUnprocessable();
    $this->postJson("/api/lessons/{$own->lesson->id}/slips", ['taskId' => $other->task('Tap and count')->id, 'kind' => 'dynamics', 'measure' => 0, 'hand' => null])->assertUnprocessable();
    $this->getJson("/api/pieces/{$own->piece->id}/breakdown?student={$other->student->id}")->assertNotFound();
    $this->putJson("/api/lessons/{$own->lesson->id}/marks/{$other->task('Tap and count')->id}", ['mark' => 'pass'])->assertNotFound();
});

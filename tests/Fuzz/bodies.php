<?php

declare(strict_types=1);

/*
 * Every route that takes a body is sent bodies that are changed by chance, at least 60 each; whatever comes, the answer
 * is no failure of the server, and costs no more than it may. Each is taken back, so that the next finds all as it was.
 *   php tests/Fuzz/bodies.php BODIES-A-ROUTE SEED       on the database of the environment, which is made anew
 */

use App\Account\User;
use Illuminate\Contracts\Console\Kernel as Console;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route as Routes;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Fixtures;
use Tests\Fuzz\Bodies;
use Tests\Fuzz\Work;

require __DIR__.'/../../vendor/autoload.php';
ini_set('memory_limit', '512M');
foreach (['APP_ENV' => 'testing', 'APP_KEY' => 'base64:bmFzdHVydGl1bS10ZXN0cy1vbmx5LWtleS0zMmJ5dGU=', 'ERASURES_FILE' => '.run/erasures-of-tests', 'CACHE_STORE' => 'array', 'SESSION_DRIVER' => 'array', 'BCRYPT_ROUNDS' => '4', 'LOG_CHANNEL' => 'null', 'APP_DEBUG' => 'false'] as $name => $value) {
    putenv("{$name}={$value}");
    $_ENV[$name] = $_SERVER[$name] = $value;
}

const MOST_SECONDS = 2.0;
/** It reads no body, and makes a whole studio each time. */
const LEFT_OUT = ['api/account/demo'];
/** The framework and its tests are resident here as well. */
const MOST_MEGABYTES = 128.0;

[, $each, $seed] = [...$argv, '60', '1'];
$chance = new Randomizer(new Mt19937((int) $seed));

$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Console::class)->bootstrap();
// What fails here is no answer of a route: the framework would print it and call it well done.
set_exception_handler(static function (Throwable $failure): never {
    fwrite(STDERR, "{$failure}\n");
    exit(1);
});
$app->make(Console::class)->call('migrate:fresh', ['--force' => true]);
$kernel = $app->make(Kernel::class);
$own = new Fixtures();

/** The rules of what a route takes, where it says them. */
$rules = static function (Route $route) use ($app, $own): array {
    foreach ((new ReflectionMethod($route->getControllerClass() ?? '', $route->getActionMethod()))->getParameters() as $parameter) {
        $type = $parameter->getType();
        $class = $type instanceof ReflectionNamedType ? $type->getName() : '';
        if (is_subclass_of($class, FormRequest::class)) {
            $request = $class::create($own->at($route->uri()), $route->methods()[0]);
            $app['router']->substituteImplicitBindings($app['router']->substituteBindings($route->bind($request)));
            $request->setContainer($app)->setRouteResolver(static fn (): Route => $route);

            return method_exists($request, 'rules') ? $request->rules() : [];
        }
    }

    return [];
};

$figures = ['routes' => 0, 'bodies' => 0, 'taken' => 0, 'worst seconds' => 0.0, 'worst megabytes' => 0.0];
$broken = [];
$base = null;
foreach (Routes::getRoutes()->getRoutes() as $route) {
    $method = $route->methods()[0];
    if (! str_starts_with($route->uri(), 'api/') || str_contains($route->uri(), '{anything}') || in_array($route->uri(), LEFT_OUT, true) || ! in_array($method, ['POST', 'PUT', 'PATCH', 'DELETE', 'GET'], true)) {
        continue;
    }
    $fields = $rules($route);
    if ($fields === [] && in_array($method, ['GET', 'DELETE'], true)) {
        continue;
    }
    $figures['routes']++;
    $bodies = new Bodies($fields, $own, $chance);
    for ($nth = 0; $nth < (int) $each; $nth++) {
        $uri = $own->at($route->uri());
        $files = [];
        $body = $bodies->next();
        if (isset($fields['file']) && $chance->getInt(0, 3) > 0) {
            $path = (string) tempnam(sys_get_temp_dir(), 'fuzz');
            file_put_contents($path, $bodies->bytes());
            $files = ['file' => new UploadedFile($path, 'f.musicxml', test: true)];
        }
        $json = $chance->getInt(0, 19) === 0 ? $bodies->broken() : (string) json_encode($body, JSON_PRESERVE_ZERO_FRACTION | JSON_PARTIAL_OUTPUT_ON_ERROR);
        $asked = match (true) {
            $method === 'GET' => Request::create($uri.'?'.http_build_query(is_array($body) ? $body : ['x' => $body])),
            $files !== [] => Request::create($uri, $method, array_filter(is_array($body) ? $body : [], static fn (mixed $one, string|int $key): bool => $key !== 'file', ARRAY_FILTER_USE_BOTH), files: $files),
            default => Request::create($uri, $method, server: ['CONTENT_TYPE' => 'application/json'], content: $json),
        };
        $asked->headers->set('Accept', 'application/json');
        $isHome = str_starts_with($route->uri(), 'api/home');
        if ($isHome) {
            $asked->headers->set('Authorization', "Bearer {$own->token}");
        }
        Cache::flush();
        $app['auth']->forgetGuards();
        if (! $isHome && $route->uri() !== 'api/session') {
            $app['auth']->guard('web')->setUser(User::query()->findOrFail($own->teacher->id));
        }
        DB::beginTransaction();
        $level = DB::transactionLevel();
        $response = null;
        $work = Work::of(static function () use ($kernel, $asked, &$response): void {
            $response = $kernel->handle($asked);
        });
        while (DB::transactionLevel() >= $level) {
            DB::rollBack();
        }
        // What thousands of requests have left in this one process is no cost of the next, which is served by a fresh one.
        $base ??= $work->before;
        $megabytes = $work->megabytes - max(0.0, $work->before - $base);
        $figures['bodies']++;
        $status = $response?->getStatusCode() ?? 599;
        $figures['taken'] += $status < 300 ? 1 : 0;
        $figures['worst seconds'] = max($figures['worst seconds'], round($work->seconds, 2));
        $figures['worst megabytes'] = max($figures['worst megabytes'], round($megabytes, 1));
        if ($status >= 500 || $work->seconds > MOST_SECONDS || $megabytes > MOST_MEGABYTES) {
            $reason = $response->exception ?? null;
            $broken[] = "{$method} {$uri}: {$status}, ".round($work->seconds, 2).' s, '.round($megabytes).' MB, '.($reason instanceof Throwable ? get_class($reason).': '.mb_substr($reason->getMessage(), 0, 300).' at '.$reason->getFile().':'.$reason->getLine() : '').' '.mb_substr($json, 0, 400);
        }
        foreach ($files as $file) {
            @unlink($file->getPathname());
        }
    }
}
foreach (array_slice(array_unique($broken), 0, 40) as $what) {
    fwrite(STDERR, "{$what}\n");
}
echo json_encode([...$figures, 'broken' => count($broken)])."\n";
exit($broken === [] ? 0 : 1);

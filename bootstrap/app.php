<?php

declare(strict_types=1);

use App\Database\OutcomeUnknown;
use App\Http\English;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\TrustProxies;
use App\Http\Middleware\TryAgain;
use App\Http\Middleware\Watched;
use App\Http\QuietSession;
use App\Watch\WatchController;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Console\Scheduling\Schedule;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Middleware\TrustProxies as AnyProxies;
use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Route;
use Illuminate\View\Middleware\ShareErrorsFromSession;
use League\Flysystem\UnableToCreateDirectory;
use League\Flysystem\UnableToWriteFile;
use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Refusal;
use Nasturtium\Core\Score\InvalidScore;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        // Asked by machines, often: no session is opened for them. Before the pages, which answer any address.
        using: function (): void {
            Route::get('up', static fn (): Response => new PlainResponse('up', 200, ['Content-Type' => 'text/plain', 'Cache-Control' => 'no-store']));
            Route::get('ready', [WatchController::class, 'ready']);
            Route::get('figures', [WatchController::class, 'figures']);
            Route::middleware('web')->group(__DIR__.'/../routes/web.php');
        },
    )
    ->withCommands([__DIR__.'/../app/Console'])
    ->withSchedule(function (Schedule $schedule): void {
        $schedule->command('nasturtium:tidy')->dailyAt('03:30');
        // Somewhere it is past three in the morning at every hour.
        $schedule->command('nasturtium:replan')->hourlyAt(5);
    })
    ->withMiddleware(function (Middleware $middleware): void {
        // What is typed counts its lines and columns from where it begins.
        $middleware->trimStrings(except: ['text', 'shorthand']);
        // One origin serves everything, so there is nothing to share across origins.
        $middleware->remove(HandleCors::class);
        $middleware->replace(AnyProxies::class, TrustProxies::class);
        $middleware->append(SecurityHeaders::class);
        $middleware->prepend(Watched::class);
        // No page of the server's shows errors from a session: the screens ask and are answered in JSON.
        $middleware->web(remove: [ShareErrorsFromSession::class], replace: [StartSession::class => QuietSession::class]);
        // Before rows are looked up, so that a second try looks them up anew.
        $middleware->prependToPriorityList(before: SubstituteBindings::class, prepend: TryAgain::class);
        // The home side proves itself with its own token, which no other site can send for it.
        $middleware->validateCsrfTokens(except: ['api/home/*', 'api/camera']);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(static fn (Request $request): bool => $request->is('api/*') || $request->expectsJson());
        // Which class was looked for is nobody's business.
        $exceptions->render(static fn (NotFoundHttpException $reason, Request $request): ?JsonResponse => $request->is('api/*') ? new JsonResponse(['message' => 'This is not here.'], 404) : null);
        $exceptions->render(static fn (AuthenticationException $reason, Request $request): JsonResponse => new JsonResponse(['message' => 'Please sign in.'], 401));
        // Music that was kept and cannot be read is told, not a failure of the server.
        $exceptions->render(static fn (BadInput|InvalidScore $reason): JsonResponse => new JsonResponse(['message' => 'The music of this piece cannot be read: '.lcfirst(rtrim($reason->getMessage(), '.')).'.'], 422));
        // So is whatever else was kept, as a path of her own, and is refused now.
        $exceptions->render(static fn (Refusal $reason): JsonResponse => new JsonResponse(['message' => ucfirst(rtrim($reason->getMessage(), '.')).'.'], 422));
        $exceptions->dontReport([Refusal::class]);
        $exceptions->render(static fn (OutcomeUnknown $reason): JsonResponse => new JsonResponse(['message' => 'The database was away for a moment, and may have kept this or not. Look, and try again.'], 503, ['Retry-After' => '2']));
        $exceptions->render(static fn (UnableToWriteFile|UnableToCreateDirectory $reason): JsonResponse => new JsonResponse(['message' => 'There is no room for this file now, and nothing of it was kept. Send it again later; if that fails too, tell whoever looks after the machine.'], 503, ['Retry-After' => '300']));
        // What is wrong is told in the studio's English, wherever it was found.
        $exceptions->respond(static fn (Response $answer): Response => $answer instanceof JsonResponse && is_array($told = $answer->getData(true)) ? $answer->setData(English::errors($told)) : $answer);
    })
    ->create();

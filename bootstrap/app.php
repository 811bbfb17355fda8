<?php

declare(strict_types=1);

use App\Http\QuietSession;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\View\Middleware\ShareErrorsFromSession;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        health: '/up',
    )
    ->withCommands([__DIR__.'/../app/Console'])
    ->withMiddleware(function (Middleware $middleware): void {
        // What is typed counts its lines and columns from where it begins.
        $middleware->trimStrings(except: ['text', 'shorthand']);
        // One origin serves everything, so there is nothing to share across origins.
        $middleware->remove(HandleCors::class);
        // No page of the server's shows errors from a session: the screens ask and are answered in JSON.
        $middleware->web(remove: [ShareErrorsFromSession::class], replace: [StartSession::class => QuietSession::class]);
        // The home side proves itself with its own token, which no other site can send for it.
        $middleware->validateCsrfTokens(except: ['api/home/*']);
    })
    ->withExceptions(function (Exceptions $exceptions): void {})
    ->create();

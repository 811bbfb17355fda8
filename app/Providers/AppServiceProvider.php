<?php

declare(strict_types=1);

namespace App\Providers;

use App\Http\QuietSessionHandler;
use App\Mail\Outbox;
use App\Models;
use App\Models\FamilyLink;
use App\Policies\StudioPolicy;
use Carbon\CarbonImmutable;
use Illuminate\Auth\RequestGuard;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Application;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\ServiceProvider;
use Symfony\Component\HttpFoundation\Response;

final class AppServiceProvider extends ServiceProvider
{
    private const ROWS = [
        Models\Studio::class, Models\Student::class, FamilyLink::class, Models\Book::class, Models\Page::class,
        Models\Piece::class, Models\Learning::class, Models\Stage::class, Models\Week::class, Models\Task::class,
        Models\Practice::class, Models\Lesson::class, Models\Slip::class, Models\OwnPath::class, Models\Holiday::class, Models\WeekPattern::class, Models\CalendarFeed::class, Models\Mail::class,
    ];

    public function boot(): void
    {
        Date::useClass(CarbonImmutable::class);
        Model::preventLazyLoading($this->app->environment('production') === false);
        foreach (self::ROWS as $row) {
            Gate::policy($row, StudioPolicy::class);
        }
        Auth::extend('family-link', static fn (Application $app): RequestGuard => new RequestGuard(
            static fn (Request $request): ?FamilyLink => self::familyLink($request),
            $app->make(Request::class),
        ));
        Session::extend('database', static fn (Application $app): QuietSessionHandler => new QuietSessionHandler(
            $app->make(ConnectionInterface::class),
            (string) config('session.table'),
            (int) config('session.lifetime'),
            $app,
        ));
        Mail::extend('outbox', static fn (): Outbox => new Outbox());
        $this->limits();
    }

    private static function familyLink(Request $request): ?FamilyLink
    {
        $token = $request->bearerToken();
        if ($token === null || $token === '') {
            return null;
        }
        $link = FamilyLink::query()->with(['student.studio', 'siblings'])->where('token_hash', FamilyLink::hash($token))->first();

        return $link !== null && $link->opens($link->student->studio->today()) ? $link : null;
    }

    private function limits(): void
    {
        // Only tries that failed count, so that nobody is kept out for signing in often.
        $failed = static fn (Response $response): bool => $response->getStatusCode() === 422;
        RateLimiter::for('sign-in', static fn (Request $request): array => [
            Limit::perMinute(5)->by(mb_strtolower((string) $request->input('email')).'|'.$request->ip())->after($failed),
            Limit::perMinute(30)->by((string) $request->ip())->after($failed),
        ]);
        RateLimiter::for('home', static fn (Request $request): Limit => Limit::perMinute(240)->by((string) $request->ip()));
    }
}

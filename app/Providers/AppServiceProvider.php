<?php

declare(strict_types=1);

namespace App\Providers;

use App\Http\QuietSessionHandler;
use App\Http\SignInKey;
use App\Http\WrongTokens;
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
use Illuminate\Support\Facades\URL;
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
        $this->address();
        $this->limits();
    }

    /** Links lead to the address that is set, whatever a request says its host is; over TLS cookies go nowhere else. */
    private function address(): void
    {
        $address = config('app.url');
        if (! is_string($address) || $address === '') {
            return;
        }
        URL::useOrigin(rtrim($address, '/'));
        if (str_starts_with($address, 'https://')) {
            URL::forceScheme('https');
            config(['session.secure' => true]);
        }
    }

    private static function familyLink(Request $request): ?FamilyLink
    {
        $token = $request->bearerToken();
        if ($token === null || $token === '') {
            return null;
        }
        WrongTokens::hold($request);
        $link = FamilyLink::query()->with(['student.studio', 'siblings'])->where('token_hash', FamilyLink::hash($token))->first();

        $opens = $link !== null && $link->student->left_on === null && $link->opens($link->student->studio->today());
        if ($link === null) {
            WrongTokens::note($request);
        }

        return $opens ? $link : null;
    }

    private function limits(): void
    {
        // Only tries that failed count, so that nobody is kept out for signing in often.
        $failed = static fn (Response $response): bool => $response->getStatusCode() === 422;
        RateLimiter::for('sign-in', static function (Request $request) use ($failed): array {
            $account = SignInKey::of($request->input('email'));

            return [
                Limit::perMinute(5)->by("{$account} from {$request->ip()}")->after($failed),
                Limit::perMinutes(10, 20)->by($account)->after($failed),
                Limit::perMinute(30)->by((string) $request->ip())->after($failed),
            ];
        });
        $who = static fn (Request $request): string => (string) ($request->user()?->getAuthIdentifier() ?? $request->ip());
        RateLimiter::for('home', static fn (Request $request): Limit => Limit::perMinute(240)->by((string) $request->ip()));
        RateLimiter::for('calendar', static fn (Request $request): Limit => Limit::perMinute(60)->by((string) $request->ip()));
        RateLimiter::for('costly', static fn (Request $request): Limit => Limit::perMinute(120)->by('costly '.$who($request)));
        RateLimiter::for('heavy', static fn (Request $request): Limit => Limit::perMinute(12)->by('heavy '.$who($request)));
        RateLimiter::for('mail', static fn (Request $request): Limit => Limit::perMinute(20)->by('mail '.$who($request)));
    }
}

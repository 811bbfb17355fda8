<?php

declare(strict_types=1);

namespace App\Providers;

use App\Account\Letters\Mail;
use App\Account\Members\Membership;
use App\Account\SignInKey;
use App\Account\Studio;
use App\Account\StudioPolicy;
use App\Archive\Archive;
use App\Database\PatientConnection;
use App\Http\English;
use App\Http\QuietSessionHandler;
use App\Http\WrongTokens;
use App\Lead\LedLesson;
use App\Lead\LedStep;
use App\Lesson\Lesson;
use App\Lesson\Slip;
use App\Lesson\Timetable\CalendarFeed;
use App\Lesson\Timetable\FollowStudent;
use App\Page\Book;
use App\Page\Page;
use App\Page\Photo\KeptPhoto;
use App\Page\Photo\PagePhoto;
use App\Page\Photo\PhotoLink;
use App\Page\Piece\Piece;
use App\Page\Piece\PieceRetyped;
use App\Sheet\Worksheet;
use App\Student\Family\FamilyLink;
use App\Student\Learning\Learning;
use App\Student\Learning\OpenAgain;
use App\Student\Learning\Stage;
use App\Student\Paths\OwnPath;
use App\Student\Performances\Performance;
use App\Student\Student;
use App\Student\Timetable\Holiday;
use App\Student\Timetable\TimetableChanged;
use App\Week\Patterns\WeekPattern;
use App\Week\Practice;
use App\Week\Task;
use App\Week\Week;
use Carbon\CarbonImmutable;
use Illuminate\Auth\RequestGuard;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Connection;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Application;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\ServiceProvider;
use Symfony\Component\HttpFoundation\Response;

final class AppServiceProvider extends ServiceProvider
{
    private const ROWS = [
        Studio::class, Membership::class, Student::class, FamilyLink::class, Book::class, Page::class,
        Piece::class, Learning::class, Stage::class, Week::class, Task::class,
        Practice::class, Lesson::class, Slip::class, OwnPath::class, Holiday::class, Performance::class, WeekPattern::class, CalendarFeed::class, Mail::class, Worksheet::class, LedLesson::class, LedStep::class,
        PagePhoto::class, KeptPhoto::class, Archive::class,
    ];

    public function register(): void
    {
        Connection::resolverFor('mariadb', static fn (\PDO|\Closure $pdo, string $database, string $prefix, array $config): PatientConnection => new PatientConnection($pdo, $database, $prefix, $config));
    }

    public function boot(): void
    {
        Date::useClass(CarbonImmutable::class);
        Model::preventLazyLoading($this->app->environment('production') === false);
        foreach (self::ROWS as $row) {
            Gate::policy($row, StudioPolicy::class);
        }
        Event::listen(TimetableChanged::class, FollowStudent::class);
        Event::listen(PieceRetyped::class, OpenAgain::class);
        Auth::extend('family-link', static fn (Application $app): RequestGuard => new RequestGuard(
            static fn (Request $request): ?FamilyLink => self::familyLink($request),
            $app->make(Request::class),
        ));
        Auth::extend('photo-link', static fn (Application $app): RequestGuard => new RequestGuard(
            static fn (Request $request): ?PhotoLink => self::photoLink($request),
            $app->make(Request::class),
        ));
        Session::extend('database', static fn (Application $app): QuietSessionHandler => new QuietSessionHandler(
            $app->make(ConnectionInterface::class),
            (string) config('session.table'),
            (int) config('session.lifetime'),
            $app,
        ));
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
        $link = self::byToken($request, FamilyLink::query()->with(['student.studio', 'siblings']));
        if ($link === null) {
            return null;
        }
        English::speak($link->student->studio->words);

        return $link->student->left_on === null && $link->opens($link->student->studio->today()) ? $link : null;
    }

    /** One that has been used still says so. */
    private static function photoLink(Request $request): ?PhotoLink
    {
        $link = self::byToken($request, PhotoLink::query()->with('photo.page.book'));

        return $link !== null && ($link->opens() || $link->used_at !== null && $request->isMethod('GET')) ? $link : null;
    }

    /**
     * The link whose token is shown; a wrong one counts.
     *
     * @template T of Model
     *
     * @param  Builder<T> $links
     * @return T|null
     */
    private static function byToken(Request $request, Builder $links): ?Model
    {
        $token = $request->bearerToken();
        if ($token === null || $token === '') {
            return null;
        }
        WrongTokens::hold($request);
        $link = $links->where('token_hash', FamilyLink::hash($token))->first();
        if ($link === null) {
            WrongTokens::note($request);
        }

        return $link;
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
        RateLimiter::for('forgotten', static fn (Request $request): array => [Limit::perMinutes(10, 5)->by('forgotten '.SignInKey::of($request->input('email'))), Limit::perMinute(10)->by('forgotten from '.$request->ip())]);
        RateLimiter::for('account', static fn (Request $request): Limit => Limit::perMinute(12)->by('account '.($request->user()?->getAuthIdentifier() ?? $request->ip()))->after($failed));
        $who = static fn (Request $request): string => (string) ($request->user()?->getAuthIdentifier() ?? $request->ip());
        RateLimiter::for('home', static fn (Request $request): Limit => Limit::perMinute(240)->by((string) $request->ip()));
        RateLimiter::for('calendar', static fn (Request $request): Limit => Limit::perMinute(60)->by((string) $request->ip()));
        RateLimiter::for('costly', static fn (Request $request): Limit => Limit::perMinute(120)->by('costly '.$who($request)));
        RateLimiter::for('heavy', static fn (Request $request): Limit => Limit::perMinute(12)->by('heavy '.$who($request)));
        RateLimiter::for('mail', static fn (Request $request): Limit => Limit::perMinute(20)->by('mail '.$who($request)));
    }
}

<?php

declare(strict_types=1);

namespace App\Account;

use Illuminate\Auth\SessionGuard;
use Illuminate\Contracts\Session\Session;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Where an account is signed in. A session is named by a hash, for its own name would open it. */
final class Sessions
{
    public function __construct(private readonly Session $session) {}

    /** @return list<OpenSessionResource> the latest first */
    public function of(User $user): array
    {
        $current = $this->session->getId();
        $rows = DB::table('sessions')->where('user_id', $user->id)->orderByDesc('last_activity')->get(['id', 'ip_address', 'user_agent', 'last_activity']);

        return array_values($rows->map(static fn (\stdClass $row): OpenSessionResource => new OpenSessionResource(
            self::name($row->id),
            Device::named((string) $row->user_agent),
            Carbon::createFromTimestamp($row->last_activity)->toIso8601String(),
            $row->id === $current,
        ))->all());
    }

    public function end(User $user, string $name): void
    {
        $ids = DB::table('sessions')->where('user_id', $user->id)->where('id', '!=', $this->session->getId())->pluck('id');
        DB::table('sessions')->whereIn('id', $ids->filter(static fn (string $id): bool => hash_equals(self::name($id), $name)))->delete();
        $this->forgetOthers($user);
    }

    public function endOthers(User $user): void
    {
        DB::table('sessions')->where('user_id', $user->id)->where('id', '!=', $this->session->getId())->delete();
        $this->forgetOthers($user);
    }

    /** A device that is remembered would sign itself in again, so all are forgotten but this one. */
    private function forgetOthers(User $user): void
    {
        $guard = Auth::guard('web');
        if (! $guard instanceof SessionGuard) {
            return;
        }
        $user->setRememberToken(Str::random(60));
        $user->save();
        if (Cookie::has($guard->getRecallerName())) {
            $guard->login($user, true);
        }
    }

    private static function name(string $id): string
    {
        return substr(hash('sha256', $id), 0, 20);
    }
}

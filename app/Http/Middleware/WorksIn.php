<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Account\User;
use App\Http\English;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Nasturtium\Core\Counting\NoteWords;
use Symfony\Component\HttpFoundation\Response;

/** The studio that this browser works in, where somebody belongs to several: each device is where it was left. */
final class WorksIn
{
    public const KEY = 'studio';

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        $studio = $request->hasSession() ? $request->session()->get(self::KEY) : null;
        if ($user instanceof User) {
            $user->worksIn(is_int($studio) ? $studio : null);
            // Whoever was taken out of her only studio has nowhere to work.
            $member = $user->membership() ?? throw new AuthenticationException();
            English::speak($member->words ?? NoteWords::British);
        }

        return $next($request);
    }
}

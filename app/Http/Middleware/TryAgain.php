<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Database\OutcomeUnknown;
use App\Database\Passing;
use Closure;
use Illuminate\Database\Connection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;
use Illuminate\Routing\Route;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/**
 * A request that writes is one transaction, and one that the database broke off because another stood in its way, or
 * because its node is gone, is tried again from its beginning: its rows are looked up anew, so that nothing of the first
 * try is taken for kept. Where nobody knows whether it was kept, whoever sent it is told so.
 */
final class TryAgain
{
    public function __construct(private readonly Connection $database) {}

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        // What only reads keeps nothing; a backup that is put back has a transaction of its own, and is tried by hand.
        $writes = ! $request->isMethodSafe() && ! $request->is('api/studios/*/restore');
        $route = $request->route();
        if (! $route instanceof Route) {
            return $next($request);
        }
        $parameters = $route->parameters();
        for ($try = 1; ; $try++) {
            try {
                $response = $writes ? $this->once($request, $next) : $next($request);
            } catch (OutcomeUnknown $reason) {
                report($reason);

                return new JsonResponse(['message' => 'The database was away for a moment, and may have kept this or not. Look, and try again.'], 503, ['Retry-After' => '2']);
            } catch (Throwable $reason) {
                if (! Passing::hasPassed($reason, $try)) {
                    throw $reason;
                }
                $route->parameters = $parameters;

                continue;
            }
            $reason = $response instanceof JsonResponse || $response instanceof PlainResponse ? $response->exception : null;
            if ($reason === null || ! Passing::hasPassed($reason, $try)) {
                return $response;
            }
            $route->parameters = $parameters;
        }
    }

    /** @param Closure(Request): Response $next */
    private function once(Request $request, Closure $next): Response
    {
        $level = $this->database->transactionLevel();
        if ($level === 0) {
            // What is read after a lock was waited for is what is there now, not what was there when the request came.
            $this->database->statement('set transaction isolation level read committed');
        }
        $this->database->beginTransaction();
        try {
            $response = $next($request);
        } catch (Throwable $reason) {
            $this->leave($level);
            throw $reason;
        }
        if ($response->getStatusCode() >= 400) {
            $this->leave($level);
        } elseif ($this->database->transactionLevel() > $level) {
            $this->keep($level);
        }

        return $response;
    }

    /** A node may refuse only here what another has changed meanwhile. */
    private function keep(int $level): void
    {
        try {
            $this->database->commit();
        } catch (Throwable $reason) {
            $this->leave($level);
            throw $reason;
        }
    }

    private function leave(int $level): void
    {
        try {
            while ($this->database->transactionLevel() > $level) {
                $this->database->rollBack();
            }
        } catch (Throwable) {
            // The database has broken it off already.
            $this->database->reconnect();
        }
    }
}

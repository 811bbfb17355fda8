<?php

declare(strict_types=1);

namespace App\Http\Middleware;

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
 * try is taken for kept.
 */
final class TryAgain
{
    public function __construct(private readonly Connection $database) {}

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        $route = $request->route();
        // What only reads keeps nothing, and each of its statements is tried again by the connection; a backup that is put
        // back has a transaction of its own, and is tried by hand.
        if (! $route instanceof Route || $request->isMethodSafe() || $request->is('api/studios/*/restore')) {
            return $next($request);
        }
        $parameters = $route->parameters();
        for ($try = 1; ; $try++) {
            $level = $this->database->transactionLevel();
            if ($level === 0) {
                // What is read after a lock was waited for is what is there now, not what was there when the request came. It is
                // the connection that waits here for a database that is away, so there is nothing more to try where it gave up.
                $this->database->statement('set transaction isolation level read committed');
            }
            try {
                $response = $this->once($request, $next, $level);
                $reason = $response instanceof JsonResponse || $response instanceof PlainResponse ? $response->exception : null;
                if ($reason === null || ! Passing::hasPassed($reason, $try)) {
                    return $response;
                }
            } catch (Throwable $reason) {
                $this->leave($level);
                if (! Passing::hasPassed($reason, $try)) {
                    throw $reason;
                }
            }
            $route->parameters = $parameters;
        }
    }

    /**
     * A node may refuse only at the end what another has changed meanwhile.
     *
     * @param Closure(Request): Response $next
     */
    private function once(Request $request, Closure $next, int $level): Response
    {
        $this->database->beginTransaction();
        $response = $next($request);
        if ($response->getStatusCode() >= 400) {
            $this->leave($level);
        } elseif ($this->database->transactionLevel() > $level) {
            $this->database->commit();
        }

        return $response;
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

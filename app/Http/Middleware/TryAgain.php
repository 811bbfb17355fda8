<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Database\Connection;
use Illuminate\Database\DetectsConcurrencyErrors;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;
use Illuminate\Routing\Route;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/**
 * A request that writes is one transaction, and one that the database broke off because another stood in its way is
 * tried again from its beginning: its rows are looked up anew, so that nothing of the first try is taken for kept.
 */
final class TryAgain
{
    use DetectsConcurrencyErrors;

    private const TRIES = 6;

    /** Milliseconds, more with each try, so that two do not meet again. */
    private const WAIT = 20;

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
            $response = $writes ? $this->once($request, $next) : $next($request);
            $reason = $response instanceof JsonResponse || $response instanceof PlainResponse ? $response->exception : null;
            if ($try === self::TRIES || $reason === null || ! $this->causedByConcurrencyError($reason)) {
                return $response;
            }
            $route->parameters = $parameters;
            usleep(1000 * self::WAIT * $try + random_int(0, 1000 * self::WAIT));
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

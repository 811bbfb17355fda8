<?php

declare(strict_types=1);

namespace App\Database;

use Closure;
use Exception;
use Illuminate\Database\MariaDbConnection;
use Illuminate\Database\QueryException;
use Illuminate\Database\UniqueConstraintViolationException;
use Override;
use Throwable;

/**
 * A connection that tries again what failed on something that passes (`Passing`): a statement on its own, and a
 * transaction as a whole, from its beginning. Within a transaction that is under way nothing is tried again: whoever began
 * it does.
 */
final class PatientConnection extends MariaDbConnection
{
    /**
     * The number of attempts is the connection's own business.
     *
     * @template T
     *
     * @param  (Closure(static): T) $callback
     * @param  int                  $attempts
     * @return T
     *
     * @throws OutcomeUnknown when the connection was lost while the transaction was being kept
     */
    #[Override]
    public function transaction(Closure $callback, $attempts = 1)
    {
        // Asked now: a connection that is lost takes the level with it, and what is within another is not begun again without it.
        if ($this->transactions > 0) {
            return parent::transaction($callback);
        }
        try {
            return parent::transaction($callback);
        } catch (Throwable $reason) {
            return $this->again($reason, fn () => parent::transaction($callback));
        }
    }

    /** @throws OutcomeUnknown */
    #[Override]
    public function commit(): void
    {
        $isLast = $this->transactions === 1;
        try {
            parent::commit();
        } catch (Throwable $reason) {
            throw $isLast && Passing::isOpen($reason) ? new OutcomeUnknown($reason) : $reason;
        }
    }

    #[Override]
    protected function handleCommitTransactionException(Throwable $e, $currentAttempt, $maxAttempts): void
    {
        $isLast = $this->transactions === 1;
        try {
            parent::handleCommitTransactionException($e, $currentAttempt, $maxAttempts);
        } catch (Throwable $reason) {
            throw $isLast && Passing::isOpen($reason) ? new OutcomeUnknown($reason) : $reason;
        }
    }

    /** @param array<mixed> $bindings */
    #[Override]
    protected function handleQueryException(QueryException $e, $query, $bindings, Closure $callback): mixed
    {
        return $this->transactions > 0 ? throw $e : $this->again($e, fn () => $this->runQueryCallback($query, $bindings, $callback));
    }

    /**
     * What was sent to the database, names and words of children among it, does not stand in what is told of a failure.
     *
     * @param array<mixed> $bindings
     */
    #[Override]
    protected function runQueryCallback($query, $bindings, Closure $callback): mixed
    {
        try {
            return $callback($query, $bindings);
        } catch (Exception $reason) {
            $kind = $this->isUniqueConstraintError($reason) ? UniqueConstraintViolationException::class : QueryException::class;
            throw new $kind((string) $this->getNameWithReadWriteType(), $query, [], $reason);
        }
    }

    /**
     * @template T
     *
     * @param  Closure(): T $ask what failed for this reason
     * @return T
     *
     * @throws Throwable the last reason, where it does not pass, or not in time
     */
    private function again(Throwable $reason, Closure $ask): mixed
    {
        for ($try = 1; Passing::hasPassed($reason, $try); $try++) {
            try {
                if (Passing::isAway($reason)) {
                    $this->reconnect();
                }

                return $ask();
            } catch (Throwable $next) {
                $reason = $next;
            }
        }
        throw $reason;
    }
}

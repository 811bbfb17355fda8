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
        if ($this->transactions > 0) {
            return parent::transaction($callback);
        }
        for ($try = 1; ; $try++) {
            try {
                return parent::transaction($callback);
            } catch (OutcomeUnknown $reason) {
                throw $reason;
            } catch (Throwable $reason) {
                if (! Passing::hasPassed($reason, $try)) {
                    throw $reason;
                }
                $this->freshAfter($reason);
            }
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

    #[Override]
    protected function handleBeginTransactionException(Throwable $e): void
    {
        for ($try = 1; Passing::hasPassed($e, $try); $try++) {
            try {
                $this->reconnect();
                $this->executeBeginTransactionStatement();

                return;
            } catch (Throwable $reason) {
                $e = $reason;
            }
        }
        throw $e;
    }

    /** @param array<mixed> $bindings */
    #[Override]
    protected function handleQueryException(QueryException $e, $query, $bindings, Closure $callback): mixed
    {
        for ($try = 1; $this->transactions === 0 && Passing::hasPassed($e, $try); $try++) {
            try {
                $this->freshAfter($e);

                return $this->runQueryCallback($query, $bindings, $callback);
            } catch (QueryException $reason) {
                $e = $reason;
            }
        }
        throw $e;
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

    private function freshAfter(Throwable $reason): void
    {
        if (! Passing::isAway($reason)) {
            return;
        }
        try {
            $this->reconnect();
        } catch (Throwable) {
            // It is still away, which the next try will say.
        }
    }
}

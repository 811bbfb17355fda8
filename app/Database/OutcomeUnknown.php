<?php

declare(strict_types=1);

namespace App\Database;

use RuntimeException;
use Throwable;

/** The connection was lost while a transaction was being kept: nobody here knows whether it was, so it is not tried again, and whoever sent it is told. */
final class OutcomeUnknown extends RuntimeException
{
    public function __construct(Throwable $reason)
    {
        parent::__construct('The database was lost while it kept what was sent.', previous: $reason);
    }
}

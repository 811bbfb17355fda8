<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;

/** A session that does not note which address was asked for last: nothing goes back to it, and each note is a write. */
final class QuietSession extends StartSession
{
    protected function storeCurrentUrl(Request $request, $session): void {}
}

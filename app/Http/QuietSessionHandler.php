<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Session\DatabaseSessionHandler;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;

/** Sessions in the database that are written when they have changed, or a minute has passed: most requests only read theirs. They are the teachers', whatever else opens a request. */
final class QuietSessionHandler extends DatabaseSessionHandler
{
    private const SECONDS = 60;

    /** What stands in the database, by session. */
    private string $known = '';

    private int $writtenAt = 0;

    public function read($sessionId): string|false
    {
        $data = parent::read($sessionId);
        $this->known = "{$sessionId} {$data}";

        return $data;
    }

    public function write($sessionId, $data): bool
    {
        $fresh = $this->writtenAt > Carbon::now()->getTimestamp() - self::SECONDS;
        if ($this->exists && $fresh && $this->known === "{$sessionId} {$data}") {
            return true;
        }

        return parent::write($sessionId, $data);
    }

    /**
     * Whoever is signed in on this device, also while it looks at the home side of a family or sends a picture for a phone: the
     * session is hers, and is ended with her others.
     */
    protected function userId(): mixed
    {
        return Auth::guard('web')->id();
    }

    /** @param \stdClass $session */
    protected function expired($session): bool
    {
        $this->writtenAt = is_numeric($session->last_activity ?? null) ? (int) $session->last_activity : 0;

        return parent::expired($session);
    }
}

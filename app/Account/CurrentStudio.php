<?php

declare(strict_types=1);

namespace App\Account;

use App\Account\Members\Membership;
use Carbon\CarbonImmutable;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Container\Attributes\CurrentUser;

/** The studio of the teacher who is signed in, read once a request. */
final class CurrentStudio
{
    private ?Studio $studio = null;

    public function __construct(#[CurrentUser] private readonly User $user) {}

    public function get(): Studio
    {
        return $this->studio ??= $this->user->studio()->firstOrFail();
    }

    /** What whoever is signed in is there. */
    public function member(): Membership
    {
        return $this->user->membership() ?? throw new AuthenticationException();
    }

    public function today(): CarbonImmutable
    {
        return $this->get()->today();
    }
}

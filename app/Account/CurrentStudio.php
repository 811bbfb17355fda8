<?php

declare(strict_types=1);

namespace App\Account;

use Carbon\CarbonImmutable;
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

    public function today(): CarbonImmutable
    {
        return $this->get()->today();
    }
}

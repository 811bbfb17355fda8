<?php

declare(strict_types=1);

namespace App\Account\Members;

use App\Account\SessionResource;
use App\Account\User;
use App\Http\Middleware\WorksIn;
use Illuminate\Contracts\Session\Session;
use Illuminate\Support\Facades\DB;

/** Goes to work in a studio: on this device, and after the next sign-in elsewhere. */
final class EnterStudio
{
    public function __construct(private readonly Session $session) {}

    /** @param ?int $studio one of hers; null for the one where she was last */
    public function __invoke(User $user, ?int $studio): SessionResource
    {
        $user->worksIn($studio);
        DB::table('users')->where('id', $user->id)->update(['studio_id' => $user->studio_id]);
        $this->session->put(WorksIn::KEY, $user->studio_id);

        return SessionResource::of($user->load(['studio', 'memberships.studio']));
    }
}

<?php

declare(strict_types=1);

namespace App\Account\Members;

use App\Http\Asked;
use Illuminate\Validation\Rule;

/** The studio to go to: one that she belongs to. */
final class PlaceRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['studioId' => ['required', 'integer', Rule::exists('memberships', 'studio_id')->where('user_id', $this->user()?->getAuthIdentifier())]];
    }
}

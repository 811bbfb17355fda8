<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\English;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A day that somebody plans for or looks back to: a year typed wrongly is refused with what can be meant. */
final readonly class NearDay implements ValidationRule
{
    /** @param int $yearsAhead one year back can always be meant */
    public function __construct(private int $yearsAhead = 1) {}

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $today = app(CurrentStudio::class)->today();
        $first = $today->subYear();
        $last = $today->addYears($this->yearsAhead);
        if (is_string($value) && ($value < $first->toDateString() || $value > $last->toDateString())) {
            $fail('Choose a day from '.English::date($first).' to '.English::date($last).'.');
        }
    }
}

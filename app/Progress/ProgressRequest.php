<?php

declare(strict_types=1);

namespace App\Progress;

use App\Http\Asked;
use Carbon\CarbonImmutable;

/** From which day to which; the last half year where nothing is said. The policy stands on the route. */
final class ProgressRequest extends Asked
{
    private const WEEKS = 26;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'from' => ['nullable', 'date_format:Y-m-d'],
            'to' => ['nullable', 'date_format:Y-m-d', ...$this->filled('from') ? ['after_or_equal:from'] : []],
        ];
    }

    /** @return array{CarbonImmutable, CarbonImmutable} */
    public function time(CarbonImmutable $today): array
    {
        $to = $this->filled('to') ? CarbonImmutable::parse($this->string('to')->toString()) : $today;

        return [$this->filled('from') ? CarbonImmutable::parse($this->string('from')->toString()) : $to->subWeeks(self::WEEKS), $to];
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Score\Hand;

/** How a hand begins a piece: on which keys, with which fingers. */
final readonly class HandStart
{
    /**
     * @param  list<string>  $pitches  lowest first
     * @param  list<int|null>  $fingers  for each
     * @param  string  $thumb  where the thumb lies
     * @param  list<string>  $keys  where each key lies, in words
     */
    public function __construct(public Hand $hand, public array $pitches, public array $fingers, public string $thumb, public array $keys) {}
}

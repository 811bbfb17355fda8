<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill;

use Nasturtium\Core\Practice\Answer;
use Nasturtium\Core\Practice\Enough;

/**
 * A session of the practice room as data: whoever runs it needs no other rule than SessionRun's, which the browser has
 * too. Cards are named by their ids.
 */
final readonly class Session
{
    /** After so many other cards a card that was missed comes back, the first time, the second and the third (trade 15.2). */
    public const RETURNS = [2, 5, 12];

    /** So many at the end are known. */
    public const CLOSING = 3;

    /**
     * @param  int  $seconds  that it lasts
     * @param  list<string>  $learning  cards that are not secure, asked from the start
     * @param  list<string>  $joining  those that join, in this order, one whenever all that are learnt are ready
     * @param  list<string>  $known  secure ones, in the order they are asked in, round and round
     * @param  int  $share  of ten cards so many are known ones, where there are any
     * @param  array<string, list<Answer>>  $before  the last answers to a card, as many as Enough looks at
     * @param  array<string, string>  $pairs  cards that are confused: the one follows the other where it can
     */
    public function __construct(
        public int $seconds,
        public array $learning,
        public array $joining,
        public array $known,
        public int $share,
        public array $before,
        public array $pairs = [],
        public Enough $enough = new Enough(),
    ) {}
}

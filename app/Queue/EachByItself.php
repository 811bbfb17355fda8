<?php

declare(strict_types=1);

namespace App\Queue;

use Throwable;

/** Works through many, each by itself: one that fails is reported, and keeps the others from nothing. */
final class EachByItself
{
    /**
     * @template T
     *
     * @param  iterable<T>       $all
     * @param  callable(T): mixed $work
     * @return int               how many were done
     */
    public static function of(iterable $all, callable $work): int
    {
        $done = 0;
        foreach ($all as $one) {
            try {
                $work($one);
                $done++;
            } catch (Throwable $reason) {
                report($reason);
            }
        }

        return $done;
    }
}

<?php

declare(strict_types=1);

namespace Tests\Fuzz;

/** What a piece of work costs this process: seconds of CPU, and megabytes that were resident before it and at most, outside PHP's own count too. */
final readonly class Work
{
    private function __construct(public float $seconds, public float $before, public float $megabytes) {}

    /** @param \Closure(): mixed $work */
    public static function of(\Closure $work): self
    {
        // What earlier work has left behind and nobody uses is no cost of this one.
        gc_collect_cycles();
        gc_mem_caches();
        // Linux forgets the most that was resident so far.
        @file_put_contents('/proc/self/clear_refs', '5');
        $before = self::resident();
        $begun = self::worked();
        $work();

        return new self(self::worked() - $begun, $before, self::resident());
    }

    /** Seconds that this process has worked; those it waited for the machine do not count. */
    public static function worked(): float
    {
        $usage = getrusage() ?: [];

        return ($usage['ru_utime.tv_sec'] ?? 0) + ($usage['ru_stime.tv_sec'] ?? 0) + (($usage['ru_utime.tv_usec'] ?? 0) + ($usage['ru_stime.tv_usec'] ?? 0)) / 1e6;
    }

    private static function resident(): float
    {
        return preg_match('/^VmHWM:\s+(\d+) kB/m', (string) @file_get_contents('/proc/self/status'), $found) === 1 ? (int) $found[1] / 1024 : memory_get_peak_usage(true) / 1048576;
    }
}

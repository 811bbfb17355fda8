<?php

declare(strict_types=1);

namespace App\Queue;

use Illuminate\Contracts\Queue\Job;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Queue\Jobs\DatabaseJob;
use Illuminate\Support\Facades\DB;

/**
 * Tells how far work on the queue is, in the row that stands for it (`state`, `done`, `of`): beside the transaction of the
 * work, whose rows nobody sees before it ends. The job is held for as long as it tells; a row that is gone stops it.
 */
final class HowFar
{
    /** Seconds between two tellings, at least. */
    private const OFTEN = 0.5;

    private float $toldAt = 0.0;

    public function __construct(private readonly string $table, private readonly int $row, private readonly ?Job $job) {}

    /** @throws Stopped */
    public function tell(int $done, int $of): void
    {
        if (microtime(true) - $this->toldAt < self::OFTEN) {
            return;
        }
        $this->toldAt = microtime(true);
        $beside = self::beside();
        $told = $beside->table($this->table)->where('id', $this->row)->update(['state' => WorkState::Working->value, 'done' => $done, 'of' => max(1, $of), 'updated_at' => now()]);
        if ($told === 0 && ! $beside->table($this->table)->where('id', $this->row)->exists()) {
            throw new Stopped();
        }
        if ($this->job instanceof DatabaseJob) {
            $beside->table('jobs')->where('id', $this->job->getJobId())->update(['reserved_at' => now()->getTimestamp()]);
        }
    }

    private static function beside(): ConnectionInterface
    {
        $name = config('database.beside');

        return DB::connection(is_string($name) ? $name : null);
    }
}

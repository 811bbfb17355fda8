<?php

declare(strict_types=1);

namespace App\Watch;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Throwable;

/** Whether this process can do its work: what it needs is there. That it lives is said by /up. */
final class Readiness
{
    /** The queue whose jobs may wait until morning. */
    public const BY_NIGHT = 'night';

    /** Any other queue whose oldest job has waited longer has no worker, in seconds. */
    public const LONGEST_WAIT = 300;

    /** Less of the disk than this is as good as none, in bytes. */
    private const LEAST_ROOM = 64 * 1024 * 1024;

    /** Whoever asks more often hears the same again, so that asking costs the disk and the database nothing; in seconds. */
    private const FRESH = 2;

    private const KEPT = 'nasturtium readiness';

    /** @return array{database: bool, queue: bool, disk: bool} of this moment, or of the last two seconds */
    public static function lately(): array
    {
        if (! Figures::counts()) {
            return self::now();
        }
        /** @var array{database: bool, queue: bool, disk: bool}|false $known */
        $known = apcu_fetch(self::KEPT);
        if ($known !== false) {
            return $known;
        }
        $now = self::now();
        apcu_store(self::KEPT, $now, self::FRESH);

        return $now;
    }

    public static function forget(): void
    {
        if (Figures::counts()) {
            apcu_delete(self::KEPT);
        }
    }

    /** @return array{database: bool, queue: bool, disk: bool} */
    public static function now(): array
    {
        $database = self::holds(self::database(...));

        // The queue is in it, and a database that is away has been waited for.
        return ['database' => $database, 'queue' => $database && self::holds(self::queue(...)), 'disk' => self::holds(self::disk(...))];
    }

    /** @param \Closure(): bool $does */
    private static function holds(\Closure $does): bool
    {
        try {
            return $does();
        } catch (Throwable) {
            return false;
        }
    }

    /** It answers, and may be written to. */
    private static function database(): bool
    {
        return DB::table('migrations')->exists() && DB::scalar('select @@global.read_only') === 0;
    }

    private static function queue(): bool
    {
        $since = DB::table('jobs')->where('queue', '!=', self::BY_NIGHT)->whereNull('reserved_at')->min('available_at');

        return $since === null || is_numeric($since) && now()->getTimestamp() - (int) $since <= self::LONGEST_WAIT;
    }

    /** Logs and uploads have room, and can be written. */
    private static function disk(): bool
    {
        $name = 'ready-'.bin2hex(random_bytes(8));
        $disk = Storage::disk('photos');
        $written = $disk->put($name, $name) && $disk->get($name) === $name;
        $disk->delete($name);

        return $written && disk_free_space(storage_path()) > self::LEAST_ROOM;
    }
}

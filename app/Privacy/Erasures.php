<?php

declare(strict_types=1);

namespace App\Privacy;

use Illuminate\Support\Facades\DB;

/**
 * Who was erased, and which studios were ended, as bare numbers: in the database, and in a file beside it that an older copy of the database does not
 * take away. After a restore they are erased again.
 */
final class Erasures
{
    /** In the place of a student: the studio with all that was in it. */
    public const WHOLE_STUDIO = 0;

    /** In the file only once it is kept: what was rolled back is there still, and would be erased by the next replay. */
    public static function note(int $studio, int $student): void
    {
        DB::table('erasures')->insertOrIgnore(['studio' => $studio, 'student' => $student, 'erased_at' => now()]);
        DB::afterCommit(static function () use ($studio, $student): void {
            $isNew = ! is_file(self::file());
            file_put_contents(self::file(), "{$studio} {$student}\n", FILE_APPEND | LOCK_EX);
            if ($isNew) {
                chmod(self::file(), 0o600);
            }
        });
    }

    /** Names this installation and a studio in it, in the manifest of a backup. */
    public static function origin(int $studio): string
    {
        return self::installation().":{$studio}";
    }

    /** @return list<int> students of the studio a backup comes from that were erased here, by their numbers in it */
    public static function of(string $origin): array
    {
        if (preg_match('/^(\w+):(\d{1,12})$/D', $origin, $found) !== 1 || ! in_array($found[1], self::installations(), true)) {
            return [];
        }

        return array_values(array_map(static fn (array $one): int => $one[1], array_filter(self::all(), static fn (array $one): bool => $one[0] === (int) $found[2] && $one[1] !== self::WHOLE_STUDIO)));
    }

    /** @return list<array{int, int}> studio and student */
    public static function all(): array
    {
        $all = [];
        foreach (DB::table('erasures')->get(['studio', 'student']) as $row) {
            $all["{$row->studio} {$row->student}"] = [(int) $row->studio, (int) $row->student];
        }
        foreach (is_file(self::file()) ? (file(self::file(), FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: []) : [] as $line) {
            if (preg_match('/^(\d{1,12}) (\d{1,12})$/D', $line, $found) === 1) {
                $all[$line] = [(int) $found[1], (int) $found[2]];
            }
        }

        return array_values($all);
    }

    private static function file(): string
    {
        $file = config('nasturtium.erasures');

        return is_string($file) ? $file : storage_path('app/erasures');
    }

    private static function installation(): string
    {
        return self::installations()[0];
    }

    /**
     * What this installation is and was called: a backup knows it by the key of its day, which may have been changed since.
     *
     * @return non-empty-list<string>
     */
    private static function installations(): array
    {
        $former = config('app.previous_keys');
        $keys = [config('app.key'), ...is_array($former) ? array_values($former) : []];

        return array_map(static fn (mixed $key): string => substr(hash('sha256', 'installation '.(is_string($key) ? $key : '')), 0, 16), $keys);
    }
}

<?php

declare(strict_types=1);

namespace App\Actions\Archive;

use App\Models\Studio;
use Illuminate\Database\QueryException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Nasturtium\Core\Formats\BadInput;
use ZipArchive;

/**
 * Puts the backup of a studio into one that is empty. Every row gets a new number, the same step up for a whole table, so
 * that what refers to it can follow; all of it is taken or nothing.
 */
final class RestoreStudio
{
    private const AT_ONCE = 500;

    /** Bytes that the tables of an archive may unpack to. */
    private const MOST = 4_000_000_000;

    /** Bytes of a row: a piece with its music is the longest. */
    private const LONGEST = 20_000_000;

    /** No row has a higher number; those of a hostile archive must not use the numbers up. */
    private const HIGHEST = 1_000_000_000_000;

    /**
     * @return int rows that were put back
     *
     * @throws BadInput
     */
    public function __invoke(Studio $studio, string $path): int
    {
        $zip = new ZipArchive();
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            throw new BadInput('This is no archive, or it is cut short. Choose the file that the backup made.');
        }
        try {
            self::holdSize($zip);
            $manifest = $this->manifest($zip);

            return DB::transaction(function () use ($zip, $studio, $manifest): int {
                if ($studio->students()->exists() || $studio->books()->exists()) {
                    throw new BadInput('This studio has students or books already. A backup is put back into an empty one.');
                }
                $studio->update(array_intersect_key($manifest, array_flip(['name', 'words', 'paper', 'timezone', 'phrases', 'count_words'])));

                $rows = $this->tables($zip, $studio->id);
                // What was worked out is not taken on trust.
                DB::table('weeks')->where('studio_id', $studio->id)->update(['counted' => null, 'tempi' => null]);
                DB::table('lessons')->where('studio_id', $studio->id)->update(['remedies' => null]);

                return $rows;
            });
        } catch (UniqueConstraintViolationException) {
            throw new BadInput('This studio is on this installation already; its links would be there twice. Erase it first, or restore on another one.');
        } catch (QueryException) {
            throw new BadInput('A row of this backup does not fit into its table. The file was changed, or is damaged.');
        } finally {
            $zip->close();
        }
    }

    /**
     * @return array<string, mixed> the settings of the studio
     *
     * @throws BadInput
     */
    private function manifest(ZipArchive $zip): array
    {
        $manifest = json_decode((string) $zip->getFromName('manifest.json', 1_000_000), true);
        if (! is_array($manifest) || ($manifest['format'] ?? '') !== PackRows::FORMAT || ! is_array($manifest['studio'] ?? null)) {
            throw new BadInput('This is not the backup of a studio.');
        }
        if (! is_string($manifest['version']) || $manifest['version'] > PackRows::version()) {
            throw new BadInput('This backup is of a newer version. Bring this installation up to date first.');
        }

        return $manifest['studio'];
    }

    /** @throws BadInput */
    private function tables(ZipArchive $zip, int $studio): int
    {
        $step = [];
        $known = [];
        $count = 0;
        foreach (Tables::inOrder() as $table => $refers) {
            $columns = array_flip(Schema::getColumnListing($table));
            $step[$table] = isset($columns['id']) ? (int) DB::table($table)->max('id') : 0;
            $rows = [];
            foreach ($this->lines($zip, $table) as $number => $line) {
                $row = json_decode($line, true);
                $at = "tables/{$table}.jsonl, line ".($number + 1);
                if (! is_array($row) || (isset($columns['id']) && (! is_int($row['id'] ?? null) || $row['id'] < 1 || $row['id'] > self::HIGHEST))) {
                    throw new BadInput("{$at}: this is no row.");
                }
                self::holdTogether($row, $refers, $known, $at);
                $known[$table][$row['id'] ?? 0] = true;
                $rows[] = self::moved(array_intersect_key($row, $columns), $table, $refers, $step, $studio);
                $count++;
                if (count($rows) === self::AT_ONCE) {
                    DB::table($table)->insert($rows);
                    $rows = [];
                }
            }
            DB::table($table)->insert($rows);
        }
        // A mark in the order of tasks, which no key of the database holds; what was before goes by it.
        DB::table('stages')->where('studio_id', $studio)->update(['before_relief' => null]);
        DB::table('stages')->where('studio_id', $studio)->whereNotNull('relieved_after')->increment('relieved_after', $step['tasks'] ?? 0);

        return $count;
    }

    /**
     * @param  array<string, mixed>  $row
     * @param  array<string, string>  $refers
     * @param  array<string, int>  $step
     * @return array<string, mixed>
     */
    private static function moved(array $row, string $table, array $refers, array $step, int $studio): array
    {
        if (isset($row['id'])) {
            $row['id'] += $step[$table];
        }
        foreach ($refers as $column => $to) {
            if ($to === 'studios') {
                $row[$column] = $studio;
            } elseif (isset($row[$column])) {
                $row[$column] += $step[$to] ?? 0;
            }
        }

        return $row;
    }

    /**
     * A row refers to rows of its own backup alone, never to those of another studio.
     *
     * @param  array<string, mixed>  $row
     * @param  array<string, string>  $refers
     * @param  array<string, array<int, true>>  $known  numbers so far, by table
     *
     * @throws BadInput
     */
    private static function holdTogether(array $row, array $refers, array $known, string $at): void
    {
        foreach ($refers as $column => $to) {
            $number = $row[$column] ?? null;
            if ($to !== 'studios' && $number !== null && ! (is_int($number) && isset($known[$to][$number]))) {
                throw new BadInput("{$at}: its {$column} is not in this backup.");
            }
        }
    }

    /** @throws BadInput */
    private static function holdSize(ZipArchive $zip): void
    {
        $size = 0;
        for ($file = 0; $file < $zip->numFiles; $file++) {
            $size += $zip->statIndex($file)['size'] ?? 0;
        }
        if ($size > self::MOST) {
            throw new BadInput('This archive unpacks to more than 4 GB. It is not the backup of a studio.');
        }
    }

    /** @return iterable<int, string> */
    private function lines(ZipArchive $zip, string $table): iterable
    {
        $stream = $zip->getStream("tables/{$table}.jsonl");
        if ($stream === false) {
            return;
        }
        for ($number = 0; ($line = fgets($stream, self::LONGEST)) !== false; $number++) {
            yield $number => $line;
        }
        fclose($stream);
    }
}

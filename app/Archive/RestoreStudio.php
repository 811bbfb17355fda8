<?php

declare(strict_types=1);

namespace App\Archive;

use App\Account\Members\Membership;
use App\Account\Members\Role;
use App\Account\Studio;
use App\Privacy\EraseStudent;
use App\Privacy\Erasures;
use App\Student\Learning\StudentBooks;
use App\Student\Student;
use Closure;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\QueryException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Formats\BadInput;
use ZipArchive;

/**
 * Puts the backup of a studio into one that is empty. Every row gets a new number, the same step up for a whole table, so
 * that what refers to it can follow; all of it is taken or nothing.
 */
final class RestoreStudio
{
    private const AT_ONCE = 500;

    /** Bytes of lines that are held before they are stored. */
    private const HELD = 4_000_000;

    private const MOST_FILES = 200;

    /** Bytes that the tables of an archive may unpack to. */
    private const MOST = 4_000_000_000;

    /** Bytes of a row: a piece with its music is the longest. */
    private const LONGEST = 20_000_000;

    /** Rows of all tables together. */
    private const MOST_ROWS = 20_000_000;

    public function __construct(private readonly KeptMusic $music, private readonly EraseStudent $erase) {}

    /**
     * @param  Closure(int, int): void|null  $tell  is told how many tables are done, and of how many; what it throws ends it
     * @return int rows that were put back
     *
     * @throws BadInput
     */
    public function __invoke(Studio $studio, string $path, ?Closure $tell = null): int
    {
        $zip = new ZipArchive();
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            throw BadBackup::noArchive();
        }
        try {
            self::holdSize($zip);
            $manifest = $this->manifest($zip);

            return DB::transaction(function () use ($zip, $studio, $manifest, $tell): int {
                if ($studio->students()->exists() || $studio->books()->exists()) {
                    throw BadBackup::studioInUse();
                }
                $studio->update(StudioSettings::taken($manifest['studio']));
                $gone = [];
                $here = Membership::query()->where('studio_id', $studio->id)->get();
                $rows = $this->tables($zip, $studio->id, $manifest['version'], Erasures::of($manifest['origin']), $gone, $tell);
                self::meet($here, Membership::query()->where('studio_id', $studio->id)->whereKeyNot($here->modelKeys())->get());
                if ($manifest['version'] < Columns::FOR_BOOKS) {
                    StudentBooks::enterOpened($studio->id);
                }
                // What was worked out is not taken on trust.
                DB::table('weeks')->where('studio_id', $studio->id)->update(['counted' => null, 'tempi' => null]);
                DB::table('lessons')->where('studio_id', $studio->id)->update(['remedies' => null]);
                // Who was erased since the backup was made does not come back with it.
                foreach (Student::query()->whereKey($gone)->get() as $student) {
                    ($this->erase)($student, isReplay: true);
                }

                return $rows;
            });
        } catch (UniqueConstraintViolationException) {
            throw BadBackup::hereAlready();
        } catch (QueryException $reason) {
            report($reason);
            throw BadBackup::rowDoesNotFit();
        } finally {
            $zip->close();
        }
    }

    /**
     * Whoever restores it leads it; who was in it and is here already is one person, and the others wait for an invitation.
     *
     * @param  Collection<int, Membership>  $here
     * @param  Collection<int, Membership>  $restored
     */
    private static function meet(Collection $here, Collection $restored): void
    {
        $leads = $here->firstWhere('role', Role::Owner);
        foreach ($restored as $member) {
            $same = $member->role === Role::Owner ? $leads : $here->first(static fn (Membership $one): bool => mb_strtolower($one->email) === mb_strtolower($member->email));
            if ($same !== null) {
                Student::query()->where('membership_id', $member->id)->update(['membership_id' => $same->id]);
                $member->delete();
            } elseif ($member->role === Role::Owner) {
                $member->update(['role' => Role::Teacher]);
            }
        }
    }

    /**
     * @return array{version: string, origin: string, studio: array<array-key, mixed>}
     *
     * @throws BadInput
     */
    private function manifest(ZipArchive $zip): array
    {
        $manifest = json_decode((string) $zip->getFromName('manifest.json', 1_000_000), true, 8);
        if (! is_array($manifest) || ($manifest['format'] ?? '') !== PackRows::FORMAT || ! is_array($manifest['studio'] ?? null)) {
            throw BadBackup::notOfAStudio();
        }
        $version = $manifest['version'] ?? null;
        if (! is_string($version) || preg_match('/^\d{4}\w{0,90}$/D', $version) !== 1) {
            throw BadBackup::withoutVersion();
        }
        if ($version > PackRows::version()) {
            throw BadBackup::newer();
        }
        $origin = $manifest['origin'] ?? '';

        return ['version' => $version, 'origin' => is_string($origin) ? $origin : '', 'studio' => $manifest['studio']];
    }

    /**
     * @param  list<int>  $erased  students, by their number in the archive
     * @param  list<int>  $gone  their numbers now
     * @param  Closure(int, int): void|null  $tell
     *
     * @throws BadInput
     */
    private function tables(ZipArchive $zip, int $studio, string $version, array $erased, array &$gone, ?Closure $tell): int
    {
        $all = Columns::all();
        $step = [];
        $known = [];
        $count = 0;
        $order = Tables::known();
        foreach ($order as $table => $refers) {
            $tells = static fn () => $tell === null ? null : $tell(count($step), count($order));
            $tells();
            $columns = $all[$table];
            $step[$table] = isset($columns['id']) ? (int) DB::table($table)->max('id') : 0;
            $rows = [];
            $held = 0;
            foreach ($this->lines($zip, $table) as $number => $line) {
                $at = "tables/{$table}.jsonl, line ".($number + 1);
                $row = self::row($line, $columns, $version, $at, $table);
                if ($count > self::MOST_ROWS) {
                    throw BadBackup::tooManyRows();
                }
                self::holdTogether($row, $refers, $known, $at);
                $known[$table][$row['id'] ?? 0] = true;
                $row = $table === 'pieces' ? $this->music->described($row) : $row;
                $rows[] = $moved = self::moved($row, $table, $refers, $step, $studio);
                if ($table === 'students' && in_array($row['id'], $erased, true)) {
                    $gone[] = (int) $moved['id'];
                }
                $count++;
                $held += strlen($line);
                if (count($rows) === self::AT_ONCE || $held > self::HELD) {
                    DB::table($table)->insert($rows);
                    $rows = [];
                    $held = 0;
                    $tells();
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
     * Exactly the columns of its table, each with what it may hold.
     *
     * @param  array<string, Column>  $columns
     * @param  string  $version  of the archive
     * @return array<string, mixed>
     *
     * @throws BadInput
     */
    private static function row(string $line, array $columns, string $version, string $at, string $table): array
    {
        $given = json_decode($line, true, 4);
        if (! is_array($given)) {
            throw BadBackup::noRow($at);
        }
        foreach (array_diff_key($given, $columns) as $name => $value) {
            throw BadBackup::unknownColumn($at, $table, $name);
        }
        $row = [];
        foreach ($columns as $name => $column) {
            if (! array_key_exists($name, $given)) {
                if ($column->since === null || $version >= $column->since) {
                    throw BadBackup::columnMissing($at, $name);
                }
                $row[$name] = $column->missing;

                continue;
            }
            try {
                $row[$name] = $column->taken($given[$name]);
            } catch (BadInput $reason) {
                throw BadBackup::inColumn($at, $name, $reason);
            }
        }
        try {
            Columns::holdRow($table, $row);
        } catch (BadInput $reason) {
            throw BadBackup::inRow($at, $reason);
        }

        return $row;
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
                throw BadBackup::leadsNowhere($at, $column);
            }
        }
    }

    /** @throws BadInput */
    private static function holdSize(ZipArchive $zip): void
    {
        $size = 0;
        if ($zip->numFiles > self::MOST_FILES) {
            throw BadBackup::tooManyFiles();
        }
        for ($file = 0; $file < $zip->numFiles; $file++) {
            $size += $zip->statIndex($file)['size'] ?? 0;
        }
        if ($size > self::MOST) {
            throw BadBackup::tooLarge();
        }
    }

    /** @return iterable<int, string> */
    private function lines(ZipArchive $zip, string $table): iterable
    {
        $stream = $zip->getStream("tables/{$table}.jsonl");
        if ($stream === false) {
            return;
        }
        try {
            for ($number = 0; ($line = fgets($stream, self::LONGEST)) !== false; $number++) {
                if (strlen($line) === self::LONGEST - 1) {
                    throw BadBackup::lineTooLong($table, $number + 1);
                }
                yield $number => $line;
            }
        } finally {
            fclose($stream);
        }
    }
}

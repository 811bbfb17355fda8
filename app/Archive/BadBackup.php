<?php

declare(strict_types=1);

namespace App\Archive;

use Nasturtium\Core\Formats\BadInput;

/** A backup that cannot be put back; `$at` is its file and line. */
final class BadBackup extends BadInput
{
    public static function notMusicXml(): self
    {
        return new self('it is not MusicXML');
    }

    public static function noText(): self
    {
        return new self('it is no text');
    }

    public static function isNot(string $what): self
    {
        return new self("it is not {$what}");
    }

    public static function lastsTooLong(string $from, string $to, int $most): self
    {
        return new self("it lasts from {$from} to {$to}; at most {$most} days can be kept");
    }

    public static function barsBackwards(): self
    {
        return new self('its last bar is before its first');
    }

    public static function noListOfTasks(): self
    {
        return new self('it is not a list of at most 60 tasks');
    }

    public static function noLineAtSight(): self
    {
        return new self('it is no music in the shorthand');
    }

    public static function noListOfQuestions(int $most): self
    {
        return new self("it is not a list of at most {$most} questions");
    }

    /** @param list<string> $columns */
    public static function questionOfOtherColumns(array $columns): self
    {
        return new self('a question of it is not described by '.implode(', ', $columns));
    }

    /** @param list<string> $columns */
    public static function taskOfOtherColumns(array $columns): self
    {
        return new self('a task of it is not described by '.implode(', ', $columns));
    }

    public static function noArchive(): self
    {
        return new self('This is no archive, or it is cut short. Choose the file that the backup made.');
    }

    public static function studioInUse(): self
    {
        return new self('This studio has students or books already. A backup is restored into an empty one.');
    }

    public static function hereAlready(): self
    {
        return new self('This studio is on this installation already; its links would be there twice. Erase it first, or restore on another one.');
    }

    public static function rowDoesNotFit(): self
    {
        return new self('A row of this backup does not fit into its table. The file was changed, or is damaged.');
    }

    public static function notOfAStudio(): self
    {
        return new self('This is not the backup of a studio.');
    }

    public static function withoutVersion(): self
    {
        return new self('manifest.json: it has no version, so it is not known what its rows mean.');
    }

    public static function newer(): self
    {
        return new self('This backup is of a newer version. Bring this installation up to date first.');
    }

    public static function tooManyRows(): self
    {
        return new self('This archive has more rows than a studio. It is not the backup of one.');
    }

    public static function noRow(string $at): self
    {
        return new self("{$at}: this is no row.");
    }

    public static function unknownColumn(string $at, string $table, int|string $name): self
    {
        return new self("{$at}: there is no column '".mb_substr(mb_scrub((string) $name), 0, 40)."' in {$table}.");
    }

    public static function columnMissing(string $at, string $name): self
    {
        return new self("{$at}: its {$name} is missing.");
    }

    public static function inColumn(string $at, string $name, \Throwable $reason): self
    {
        return new self("{$at}, {$name}: ".rtrim($reason->getMessage(), '.').'.', previous: $reason);
    }

    public static function inRow(string $at, \Throwable $reason): self
    {
        return new self("{$at}: {$reason->getMessage()}.", previous: $reason);
    }

    public static function leadsNowhere(string $at, string $column): self
    {
        return new self("{$at}: its {$column} is not in this backup.");
    }

    public static function tooManyFiles(): self
    {
        return new self('This archive holds too many files. It is not the backup of a studio.');
    }

    public static function tooLarge(): self
    {
        return new self('This archive unpacks to more than 4 GB. It is not the backup of a studio.');
    }

    public static function lineTooLong(string $table, int $line): self
    {
        return new self("tables/{$table}.jsonl, line ".$line.': it is over 20 MB long.');
    }

    public static function unknownSetting(int|string $column): self
    {
        return new self("manifest.json: a studio has no setting '".mb_substr(mb_scrub((string) $column), 0, 40)."'.");
    }

    public static function badSetting(string $problem): self
    {
        return new self('manifest.json: '.$problem);
    }
}

<?php

declare(strict_types=1);

namespace App\Privacy;

use App\Student\Family\FamilyLink;
use App\Student\Student;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Rows that are about a student though they do not hang on one: patterns and drafts named after them, older mails. */
final class Mentions
{
    /** @return array<string, list<int>> ids by table */
    public static function of(Student $student): array
    {
        $in = static fn (string $table): Builder => DB::table($table)->where('studio_id', $student->studio_id);

        return [
            'week_patterns' => self::naming($student, $in('week_patterns'), ['name', 'tasks']),
            'drafts' => self::naming($student, $in('drafts'), ['text']),
            // Those of before it was known whom a mail is about.
            'mails' => array_values(array_unique([...self::naming($student, $in('mails')->whereNull('student_id'), ['subject', 'body']), ...self::sentTo($student)])),
            'accesses' => self::ids($in('accesses')->where('student_id', '<>', $student->id)->whereIn('who', FamilyLink::query()->where('student_id', $student->id)->select('label'))),
        ];
    }

    /** @return list<int> mails to the family, unless a brother or sister has the same address */
    private static function sentTo(Student $student): array
    {
        if ($student->family_mail === null || Student::query()->where('studio_id', $student->studio_id)->whereKeyNot($student->id)->where('family_mail', $student->family_mail)->exists()) {
            return [];
        }

        return self::ids(DB::table('mails')->where('studio_id', $student->studio_id)->whereNull('student_id')->where('to', $student->family_mail));
    }

    /**
     * @param  list<string>  $columns
     * @return list<int> ids of rows in which the first name stands as a word
     */
    private static function naming(Student $student, Builder $rows, array $columns): array
    {
        $word = '/(?<!\pL)'.preg_quote($student->first_name, '/').'(?!\pL)/iu';
        $found = [];
        foreach ($rows->select(['id', ...$columns])->lazyById(200) as $row) {
            $text = implode("\n", array_map(static fn (string $column): string => (string) $row->{$column}, $columns));
            // In a text that is kept as JSON letters may be escaped.
            $plain = (string) preg_replace_callback('/\\\\u([0-9a-f]{4})/i', static fn (array $one): string => mb_convert_encoding(pack('H*', $one[1]), 'UTF-8', 'UTF-16BE'), $text);
            if (preg_match($word, $plain) === 1) {
                $found[] = (int) $row->id;
            }
        }

        return $found;
    }

    /** @return list<int> */
    private static function ids(Builder $rows): array
    {
        return array_values(array_map(static fn (mixed $id): int => is_numeric($id) ? (int) $id : 0, $rows->pluck('id')->all()));
    }
}

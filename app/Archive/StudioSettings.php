<?php

declare(strict_types=1);

namespace App\Archive;

use App\Account\StudioRequest;
use Illuminate\Support\Facades\Validator;
use Nasturtium\Core\Formats\BadInput;

/** The settings of a studio as an archive has them, held to the same rules as a request. */
final class StudioSettings
{
    private const NAMES = ['name' => 'name', 'words' => 'words', 'paper' => 'paper', 'timezone' => 'timezone', 'phrases' => 'phrases', 'count_words' => 'countWords', 'consent_age' => 'consentAge', 'keep_drafts' => 'keepDrafts', 'keep_mails' => 'keepMails'];

    /** Of an archive from before it was a setting. */
    private const MISSING = ['words' => 'us', 'paper' => 'a4', 'timezone' => 'UTC'];

    /** @return list<string> columns that go into an archive */
    public static function columns(): array
    {
        return array_keys(self::NAMES);
    }

    /**
     * @param  array<array-key, mixed>  $given
     * @return array<string, mixed> columns of a studio
     *
     * @throws BadInput
     */
    public static function taken(array $given): array
    {
        $fields = [];
        foreach ($given as $column => $value) {
            $field = self::NAMES[$column] ?? throw BadBackup::unknownSetting($column);
            if ($value !== null || ! in_array($field, ['phrases', 'countWords'], true)) {
                $fields[$field] = $value;
            }
        }
        $fields += self::MISSING;
        $checked = Validator::make($fields, StudioRequest::settings());
        if ($checked->fails()) {
            throw BadBackup::badSetting($checked->errors()->first());
        }

        return StudioRequest::asColumns($fields);
    }
}

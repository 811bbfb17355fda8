<?php

declare(strict_types=1);

namespace App\Privacy;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * That somebody looked at the data of a student on a day, or took it out; each once a day.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $student_id
 * @property string $who the teacher, or the label of a home link
 * @property string $what
 * @property CarbonImmutable $on_date
 */
final class Access extends Model
{
    public const PAGE = 'page';

    public const PROGRESS = 'progress';

    public const HOME = 'home';

    public const EXPORT = 'export';

    public const REPORT = 'report';

    public const CALENDAR = 'calendar';

    public const KINDS = [self::PAGE, self::PROGRESS, self::HOME, self::EXPORT, self::REPORT, self::CALENDAR];

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['on_date' => 'immutable_date:Y-m-d'];
    }
}

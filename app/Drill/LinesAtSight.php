<?php

declare(strict_types=1);

namespace App\Drill;

use App\Desk\SettingsFor;
use App\Http\English;
use App\Page\Piece\PlaybackResource;
use App\Student\Student;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Performance\Playback;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Reading\NoteStatus;
use Nasturtium\Core\Sheet\SightSource;
use Nasturtium\Core\Sight\MakeLine;
use Nasturtium\Core\Sight\SightLevel;
use Nasturtium\Core\Sight\SightLine;
use Nasturtium\Core\Sight\SightMaterial;
use Nasturtium\Core\Sight\SightWent;

/** A line at sight for each day of a week, made of what the student has secured; kept, so that none comes again within a year (trade 16.1). */
final class LinesAtSight
{
    /** Signed-off pages that are looked at, the newest. */
    private const PAGES = 10;

    private const YEAR = 366;

    public function __construct(private readonly SettingsFor $settings) {}

    /**
     * @param  Student  $student  with the studio
     * @param  array<string, NoteStatus>  $known
     * @return list<SightLineResource> from today on; none where too few notes are secure
     */
    public function __invoke(Student $student, array $known, CarbonImmutable $today, int $days): array
    {
        $before = self::before($student, $today);
        $level = self::level($before);
        $make = null;
        $used = self::used($before);
        $lines = [];
        for ($day = 0; $day < $days; $day++) {
            $date = $today->addDays($day)->toDateString();
            $kept = $before->get($date);
            // What was tried stays; what is to come is of the level that the student has by now.
            if ($kept !== null && ($kept->went !== null || $day === 0 || (int) $kept->level === $level->value)) {
                $lines[] = $this->resource($student, $date, new SightLine((string) $kept->text, SightLevel::from((int) $kept->level), explode('; ', (string) $kept->reasons)), $kept->went);

                continue;
            }
            $make ??= new MakeLine($this->material($student, $known));
            $line = $make($level, crc32("{$student->id} sight {$date}"), $used);
            if ($line === null) {
                return [];
            }
            $used[$line->mark()] = CarbonImmutable::parse($date)->getTimestamp();
            DB::table('sight_lines')->upsert([['studio_id' => $student->studio_id, 'student_id' => $student->id, 'on_date' => $date, 'level' => $level->value, 'text' => $line->text, 'reasons' => implode('; ', $line->reasons)]], ['student_id', 'on_date'], ['level', 'text', 'reasons']);
            $lines[] = $this->resource($student, $date, $line, null);
        }

        return $lines;
    }

    /**
     * What lines on paper are made of: of the level that the student has, and none of the lines of the year.
     *
     * @param  array<string, NoteStatus>  $known
     */
    public function forPaper(Student $student, array $known): SightSource
    {
        $before = self::before($student, $student->today());

        return new SightSource($this->material($student, $known), self::level($before), self::used($before));
    }

    /** @return Collection<array-key, \stdClass> the lines of a year, by their days */
    private static function before(Student $student, CarbonImmutable $today): Collection
    {
        return DB::table('sight_lines')->where('student_id', $student->id)->where('on_date', '>=', $today->subDays(self::YEAR)->toDateString())->orderBy('on_date')->get()->keyBy('on_date');
    }

    /** How a line went; the next one follows from it. A line that was never given is none, nor is one whose day has not come. */
    public static function went(Student $student, string $date, SightWent $went): void
    {
        DB::table('sight_lines')->where('student_id', $student->id)->where('on_date', $date)->where('on_date', '<=', $student->today()->addDay()->toDateString())->update(['went' => $went->value]);
    }

    /** @param Collection<array-key, \stdClass> $before in their order */
    private static function level(Collection $before): SightLevel
    {
        $last = $before->whereNotNull('went')->last();

        return $last === null ? SightLevel::One : SightLevel::from((int) $last->level)->after(SightWent::from((string) $last->went));
    }

    /**
     * @param  Collection<array-key, \stdClass>  $before
     * @return array<string, int> when each was used, by its mark
     */
    private static function used(Collection $before): array
    {
        $used = [];
        foreach ($before as $row) {
            $used[(new SightLine((string) $row->text, SightLevel::One, ['']))->mark()] = CarbonImmutable::parse((string) $row->on_date)->getTimestamp();
        }

        return $used;
    }

    /** @param array<string, NoteStatus> $known */
    private function material(Student $student, array $known): SightMaterial
    {
        return SightMaterial::ofKnown(TypedPages::of($student->id, LearningState::Finished, 'finished_on', self::PAGES), $known);
    }

    private function resource(Student $student, string $date, SightLine $line, ?string $went): SightLineResource
    {
        $piece = $line->piece();

        return new SightLineResource(
            $date,
            $line->level->value,
            array_map(English::text(...), $line->reasons),
            MusicXmlWriter::write($piece->withoutTempo()),
            PlaybackResource::of(Playback::whole($piece, $this->settings->counting($student->studio, $student))),
            $went === null ? null : SightWent::from($went),
        );
    }
}

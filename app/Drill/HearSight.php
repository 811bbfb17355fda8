<?php

declare(strict_types=1);

namespace App\Drill;

use App\Listening\TakeHeardResource;
use App\Listening\TakeRequest;
use App\Student\Student;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Performance\Hearing\Hear;
use Nasturtium\Core\Performance\Hearing\Source;
use Nasturtium\Core\Performance\Hearing\TakeFile;
use Nasturtium\Core\Performance\Hearing\WrittenMusic;
use Nasturtium\Core\Sight\SightWent;

/** The line at sight of a day as it was played: told, and kept as how it went. The take itself is not kept. */
final class HearSight
{
    /** @return ?SightHeardResource null where the day has no line */
    public function __invoke(SightTakeRequest $request, Student $student): ?SightHeardResource
    {
        $date = $request->string('date')->toString();
        $line = DB::table('sight_lines')->where('student_id', $student->id)->where('on_date', $date)->value('text');
        $piece = is_string($line) ? ShorthandReader::read($line)->piece : null;
        if ($piece === null) {
            return null;
        }
        $take = TakeFile::read(TakeRequest::written((array) $request->input('notes')));
        $heard = Hear::take(WrittenMusic::of($piece), $take, Source::from($request->string('source')->toString()));
        $went = SightWent::heard($heard);
        LinesAtSight::went($student, $date, $went);

        return new SightHeardResource($went, TakeHeardResource::of($heard));
    }
}

<?php

declare(strict_types=1);

namespace App\Desk;

use App\Account\Studio;
use App\Page\Piece\Piece;
use App\Student\KnowNotes;
use App\Student\Paths\OwnPath;
use App\Student\Student;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Counting\CountWay;
use Nasturtium\Core\Counting\LengthWords;
use Nasturtium\Core\Fingering\OwnFingers;
use Nasturtium\Core\Path\Path;
use Nasturtium\Core\Path\PathKind;
use Nasturtium\Core\Pattern\Verdict;
use Nasturtium\Core\Reading\Landmarks;
use Nasturtium\Core\Reading\Phrases;
use Nasturtium\Core\Report\Settings;

/** How a piece is read, counted and learnt: by a student, or by nobody in particular in the studio's own words. */
final class SettingsFor
{
    public function __construct(private readonly KnowNotes $know) {}

    public function __invoke(Studio $studio, Piece $piece, ?Student $student = null): Settings
    {
        [$fingers, $verdicts] = self::words($piece);
        $phrases = Phrases::of($studio->phrases ?? []);
        $own = OwnFingers::of($fingers);
        if ($student === null) {
            return new Settings(
                counting: $this->usual($studio),
                phrases: $phrases,
                fingers: $own,
                octave: $piece->octave,
                verdicts: $verdicts,
                words: $studio->words,
            );
        }

        $learnings = $this->know->learnings($student);
        // A page that the student is on may have a path of its own.
        $on = $learnings->firstWhere('piece_id', $piece->id) ?? $student;

        return new Settings(
            path: $on->path_id === null
                ? Path::shipped($on->path instanceof PathKind ? $on->path : PathKind::from($on->path))
                : OwnPath::query()->with('steps')->findOrFail($on->path_id)->path(),
            school: $student->school,
            counting: $this->counting($studio, $student),
            landmarks: new Landmarks($student->landmark_level->value, $student->landmark_middle),
            known: ($this->know)($student, $piece, $learnings, $studio->today()),
            phrases: $phrases,
            fingers: $own,
            handSpan: $student->hand_span,
            age: $student->age($studio->today()),
            octave: $piece->octave,
            verdicts: $verdicts,
            words: $studio->words,
        );
    }

    /** As nobody in particular counts, in the studio's words. */
    public function usual(Studio $studio): CountWay
    {
        return new CountWay(noteWords: $studio->words);
    }

    public function counting(Studio $studio, Student $student): CountWay
    {
        return new CountWay(
            $student->counting,
            $student->count_style,
            $student->long_notes,
            $student->compound_beats,
            $studio->words,
            $student->count_ready,
            LengthWords::of($studio->count_words ?? []),
        );
    }

    /**
     * The teacher's word on a piece, all of it in one question to the database.
     *
     * @return array{array<string, int>, array<int, Verdict>} fingers by note, verdicts by measure number
     */
    private static function words(Piece $piece): array
    {
        $fingers = [];
        $verdicts = [];
        $rows = DB::table('own_fingers')->where('piece_id', $piece->id)->selectRaw("concat(hand, ' ', place, ' ', pitch) as at, finger as word")
            ->unionAll(DB::table('verdicts')->where('piece_id', $piece->id)->select(['measure as at', 'verdict as word']))->get();
        foreach ($rows as $row) {
            $verdict = Verdict::tryFrom((string) $row->word);
            if ($verdict === null) {
                $fingers[(string) $row->at] = (int) $row->word;
            } else {
                $verdicts[(int) $row->at] = $verdict;
            }
        }

        return [$fingers, $verdicts];
    }
}

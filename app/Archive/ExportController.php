<?php

declare(strict_types=1);

namespace App\Archive;

use App\Account\CurrentStudio;
use App\Account\User;
use App\Api\Download;
use App\Http\DownloadName;
use App\Http\FileAnswer;
use App\Privacy\Access;
use App\Privacy\NoteAccess;
use App\Student\Student;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What goes out whole: practice and marks as tables, all of one student. */
final class ExportController
{
    #[Download('/practice.csv')]
    public function practice(Request $request, CurrentStudio $studio): StreamedResponse
    {
        NoteAccess::ofStudio(self::who($request), $studio->get()->id);

        return self::table(PracticeTable::practice($studio->get()->id, null), 'practice');
    }

    #[Download('/marks.csv')]
    public function marks(Request $request, CurrentStudio $studio): StreamedResponse
    {
        NoteAccess::ofStudio(self::who($request), $studio->get()->id);

        return self::table(PracticeTable::marks($studio->get()->id, null), 'marks');
    }

    #[Download('/students/{student}/export')]
    public function student(Request $request, Student $student, PackRows $pack): BinaryFileResponse
    {
        NoteAccess::by(self::who($request), $student, Access::EXPORT);

        return FileAnswer::zip($pack->student($student), "{$student->first_name} {$student->initial}");
    }

    private static function who(Request $request): string
    {
        $user = $request->user();

        return $user instanceof User ? $user->name : '';
    }

    /** @param iterable<string> $parts */
    private static function table(iterable $parts, string $name): StreamedResponse
    {
        return new StreamedResponse(static function () use ($parts): void {
            foreach ($parts as $part) {
                echo $part;
                flush();
            }
        }, 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => DownloadName::of($name, 'csv'), 'X-Content-Type-Options' => 'nosniff']);
    }
}

<?php

declare(strict_types=1);

namespace App\Archive;

use App\Account\CurrentStudio;
use App\Account\Studio;
use App\Account\StudioResource;
use App\Account\User;
use App\Api\Download;
use App\Api\Post;
use App\Http\DownloadName;
use App\Http\FileAnswer;
use App\Privacy\Access;
use App\Privacy\NoteAccess;
use App\Student\Student;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Formats\BadInput;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** What goes out whole: practice and marks as tables, all of one student, all of a studio; and a studio that comes back. */
final class ExportController
{
    #[Download('/practice.csv')]
    public function practice(Request $request, CurrentStudio $studio): Response
    {
        NoteAccess::ofStudio(self::who($request), $studio->get()->id);

        return self::table(PracticeTable::practice($studio->get()->id, null), 'practice');
    }

    #[Download('/marks.csv')]
    public function marks(Request $request, CurrentStudio $studio): Response
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

    #[Download('/studios/{studio}/backup')]
    public function backup(Request $request, Studio $studio, PackRows $pack, CurrentStudio $current): BinaryFileResponse
    {
        NoteAccess::ofStudio(self::who($request), $studio->id);

        return FileAnswer::zip($pack->studio($studio), "{$studio->name} {$current->today()->toDateString()}");
    }

    #[Post('/studios/{studio}/restore', StudioResource::class)]
    public function restore(RestoreRequest $request, Studio $studio, RestoreStudio $restore): JsonResponse
    {
        try {
            $restore($studio, $request->uploaded());
        } catch (BadInput $reason) {
            throw ValidationException::withMessages(['file' => $reason->getMessage()]);
        }

        return new JsonResponse(StudioResource::of($studio->refresh()));
    }

    private static function who(Request $request): string
    {
        $user = $request->user();

        return $user instanceof User ? $user->name : '';
    }

    private static function table(string $csv, string $name): Response
    {
        return new Response($csv, 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => DownloadName::of($name, 'csv'), 'X-Content-Type-Options' => 'nosniff']);
    }
}

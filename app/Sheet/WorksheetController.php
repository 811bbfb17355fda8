<?php

declare(strict_types=1);

namespace App\Sheet;

use App\Account\CurrentStudio;
use App\Api\Delete;
use App\Api\Get;
use App\Api\Post;
use App\Api\Put;
use App\Page\Piece\Piece;
use App\Student\Student;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;

/** Worksheets: made, kept, given and marked. */
final class WorksheetController
{
    /** The newest that are listed. */
    private const SHOWN = 100;

    #[Get('/worksheets', WorksheetResource::class, many: true)]
    public function index(CurrentStudio $studio): JsonResponse
    {
        $sheets = Worksheet::query()->where('studio_id', $studio->get()->id)->with('given.student')->orderByDesc('number');
        $sheets->limit(self::SHOWN);

        return new JsonResponse($sheets->get(['id', 'number', 'kind', 'count', 'created_at'])->map(WorksheetResource::of(...)));
    }

    #[Post('/worksheets/preview', SheetItemResource::class, many: true)]
    public function preview(SheetRequest $request, CurrentStudio $studio, SheetItems $items): JsonResponse
    {
        return new JsonResponse($items($request, $studio->get(), self::student($request, $studio), self::piece($request, $studio)));
    }

    #[Post('/worksheets', WorksheetResource::class)]
    public function store(SheetRequest $request, CurrentStudio $studio, SheetItems $items, KeepSheet $keep): JsonResponse
    {
        $student = self::student($request, $studio);
        $made = $items($request, $studio->get(), $student, self::piece($request, $studio));
        if ($made === []) {
            throw ValidationException::withMessages(['kind' => 'There is nothing to make these questions of. Choose other notes or another page.']);
        }

        return new JsonResponse(WorksheetResource::of($keep($request, $studio->get(), $made, $student)->load('given.student')), 201);
    }

    #[Get('/worksheets/{worksheet}', PrintedSheetResource::class)]
    public function show(Worksheet $worksheet): JsonResponse
    {
        return new JsonResponse(PrintedSheetResource::of($worksheet));
    }

    #[Delete('/worksheets/{worksheet}')]
    public function destroy(Worksheet $worksheet): Response
    {
        $worksheet->delete();

        return new Response(status: 204);
    }

    #[Put('/worksheets/{worksheet}/students/{student}', WorksheetResource::class)]
    public function mark(MarkSheetRequest $request, Worksheet $worksheet, Student $student, GiveSheet $give): JsonResponse
    {
        $right = $request->input('right');
        if ($right !== null && $request->integer('right') > $worksheet->count) {
            throw ValidationException::withMessages(['right' => "This sheet has {$worksheet->count} questions."]);
        }
        $give($worksheet, $student->load('studio'))->update(['right' => $right, 'marked_on' => $right === null ? null : $student->today()->toDateString()]);

        return new JsonResponse(WorksheetResource::of($worksheet->load('given.student')));
    }

    #[Delete('/worksheets/{worksheet}/students/{student}')]
    public function takeBack(Worksheet $worksheet, Student $student): Response
    {
        GivenWorksheet::query()->where('worksheet_id', $worksheet->id)->where('student_id', $student->id)->delete();

        return new Response(status: 204);
    }

    private static function student(SheetRequest $request, CurrentStudio $studio): ?Student
    {
        return $request->input('studentId') === null ? null : Student::query()->where('studio_id', $studio->get()->id)->with('studio')->findOrFail($request->integer('studentId'));
    }

    private static function piece(SheetRequest $request, CurrentStudio $studio): ?Piece
    {
        return $request->input('pieceId') === null ? null : Piece::query()->where('studio_id', $studio->get()->id)->findOrFail($request->integer('pieceId'));
    }
}

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
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Sheet\MakeSheet;

/** Worksheets: made, kept, given and marked. */
final class WorksheetController
{
    /** The newest that are listed. */
    private const SHOWN = 100;

    public function __construct(private readonly SheetMaterial $material) {}

    #[Get('/worksheets', WorksheetResource::class, many: true)]
    public function index(CurrentStudio $studio): JsonResponse
    {
        $sheets = Worksheet::query()->where('studio_id', $studio->get()->id)->with('given.student')->orderByDesc('number');
        $sheets->limit(self::SHOWN);

        return new JsonResponse($sheets->get(['id', 'number', 'kind', 'count', 'created_at'])->map(WorksheetResource::of(...)));
    }

    #[Post('/worksheets/preview', SheetItemResource::class, many: true)]
    public function preview(SheetRequest $request, CurrentStudio $studio): JsonResponse
    {
        return new JsonResponse($this->items($request, $studio));
    }

    #[Post('/worksheets', WorksheetResource::class)]
    public function store(SheetRequest $request, CurrentStudio $studio): JsonResponse
    {
        $items = $this->items($request, $studio);
        if ($items === []) {
            throw ValidationException::withMessages(['kind' => 'There is nothing to make these questions of. Choose other notes or another page.']);
        }
        $sheet = DB::transaction(static function () use ($request, $studio, $items): Worksheet {
            $of = $studio->get()->id;
            // One after the other, so that no number is given twice.
            DB::table('studios')->where('id', $of)->lockForUpdate()->value('id');
            $number = 1 + (int) Worksheet::query()->where('studio_id', $of)->max('number');

            return Worksheet::query()->create([
                'studio_id' => $of, 'number' => $number, 'kind' => $request->kind(), 'count' => count($items), 'hard' => $request->integer('hard'),
                'clefs' => implode(',', $request->texts('clefs')), 'seed' => $request->integer('seed'), 'items' => $items,
            ]);
        });
        $student = $this->student($request, $studio);
        if ($student !== null) {
            self::give($sheet, $student);
        }

        return new JsonResponse(WorksheetResource::of($sheet->load('given.student')), 201);
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
    public function mark(MarkSheetRequest $request, Worksheet $worksheet, Student $student): JsonResponse
    {
        $right = $request->input('right');
        if ($right !== null && $request->integer('right') > $worksheet->count) {
            throw ValidationException::withMessages(['right' => "This sheet has {$worksheet->count} questions."]);
        }
        $given = self::give($worksheet, $student);
        $given->update(['right' => $right, 'marked_on' => $right === null ? null : $student->load('studio')->today()->toDateString()]);

        return new JsonResponse(WorksheetResource::of($worksheet->load('given.student')));
    }

    #[Delete('/worksheets/{worksheet}/students/{student}')]
    public function takeBack(Worksheet $worksheet, Student $student): Response
    {
        GivenWorksheet::query()->where('worksheet_id', $worksheet->id)->where('student_id', $student->id)->delete();

        return new Response(status: 204);
    }

    private static function give(Worksheet $sheet, Student $student): GivenWorksheet
    {
        return GivenWorksheet::query()->createOrFirst(
            ['worksheet_id' => $sheet->id, 'student_id' => $student->id],
            ['studio_id' => $sheet->studio_id, 'given_on' => $student->loadMissing('studio')->today()->toDateString()],
        );
    }

    private function student(SheetRequest $request, CurrentStudio $studio): ?Student
    {
        return $request->input('studentId') === null ? null : Student::query()->where('studio_id', $studio->get()->id)->with('studio')->findOrFail($request->integer('studentId'));
    }

    /** @return list<SheetItemResource> */
    private function items(SheetRequest $request, CurrentStudio $studio): array
    {
        $piece = $request->input('pieceId') === null ? null : Piece::query()->where('studio_id', $studio->get()->id)->findOrFail($request->integer('pieceId'));
        $material = ($this->material)($studio->get(), $this->student($request, $studio), $piece, $request->texts('notes'), $request->texts('clefs'));

        return array_map(SheetItemResource::of(...), (new MakeSheet($material, $request->integer('hard'), $request->integer('seed')))($request->kind(), $request->integer('count')));
    }
}

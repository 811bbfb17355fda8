<?php

declare(strict_types=1);

namespace App\Drill;

use App\Api\Get;
use App\Api\Post;
use App\Api\Put;
use App\Student\Family\FamilyLink;
use App\Student\Student;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Drill\DrillKind;
use Nasturtium\Core\Sight\SightWent;

/** The practice room: its cards, and what was answered; at home and at the lesson. */
final class RoomController
{
    #[Get('/home/room', RoomResource::class, query: ['student' => 'integer'])]
    public function home(Request $request, MakeRoom $make): JsonResponse
    {
        $link = $request->user('family');
        assert($link instanceof FamilyLink);

        return new JsonResponse($make($link->child($request->integer('student', $link->student_id))));
    }

    #[Post('/home/answers')]
    public function answersFromHome(AnswersRequest $request, TakeAnswers $take): Response
    {
        $link = $request->user('family');
        assert($link instanceof FamilyLink);

        return self::taken($request, $link->child($request->integer('studentId')), $take);
    }

    #[Get('/students/{student}/room', RoomResource::class)]
    public function show(Student $student, MakeRoom $make): JsonResponse
    {
        return new JsonResponse($make($student->load('studio')));
    }

    #[Post('/students/{student}/answers')]
    public function answers(AnswersRequest $request, Student $student, TakeAnswers $take): Response
    {
        return self::taken($request, $student->load('studio'), $take);
    }

    #[Put('/home/sight')]
    public function sightFromHome(SightRequest $request): Response
    {
        $link = $request->user('family');
        assert($link instanceof FamilyLink);

        return self::went($request, $link->child($request->integer('studentId')));
    }

    #[Put('/students/{student}/sight')]
    public function sight(SightRequest $request, Student $student): Response
    {
        return self::went($request, $student->load('studio'));
    }

    #[Put('/home/sight/take', SightHeardResource::class)]
    public function sightHeardFromHome(SightTakeRequest $request, HearSight $hear): JsonResponse
    {
        $link = $request->user('family');
        assert($link instanceof FamilyLink);

        return self::told($hear($request, $link->child($request->integer('studentId'))));
    }

    #[Put('/students/{student}/sight/take', SightHeardResource::class)]
    public function sightHeard(SightTakeRequest $request, Student $student, HearSight $hear): JsonResponse
    {
        return self::told($hear($request, $student->load('studio')));
    }

    private static function told(?SightHeardResource $heard): JsonResponse
    {
        return $heard === null ? throw ValidationException::withMessages(['date' => 'This day has no line at sight.']) : new JsonResponse($heard);
    }

    private static function went(SightRequest $request, Student $student): Response
    {
        LinesAtSight::went($student, $request->string('date')->toString(), SightWent::from($request->string('went')->toString()));

        return new Response(status: 204);
    }

    private static function taken(AnswersRequest $request, Student $student, TakeAnswers $take): Response
    {
        $take($student, $request->string('session')->toString(), DrillKind::from($request->string('kind')->toString()), $request->answers());

        return new Response(status: 204);
    }
}

<?php

declare(strict_types=1);

namespace App\Lesson\Timetable;

use App\Account\CurrentStudio;
use App\Api\Delete;
use App\Api\Get;
use App\Api\Post;
use App\Http\WrongTokens;
use App\Privacy\Access;
use App\Privacy\NoteAccess;
use App\Student\Family\FamilyLink;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** Calendars that other programs subscribe to, by a private address that can be withdrawn. */
final class CalendarController
{
    #[Get('/calendars', CalendarFeedResource::class, many: true)]
    public function index(CurrentStudio $studio): JsonResponse
    {
        return new JsonResponse(CalendarFeed::query()->where('studio_id', $studio->get()->id)->orderBy('id')->get()->map(static fn (CalendarFeed $feed): CalendarFeedResource => CalendarFeedResource::of($feed)));
    }

    #[Post('/calendars', CalendarFeedResource::class)]
    public function store(CalendarRequest $request, CurrentStudio $studio): JsonResponse
    {
        $token = Str::random(40);
        $feed = CalendarFeed::query()->create(['studio_id' => $studio->get()->id, 'student_id' => $request->filled('studentId') ? $request->integer('studentId') : null, 'token_hash' => FamilyLink::hash($token)]);

        return new JsonResponse(CalendarFeedResource::of($feed, $token));
    }

    #[Delete('/calendars/{calendar}')]
    public function destroy(CalendarFeed $calendar): Response
    {
        $calendar->delete();

        return new Response(status: 204);
    }

    /** For whoever knows the address. */
    public function show(Request $request, string $token, CalendarOf $calendar): Response
    {
        WrongTokens::hold($request);
        $feed = CalendarFeed::query()->where('token_hash', FamilyLink::hash($token))->with(['studio', 'student.studio'])->first();
        if ($feed === null || $feed->student?->left_on !== null) {
            WrongTokens::note($request);
            abort(404);
        }
        $feed->update(['used_at' => now()]);
        if ($feed->student !== null) {
            NoteAccess::by('a calendar', $feed->student, Access::CALENDAR);
        }

        return new Response($calendar($feed), 200, ['Content-Type' => 'text/calendar; charset=utf-8', 'Content-Disposition' => 'inline; filename="piano.ics"']);
    }
}

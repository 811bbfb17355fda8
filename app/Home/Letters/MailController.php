<?php

declare(strict_types=1);

namespace App\Home\Letters;

use App\Account\CurrentStudio;
use App\Account\User;
use App\Api\Get;
use App\Api\Post;
use App\Privacy\Access;
use App\Privacy\NoteAccess;
use App\Student\Student;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;

/** Mail to families, and the outbox that keeps it where no mailer is named. */
final class MailController
{
    private const MONTHS = 6;

    /** Of the last months, newest first. What is about an account is for its owner’s eyes alone. */
    #[Get('/mails', MailResource::class, many: true)]
    public function index(CurrentStudio $studio, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(Mail::query()->where('studio_id', $studio->get()->id)->where(static fn ($mail) => $mail->whereNotNull('student_id')->orWhereIn('to', array_filter([$user->email, $user->new_email])))->where('created_at', '>=', now()->subMonths(self::MONTHS))->orderByDesc('id')->get()->map(MailResource::of(...)));
    }

    #[Post('/students/{student}/report')]
    public function report(ReportRequest $request, Student $student): Response
    {
        if ($student->family_mail === null) {
            throw ValidationException::withMessages(['student' => 'There is no mail address of the family yet. Enter one on the student’s page.']);
        }
        $user = $request->user();
        NoteAccess::by($user instanceof User ? $user->name : '', $student, Access::REPORT);
        WriteToFamily::report($student->load('studio'), $request->string('title')->trim()->toString(), $request->lines());

        return new Response(status: 204);
    }
}

<?php

declare(strict_types=1);

namespace App\Home\Letters;

use App\Account\CurrentStudio;
use App\Account\Letters\Mail;
use App\Account\Letters\MailState;
use App\Account\User;
use App\Api\Get;
use App\Api\Post;
use App\Api\Put;
use App\Privacy\Access;
use App\Privacy\NoteAccess;
use App\Student\Student;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Mail to families, and the outbox: what was written, and what has become of it. */
final class MailController
{
    private const MONTHS = 6;

    /** Of the last months, newest first. */
    #[Get('/mails', MailResource::class, many: true)]
    public function index(CurrentStudio $studio, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(self::shown($studio, $user)->get()->map(MailResource::of(...)));
    }

    /** Those that no mail server takes, for whoever thinks that they have gone. */
    #[Get('/mails/refused', MailResource::class, many: true)]
    public function refused(CurrentStudio $studio, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(self::shown($studio, $user)->whereNull('waits_since')->whereNull('sent_at')->whereNotNull('trouble')->get()->map(MailResource::of(...)));
    }

    /** One that was refused is sent again, to the address that the family has now, or left as it is. */
    #[Put('/mails/{mail}', MailResource::class)]
    public function update(MailRequest $request, Mail $mail, CurrentStudio $studio, #[CurrentUser] User $user): JsonResponse
    {
        $mail = DB::transaction(static function () use ($request, $mail, $studio, $user): Mail {
            $mail = self::shown($studio, $user)->whereKey($mail->id)->lockForUpdate()->firstOrFail();
            if ($mail->state() === MailState::Refused) {
                $request->boolean('again') ? $mail->sendAgain() : $mail->update(['trouble' => null]);
            }

            return $mail;
        });

        return new JsonResponse(MailResource::of($mail));
    }

    #[Post('/students/{student}/report')]
    public function report(ReportRequest $request, Student $student): Response
    {
        $to = $student->family_mail;
        if ($to === null) {
            throw ValidationException::withMessages(['student' => 'There is no mail address of the family yet. Enter one on the student’s page.']);
        }
        $user = $request->user();
        NoteAccess::by($user instanceof User ? $user->name : '', $student, Access::REPORT);
        WriteToFamily::report($student->load('studio'), $to, $request->string('title')->trim()->toString(), $request->lines());

        return new Response(status: 204);
    }

    /**
     * What is about an account is for its owner’s eyes alone.
     *
     * @return Builder<Mail>
     */
    private static function shown(CurrentStudio $studio, User $user): Builder
    {
        return Mail::query()->where('studio_id', $studio->get()->id)->where(static fn (Builder $mail) => $mail->whereNotNull('student_id')->orWhereIn('to', array_filter([$user->email, $user->new_email])))->where('created_at', '>=', now()->subMonths(self::MONTHS))->orderByDesc('id');
    }
}

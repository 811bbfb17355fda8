<?php

declare(strict_types=1);

namespace App\Home\Letters;

use App\Account\Letters\Mail;
use App\Account\Letters\MailState;
use OpenApi\Attributes as OA;

/** A letter in the outbox, and what has become of it. */
#[OA\Schema]
final readonly class MailResource
{
    /**
     * @param ?int    $studentId about whom it is; null: about an account
     * @param string  $body    empty where a link to an account was in it and it is sent
     * @param ?string $trouble why it has not gone yet, or does not go
     */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public ?int $studentId,
        #[OA\Property]
        public string $to,
        #[OA\Property]
        public string $subject,
        #[OA\Property]
        public string $body,
        #[OA\Property]
        public string $at,
        #[OA\Property]
        public MailState $state,
        #[OA\Property]
        public ?string $trouble,
    ) {}

    public static function of(Mail $mail): self
    {
        return new self($mail->id, $mail->student_id, $mail->to, $mail->subject, $mail->body, $mail->created_at->toIso8601String(), $mail->state(), $mail->trouble);
    }
}

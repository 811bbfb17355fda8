<?php

declare(strict_types=1);

namespace App\Home\Letters;

use OpenApi\Attributes as OA;

/** A mail in the outbox. */
#[OA\Schema]
final readonly class MailResource
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $to,
        #[OA\Property]
        public string $subject,
        #[OA\Property]
        public string $body,
        #[OA\Property]
        public string $at,
    ) {}

    public static function of(Mail $mail): self
    {
        return new self($mail->id, $mail->to, $mail->subject, $mail->body, $mail->created_at->toIso8601String());
    }
}

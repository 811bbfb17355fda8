<?php

declare(strict_types=1);

namespace App\Home\Letters;

use App\Account\Letter;

use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Email;

/** Keeps mail to be read in the application, where nothing is sent: the stand-in for a mail server. */
final class Outbox extends AbstractTransport
{
    public function __toString(): string
    {
        return 'outbox';
    }

    protected function doSend(SentMessage $message): void
    {
        $mail = $message->getOriginalMessage();
        if (! $mail instanceof Email) {
            return;
        }
        Mail::query()->create([
            'studio_id' => (int) $mail->getHeaders()->get(Letter::STUDIO)?->getBodyAsString(),
            'student_id' => (int) $mail->getHeaders()->get(Letter::STUDENT)?->getBodyAsString() ?: null,
            'to' => implode(', ', array_map(static fn (Address $to): string => $to->getAddress(), $mail->getTo())),
            'subject' => (string) $mail->getSubject(),
            'body' => (string) $mail->getTextBody(),
        ]);
    }
}

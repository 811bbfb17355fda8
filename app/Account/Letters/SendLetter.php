<?php

declare(strict_types=1);

namespace App\Account\Letters;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Mail\Message;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Mail as Mailer;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;
use Throwable;

/**
 * Gives a letter to the mail server, and tries again for two hours where none answers. Done twice it sends once; where a
 * worker ends between the server's yes and the row that says so, the second letter has the first one's Message-ID.
 */
final class SendLetter implements ShouldQueue
{
    use Queueable;

    /** A letter that has waited longer is perhaps not wanted any more, or was sent before a backup came back. */
    private const HOURS = 24;

    /** Answers of a mail server from here on are its last word (RFC 5321, 4.2.1). */
    private const FOR_GOOD = 500;

    /** Seconds after each try, two hours in all. */
    private const PAUSES = [30, 120, 600, 1800, 4800];

    private const SILENT = 'The mail server did not take it for two hours. Send it again, or tell whoever looks after it.';

    public int $tries = 6;

    public int $timeout = 45;

    public function __construct(private readonly int $mailId)
    {
        $this->onQueue('letters');
    }

    public function handle(): void
    {
        $mail = Mail::query()->find($this->mailId);
        if ($mail?->waits_since === null) {
            return;
        }
        if (! Letter::leaves()) {
            $mail->update(['waits_since' => null, 'trouble' => null]);

            return;
        }
        if ($mail->waits_since->isBefore(now()->subHours(self::HOURS))) {
            $this->settle($mail, 'It has waited longer than a day. Send it again if it is still wanted.');

            return;
        }
        try {
            Mailer::raw($mail->body, static function (Message $message) use ($mail): void {
                $message->to($mail->to)->subject($mail->subject);
                $message->getSymfonyMessage()->getHeaders()->addIdHeader('Message-ID', self::name($mail));
            });
        } catch (TransportExceptionInterface $reason) {
            $this->trouble($mail, (int) $reason->getCode());

            return;
        }
        $this->settle($mail, null);
    }

    /** A worker that ended within each of the tries says nothing of why. */
    public function failed(?Throwable $reason): void
    {
        $mail = Mail::query()->find($this->mailId);
        if ($mail?->waits_since !== null) {
            $this->settle($mail, self::SILENT);
        }
    }

    /** What the server says may name whom the letter is for, so that its number alone is logged. */
    private function trouble(Mail $mail, int $code): void
    {
        Log::warning('A letter was not taken.', ['mail' => $mail->id, 'code' => $code, 'try' => $this->attempts()]);
        if ($code >= self::FOR_GOOD) {
            $this->settle($mail, "The mail server does not take it ({$code}). Look at the address, then send it again.");
        } elseif ($this->attempts() >= $this->tries) {
            $this->settle($mail, self::SILENT);
        } else {
            $mail->update(['trouble' => 'The mail server does not take it yet. It is tried again by itself.']);
            $this->release(self::PAUSES[$this->attempts() - 1]);
        }
    }

    private function settle(Mail $mail, ?string $trouble): void
    {
        $mail->update([
            'waits_since' => null,
            'sent_at' => $trouble === null ? now() : null,
            'trouble' => $trouble,
            // A link that opens an account is nobody's but its reader's.
            'body' => $trouble === null && $mail->student_id === null ? '' : $mail->body,
        ]);
    }

    private static function name(Mail $mail): string
    {
        return "letter-{$mail->id}-{$mail->waits_since?->getTimestamp()}@".(parse_url((string) config('app.url'), PHP_URL_HOST) ?: 'nasturtium.example');
    }
}

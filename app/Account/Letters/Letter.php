<?php

declare(strict_types=1);

namespace App\Account\Letters;

use App\Account\Studio;
use Illuminate\Support\Facades\DB;

/** A plain letter of a studio: to a family about a student, or about an account. */
final readonly class Letter
{
    /** What `mail.default` says where no mailer is named: letters stay in the outbox, to be read there. */
    private const STAYS = 'outbox';

    /**
     * @param ?int         $student the letter goes with them when they are erased
     * @param list<string> $lines
     */
    public function __construct(private Studio $studio, private ?int $student, private string $title, private array $lines) {}

    /** Whether a mailer is named. */
    public static function leaves(): bool
    {
        return config('mail.default') !== self::STAYS;
    }

    /**
     * Kept first, then sent by the queue: who writes it waits for no mail server, and what is tried again writes it once.
     * Within a transaction it is written with all else, or not at all.
     */
    public function post(string $to): void
    {
        $leaves = self::leaves();
        DB::transaction(function () use ($to, $leaves): void {
            $mail = Mail::query()->create([
                'studio_id' => $this->studio->id,
                'student_id' => $this->student,
                'to' => $to,
                'subject' => $this->title,
                'body' => implode("\n", [...$this->lines, '', $this->studio->name, '']),
                'waits_since' => $leaves ? now() : null,
            ]);
            if ($leaves) {
                SendLetter::dispatch($mail->id);
            }
        });
    }
}

<?php

declare(strict_types=1);

namespace App\Account\Letters;

use App\Student\Student;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A letter that was written, and what has become of it.
 *
 * @property int $id
 * @property int $studio_id
 * @property ?int $student_id about whom it is
 * @property string $to
 * @property string $subject
 * @property string $body
 * @property ?Carbon $waits_since the queue is to send it
 * @property ?Carbon $sent_at a mail server has taken it
 * @property ?string $trouble why it has not gone yet, or does not go
 * @property Carbon $created_at
 */
final class Mail extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['waits_since' => 'datetime', 'sent_at' => 'datetime'];
    }

    public function state(): MailState
    {
        return match (true) {
            $this->waits_since !== null => MailState::Waiting,
            $this->sent_at !== null => MailState::Sent,
            $this->trouble !== null => MailState::Refused,
            default => MailState::Kept,
        };
    }

    /** To the address that the family has now. */
    public function sendAgain(): void
    {
        $to = Student::query()->whereKey($this->student_id)->value('family_mail');
        $this->update(['to' => is_string($to) ? $to : $this->to, 'waits_since' => now(), 'trouble' => null]);
        SendLetter::dispatch($this->id);
    }
}

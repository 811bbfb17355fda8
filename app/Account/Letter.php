<?php

declare(strict_types=1);

namespace App\Account;

use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Mail\Mailables\Headers;

/** A plain letter of a studio: to a family about a student, or about an account. */
final class Letter extends Mailable
{
    /** Names the studio, so that the outbox knows whose it is. */
    public const STUDIO = 'X-Studio';

    /** Names the student, so that the letter goes with them when they are erased. */
    public const STUDENT = 'X-Student';

    /** @param list<string> $lines */
    public function __construct(private readonly Studio $studio, private readonly ?int $student, private readonly string $title, private readonly array $lines) {}

    public function envelope(): Envelope
    {
        return new Envelope(subject: $this->title);
    }

    public function headers(): Headers
    {
        return new Headers(text: [self::STUDIO => (string) $this->studio->id, ...$this->student === null ? [] : [self::STUDENT => (string) $this->student]]);
    }

    public function content(): Content
    {
        return new Content(text: 'mail.letter', with: ['lines' => $this->lines, 'studio' => $this->studio->name]);
    }
}

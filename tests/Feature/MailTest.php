<?php

declare(strict_types=1);

use App\Home\Letters\Mail;
use Tests\Fixtures;

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->actingAs($this->own->teacher);
    $this->week = $this->postJson("/api/students/{$this->own->student->id}/weeks", [])->json('id');
    $this->outbox = fn (): array => $this->getJson('/api/mails')->assertOk()->json();
});

test('a week that is sent goes to the family’s address too, once, and can be read in the outbox', function (): void {
    $this->own->student->update(['family_mail' => 'family@home.example']);
    $this->putJson("/api/weeks/{$this->week}/sent", ['message' => 'Slow is fine.'])->assertOk();
    $this->putJson("/api/weeks/{$this->week}/sent")->assertOk();
    $mails = ($this->outbox)();
    expect($mails)->toHaveCount(1)
        ->and($mails[0])->toMatchArray(['to' => 'family@home.example', 'subject' => 'Ida’s week from 5 May'])
        ->and($mails[0]['body'])->toContain('Slow is fine.', 'Look over, Blue Gate (', 'The next lesson is on Monday, 12 May.', 'north');
    $this->actingAs((new Fixtures('south'))->teacher);
    expect(($this->outbox)())->toBe([]);
});

test('without an address nothing is written', function (): void {
    $this->putJson("/api/weeks/{$this->week}/sent")->assertOk();
    expect(Mail::query()->count())->toBe(0);
    $this->postJson("/api/students/{$this->own->student->id}/report", ['title' => 'Spring', 'words' => 'Ida sings.'])
        ->assertJsonPath('errors.student.0', 'There is no mail address of the family yet. Enter one on the student’s page.');
});

test('a report goes out in the teacher’s words', function (): void {
    $this->own->student->update(['family_mail' => 'family@home.example']);
    $this->postJson("/api/students/{$this->own->student->id}/report", ['title' => 'Ida, spring', 'words' => "Ida sings.\nAnd plays <3."])->assertNoContent();
    expect(($this->outbox)()[0])->toMatchArray(['subject' => 'Ida, spring', 'body' => "Ida sings.\nAnd plays <3.\n\nnorth\n"]);
    $this->postJson("/api/students/{$this->own->student->id}/report", ['title' => '', 'words' => ''])->assertJsonValidationErrors(['title', 'words']);
});

test('where the mailer does not take it, the week is not sent by halves', function (): void {
    config(['mail.default' => 'smtp', 'mail.mailers.smtp.host' => '127.0.0.1', 'mail.mailers.smtp.port' => 9]);
    $this->own->student->update(['family_mail' => 'family@home.example']);
    $this->putJson("/api/weeks/{$this->week}/sent", ['message' => 'Slow.'])->assertJsonPath('errors.mail.0', fn (string $says): bool => str_contains($says, 'family@home.example could not be sent, so nothing was'));
    expect($this->getJson("/api/weeks/{$this->week}")->json())->toMatchArray(['sentAt' => null, 'message' => '']);
});

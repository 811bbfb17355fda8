<?php

declare(strict_types=1);

use App\Account\Letters\Mail;
use App\Account\Letters\SendLetter;
use App\Account\Members\Role;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail as Mailer;
use Symfony\Component\Process\Process;
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

/**
 * A mail server for one letter, that says a line to each line of the worker's which the queue lets come.
 *
 * @param  list<string> $says
 * @return string what it was told
 */
function mailed_through(array $says): string
{
    $script = <<<'PHP'
        $server = stream_socket_server('tcp://127.0.0.1:0');
        fwrite(STDOUT, explode(':', stream_socket_get_name($server, false))[1]."\n");
        $says = json_decode($argv[1]);
        $client = @stream_socket_accept($server, 5);
        $letter = false;
        for ($line = ''; $client !== false && $line !== false; $line = fgets($client)) {
            fwrite(STDOUT, $line);
            $letter = $letter && $line !== ".\r\n";
            if (! $letter && $says !== []) {
                fwrite($client, array_shift($says)."\r\n");
            }
            $letter = $letter || $line === "DATA\r\n";
        }
        PHP;
    $server = new Process([PHP_BINARY, '-r', $script, '--', json_encode($says)]);
    $server->start();
    $server->waitUntil(static fn (string $type, string $told): bool => str_contains($told, "\n"));
    config(['mail.default' => 'smtp', 'mail.mailers.smtp.host' => '127.0.0.1', 'mail.mailers.smtp.port' => (int) $server->getOutput()]);
    worked();
    $server->stop(5);

    return $server->getOutput();
}

function worked(): void
{
    Mailer::purge('smtp');
    Artisan::call('queue:work', ['connection' => 'database', '--queue' => 'letters', '--once' => true, '--sleep' => 0]);
    Mailer::purge('smtp');
}

const TAKES = ['220 here', '250 hello', '250 from', '250 to', '354 go on', '250 taken', '221 bye'];
const REFUSES = ['220 here', '250 hello', '250 from', '550 nobody of that name', '250 reset', '221 bye'];
const IS_BUSY = ['220 here', '250 hello', '451 later', '250 reset', '221 bye'];

describe('with a mail server', function (): void {
    beforeEach(function (): void {
        config(['mail.default' => 'smtp', 'mail.mailers.smtp.host' => '127.0.0.1', 'mail.mailers.smtp.port' => 9, 'queue.default' => 'database']);
        $this->own->student->update(['family_mail' => 'family@home.example']);
        $this->send = fn () => $this->putJson("/api/weeks/{$this->week}/sent", ['message' => 'Slow is fine.'])->assertOk();
        $this->state = fn (): array => array_map(fn (array $mail): array => [$mail['state'], $mail['trouble']], ($this->outbox)());
    });

    test('a letter is kept with what it tells of, goes by the queue, and goes once', function (): void {
        ($this->send)();
        expect(($this->state)())->toBe([['waiting', null]]);
        $said = mailed_through(TAKES);
        $mail = Mail::query()->sole();
        expect($said)->toContain('RCPT TO:<family@home.example>', 'Slow is fine.', "Message-ID: <letter-{$mail->id}-")
            ->and(($this->state)())->toBe([['sent', null]])
            ->and(($this->outbox)()[0]['body'])->toContain('Slow is fine.');
        // The job once more, as after a worker that ended before it could say that it was done.
        (new SendLetter($mail->id))->handle();
        expect(($this->state)())->toBe([['sent', null]])->and($mail->refresh()->updated_at->equalTo($mail->sent_at))->toBeTrue();
    });

    test('what is not written is not sent: a plan whose keeping fails leaves no letter and no job', function (): void {
        try {
            DB::transaction(function (): void {
                ($this->send)();
                throw new RuntimeException('the row after it');
            });
        } catch (RuntimeException) {
        }
        expect(Mail::query()->count() + DB::table('jobs')->count())->toBe(0);
    });

    test('an address that is refused is told, and the letter goes to the one that the family has then', function (): void {
        ($this->send)();
        mailed_through(REFUSES);
        expect(($this->state)())->toBe([['refused', 'The mail server does not take it (550). Look at the address, then send it again.']])
            ->and($this->getJson('/api/mails/refused')->json('*.to'))->toBe(['family@home.example'])
            ->and(DB::table('jobs')->count())->toBe(0);
        $this->own->student->update(['family_mail' => 'other@home.example']);
        $id = ($this->outbox)()[0]['id'];
        $this->putJson("/api/mails/{$id}", ['again' => true])->assertOk()->assertJsonPath('state', 'waiting');
        $this->putJson("/api/mails/{$id}", ['again' => true])->assertOk();
        expect(DB::table('jobs')->count())->toBe(1)
            ->and(mailed_through(TAKES))->toContain('RCPT TO:<other@home.example>')
            ->and(($this->state)())->toBe([['sent', null]])
            ->and($this->getJson('/api/mails/refused')->json())->toBe([]);
    });

    test('one that is refused can be left as it is', function (): void {
        ($this->send)();
        mailed_through(REFUSES);
        $this->putJson('/api/mails/'.($this->outbox)()[0]['id'], ['again' => false])->assertOk()->assertJsonPath('state', 'kept');
        expect(DB::table('jobs')->count())->toBe(0);
        $this->putJson('/api/mails/'.($this->outbox)()[0]['id'], ['again' => 'yes'])->assertJsonValidationErrors('again');
    });

    test('a server that is busy or away is tried again, six times in two hours', function (): void {
        ($this->send)();
        foreach ([30, 120, 600, 1800, 4800] as $try => $seconds) {
            $try === 0 ? mailed_through(IS_BUSY) : worked();
            expect(($this->state)())->toBe([['waiting', 'The mail server does not take it yet. It is tried again by itself.']])
                ->and((int) DB::table('jobs')->value('available_at') - now()->getTimestamp())->toBeGreaterThan($seconds - 3)->toBeLessThanOrEqual($seconds);
            config(['mail.mailers.smtp.port' => 9]);
            $this->travel($seconds)->seconds();
        }
        worked();
        expect(($this->state)())->toBe([['refused', 'The mail server did not take it for two hours. Send it again, or tell whoever looks after it.']])
            ->and(DB::table('jobs')->count())->toBe(0);
    });

    test('what waited longer than a day is not sent by itself', function (int $seconds, string $state): void {
        ($this->send)();
        $this->travel($seconds)->seconds();
        mailed_through(TAKES);
        expect(($this->state)()[0][0])->toBe($state);
    })->with([[24 * 3600 - 5, 'sent'], [24 * 3600 + 5, 'refused']]);

    test('where no mailer is named any more it stays to be read, and so does one that is to go again', function (): void {
        ($this->send)();
        config(['mail.default' => 'outbox']);
        worked();
        expect(($this->state)())->toBe([['kept', null]])->and(DB::table('failed_jobs')->count())->toBe(0);
        Mail::query()->update(['trouble' => 'Nobody of that name.']);
        $this->putJson('/api/mails/'.($this->outbox)()[0]['id'], ['again' => true])->assertOk();
        worked();
        expect(($this->state)())->toBe([['kept', null]]);
    });

    test('a link to an account is not kept once it is sent, and no colleague can look at it', function (): void {
        $this->postJson('/api/password-resets', ['email' => $this->own->teacher->email])->assertNoContent();
        $mail = Mail::query()->sole();
        expect($mail->body)->toContain('/new-password?');
        $this->actingAs($this->own->joined(Role::Teacher, 'Tara'))->putJson("/api/mails/{$mail->id}", ['again' => false])->assertNotFound();
        mailed_through(TAKES);
        expect($mail->refresh()->body)->toBe('')->and($mail->sent_at)->not->toBeNull();
    });
});

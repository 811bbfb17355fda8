<?php

declare(strict_types=1);

use App\Account\Studio;
use App\Student\Family\FamilyLink;
use App\Student\Student;
use Carbon\CarbonImmutable;
use Tests\Fixtures;

test('an age follows from the year of birth', function (): void {
    $student = new Student(['birth_year' => 2024]);
    expect($student->age(CarbonImmutable::parse('2031-05-05')))->toBe(7)
        ->and($student->age(CarbonImmutable::parse('2020-01-01')))->toBe(0);
});

test('a link opens until it is over or withdrawn', function (?string $expires, bool $withdrawn, string $today, bool $opens): void {
    $link = new FamilyLink([
        'expires_on' => $expires,
        'withdrawn_at' => $withdrawn ? '2031-05-01 12:00:00' : null,
    ]);
    expect($link->opens(CarbonImmutable::parse($today)))->toBe($opens);
})->with([
    'for ever' => [null, false, '2039-01-01', true],
    'on its last day' => ['2031-05-05', false, '2031-05-05', true],
    'a day later' => ['2031-05-05', false, '2031-05-06', false],
    'withdrawn' => [null, true, '2031-05-02', false],
]);

test('today is a date without a time, wherever the studio is', function (string $zone, string $date): void {
    CarbonImmutable::setTestNow('2031-05-05 23:30:00');
    $studio = new Studio(['timezone' => $zone]);
    expect($studio->today()->toDateTimeString())->toBe("{$date} 00:00:00")
        ->and($studio->today()->getTimezone()->getName())->toBe('UTC');
})->with([
    ['UTC', '2031-05-05'],
    ['Europe/Berlin', '2031-05-06'],
    ['America/New_York', '2031-05-05'],
    ['Pacific/Auckland', '2031-05-06'],
]);

test('a week over the change of the clocks has its seven days', function (): void {
    $own = new Fixtures();
    $own->studio->update(['timezone' => 'Europe/Berlin']);
    // Clocks go back on Sunday, 26 October 2031.
    $this->travelTo('2031-10-20 08:00:00');
    $week = $this->actingAs($own->teacher)->postJson("/api/students/{$own->student->id}/weeks", [])->assertOk()->json();
    expect(array_column($week['days'], 'date'))->toBe([
        '2031-10-20',
        '2031-10-21',
        '2031-10-22',
        '2031-10-23',
        '2031-10-24',
        '2031-10-25',
        '2031-10-26',
    ])->and($week['endsOn'])->toBe('2031-10-27');
});

test('a piece knows its notes by clef', function (): void {
    $own = new Fixtures();
    expect($own->piece->note_names)->toBe('treble:C4,treble:D4,treble:E4,bass:C3,treble:F4,treble:G4,bass:G3');
});

test('a piece that is opened keeps what each stage waits for', function (): void {
    $own = new Fixtures();
    $waits = $own->learning->stages()->with('waitsFor')->orderBy('position')->get()
        ->mapWithKeys(fn ($stage): array => [$stage->kind->value => $stage->waitsFor->sortBy('position')->pluck('kind')->map->value->values()->all()]);
    expect($waits->all())->toBe([
        'look over' => [],
        'tap and count' => ['look over'],
        'name the notes' => ['look over'],
        'fingers in the air' => ['tap and count', 'name the notes'],
        'right hand' => ['fingers in the air'],
        'left hand' => ['fingers in the air'],
        'hands together' => ['right hand', 'left hand'],
        'join lines' => ['hands together'],
        'whole, slow' => ['join lines'],
        'tempo ladder' => ['whole, slow'],
        'finish' => ['tempo ladder'],
    ]);
});

<?php

declare(strict_types=1);

use Nasturtium\Core\Practice\Enough;
use Nasturtium\Core\Practice\Evidence;
use Nasturtium\Core\Practice\EvidenceKind;
use Nasturtium\Core\Practice\NoteKnowledge;
use Nasturtium\Core\Reading\NoteStatus;
use Random\Engine\Mt19937;
use Random\Randomizer;

/*
 * What a student knows of one note, from what tells of it (trade 10.1, 10.2). Days are counted from day 1.
 */

function page_on(int $day): Evidence
{
    return new Evidence(EvidenceKind::Page, $day);
}

/** @return list<Evidence> right answers on one day, each in so many milliseconds */
function right_on(int $day, int $count, int $milliseconds = 2_000): array
{
    return array_fill(0, $count, new Evidence(EvidenceKind::RightAnswer, $day, $milliseconds));
}

/** @return list<Evidence> */
function wrong_on(int $day, int $count): array
{
    return array_fill(0, $count, new Evidence(EvidenceKind::WrongAnswer, $day, 4_000));
}

test('how well a note is known', function (array $evidence, int $today, NoteStatus $status): void {
    expect((new NoteKnowledge())->status($evidence, $today))->toBe($status);
})->with(fn (): array => [
    'never introduced' => [[], 10, NoteStatus::Fresh],
    'introduced by a page' => [[page_on(1)], 2, NoteStatus::Shaky],
    'ten right answers, in two seconds' => [[page_on(1), ...right_on(2, 10)], 3, NoteStatus::Secure],
    'nine are too few' => [[page_on(1), ...right_on(2, 9)], 3, NoteStatus::Shaky],
    'ten that took four seconds' => [right_on(2, 10, 4_000), 3, NoteStatus::Shaky],
    'a median of three seconds is quick enough' => [[...right_on(2, 5, 3_000), ...right_on(2, 5, 3_000)], 3, NoteStatus::Secure],
    'half of them slow: the upper middle one counts' => [[...right_on(2, 5, 2_000), ...right_on(2, 5, 4_000)], 3, NoteStatus::Shaky],
    'four of ten slow' => [[...right_on(2, 6, 2_000), ...right_on(2, 4, 4_000)], 3, NoteStatus::Secure],
    'the upper middle one of exactly three seconds' => [[...right_on(2, 5, 2_000), ...right_on(2, 1, 3_000), ...right_on(2, 4, 4_000)], 3, NoteStatus::Secure],
    'the upper middle one a thousandth over' => [[...right_on(2, 5, 2_000), ...right_on(2, 1, 3_001), ...right_on(2, 4, 4_000)], 3, NoteStatus::Shaky],
    'nine of ten right' => [[...wrong_on(2, 1), ...right_on(2, 9)], 3, NoteStatus::Secure],
    'eight of ten' => [[...wrong_on(2, 2), ...right_on(2, 8)], 3, NoteStatus::Shaky],
    'only the last ten count' => [[...wrong_on(1, 8), ...right_on(2, 10)], 3, NoteStatus::Secure],
    'two wrong in the last five' => [[...right_on(2, 20), ...wrong_on(3, 2)], 4, NoteStatus::Shaky],
    'one wrong in the last five' => [[...right_on(2, 20), ...wrong_on(3, 1)], 4, NoteStatus::Secure],
    'a lesson mark' => [[...right_on(2, 10), new Evidence(EvidenceKind::Slip, 3)], 4, NoteStatus::Shaky],
    'what was answered before a lesson mark proves nothing' => [[...right_on(2, 10), new Evidence(EvidenceKind::Slip, 3), ...right_on(4, 9)], 5, NoteStatus::Shaky],
    'ten right answers after it do' => [[new Evidence(EvidenceKind::Slip, 3), ...right_on(4, 10)], 5, NoteStatus::Secure],
    'every note of a page named in time' => [[page_on(1), new Evidence(EvidenceKind::Named, 5)], 6, NoteStatus::Secure],
    'named, and wrong at a lesson of the same day' => [[new Evidence(EvidenceKind::Slip, 5), new Evidence(EvidenceKind::Named, 5)], 6, NoteStatus::Shaky],
    'named, then two wrong answers' => [[new Evidence(EvidenceKind::Named, 5), ...wrong_on(6, 2)], 7, NoteStatus::Shaky],
    '27 days without anything' => [right_on(1, 10), 28, NoteStatus::Secure],
    '28 days without anything' => [right_on(1, 10), 29, NoteStatus::Shaky],
    'another page keeps it fresh' => [[...right_on(1, 10), page_on(20)], 40, NoteStatus::Secure],
    'in whatever order it is told' => [[...right_on(4, 10), new Evidence(EvidenceKind::Slip, 3)], 5, NoteStatus::Secure],
]);

test('the thresholds are settings', function (): void {
    $strict = new NoteKnowledge(new Enough(answers: 20, within: 1_500), idle: 7);
    expect($strict->status(right_on(1, 10, 1_000), 2))->toBe(NoteStatus::Shaky)
        ->and($strict->status(right_on(1, 20, 1_000), 2))->toBe(NoteStatus::Secure)
        ->and($strict->status(right_on(1, 20, 2_000), 2))->toBe(NoteStatus::Shaky)
        ->and($strict->status(right_on(1, 20, 1_000), 8))->toBe(NoteStatus::Shaky);
});

test('what was known on each of some days is what there was until then, in any order', function (): void {
    $chance = new Randomizer(new Mt19937(11));
    for ($note = 1; $note <= 40; $note++) {
        $evidence = [];
        for ($more = $chance->getInt(0, 30); $more > 0; $more--) {
            $evidence[] = new Evidence(EvidenceKind::cases()[$chance->getInt(0, count(EvidenceKind::cases()) - 1)], $chance->getInt(1, 60), 1_000 * $chance->getInt(1, 4));
        }
        $days = array_map(fn (): int => $chance->getInt(0, 90), range(1, 12));
        $each = array_map(fn (int $day): NoteStatus => (new NoteKnowledge(new Enough(answers: 3)))->status(array_values(array_filter($evidence, fn (Evidence $one): bool => $one->day <= $day)), $day), $days);
        expect((new NoteKnowledge(new Enough(answers: 3)))->history($evidence, $days))->toBe($each, "note {$note}");
    }
});

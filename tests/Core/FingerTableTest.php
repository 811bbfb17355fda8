<?php

declare(strict_types=1);

use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Pitch;

require_once __DIR__.'/../Fingers.php';

// The fingers of every scale as they are printed in the usual tables: one octave up; down is the same backwards.

const MAJOR_SCALES = [
    'C' => ['R' => ['12312345', '123123412312345'], 'L' => ['54321321', '543213214321321']],
    'G' => ['R' => ['12312345', '123123412312345'], 'L' => ['54321321', '543213214321321']],
    'D' => ['R' => ['12312345', '123123412312345'], 'L' => ['54321321', '543213214321321']],
    'A' => ['R' => ['12312345', '123123412312345'], 'L' => ['54321321', '543213214321321']],
    'E' => ['R' => ['12312345', '123123412312345'], 'L' => ['54321321', '543213214321321']],
    'B' => ['R' => ['12312345', '123123412312345'], 'L' => ['43214321', '432143213214321']],
    'F#' => ['R' => ['23412312', '234123123412312'], 'L' => ['43213212', '432132143213212']],
    'Db' => ['R' => ['23123412', '231234123123412'], 'L' => ['32143213', '321432132143213']],
    'Ab' => ['R' => ['34123123', '341231234123123'], 'L' => ['32143213', '321432132143213']],
    'Eb' => ['R' => ['31234123', '312341231234123'], 'L' => ['32143213', '321432132143213']],
    'Bb' => ['R' => ['21231234', '212312341231234'], 'L' => ['32143213', '321432132143213']],
    'F' => ['R' => ['12341234', '123412312341234'], 'L' => ['54321321', '543213214321321']],
];

/** Natural, harmonic and melodic form; of the melodic one its way up, and the finger on which it turns into the natural form. */
const MINOR_SCALES = [
    'A' => ['R' => ['12312345', '12312345', '12312345'], 'L' => ['54321321', '54321321', '54321321']],
    'E' => ['R' => ['12312345', '12312345', '12312345'], 'L' => ['54321321', '54321321', '54321321']],
    'B' => ['R' => ['12312345', '12312345', '12312345'], 'L' => ['43214321', '43214321', '43214321']],
    'F#' => ['R' => ['34123123', '34123123', '23123413'], 'L' => ['43213212', '43213212', '43213212']],
    'C#' => ['R' => ['34123123', '34123123', '23123413'], 'L' => ['32143213', '32143213', '32143213']],
    'G#' => ['R' => ['34123123', '34123123', '34123123'], 'L' => ['32132143', '32132143', '32143213']],
    'Eb' => ['R' => ['31234123', '31234123', '31234123'], 'L' => ['21432132', '21432132', '21432132']],
    'Bb' => ['R' => ['21231234', '21231234', '21231234'], 'L' => ['21321432', '21321432', '21321432']],
    'F' => ['R' => ['12341234', '12341234', '12341234'], 'L' => ['54321321', '54321321', '54321321']],
    'C' => ['R' => ['12312345', '12312345', '12312345'], 'L' => ['54321321', '54321321', '54321321']],
    'G' => ['R' => ['12312345', '12312345', '12312345'], 'L' => ['54321321', '54321321', '54321321']],
    'D' => ['R' => ['12312345', '12312345', '12312345'], 'L' => ['54321321', '54321321', '54321321']],
];

const SCALE_STEPS = [
    'major' => [0, 2, 4, 5, 7, 9, 11],
    'natural' => [0, 2, 3, 5, 7, 8, 10],
    'harmonic' => [0, 2, 3, 5, 7, 8, 11],
    'melodic' => [0, 2, 3, 5, 7, 9, 11],
];

/** @return list<string> the pitches of a scale upwards, from one of its degrees, 0 the tonic */
function scale_up(string $tonic, string $kind, int $octave, int $octaves, int $from = 0): array
{
    $first = Pitch::parse("{$tonic}{$octave}");
    $pitches = [];
    for ($i = $from; $i <= $from + 7 * $octaves; $i++) {
        $key = $first->midi() + SCALE_STEPS[$kind][$i % 7] + 12 * intdiv($i, 7);
        $letter = $first->diatonic() + $i;
        $pitches[] = Pitch::ofDiatonic($letter, $key - Pitch::ofDiatonic($letter)->midi())->name();
    }

    return $pitches;
}

/** @param list<string> $up */
function up_and_down(array $up, Hand $hand, string $key): string
{
    return str_replace(' ', '', fingered(passage(implode(' ', [...$up, ...array_slice(array_reverse($up), 1)]), $hand, $key), $hand));
}

test('every major scale, both hands, one and two octaves, up and down, whatever the key signature', function (string $tonic): void {
    foreach (MAJOR_SCALES[$tonic] as $hand => $octaves) {
        foreach ($octaves as $i => $fingers) {
            foreach ([$tonic, 'C'] as $key) {
                expect(up_and_down(scale_up($tonic, 'major', $hand === 'R' ? 3 : 2, $i + 1), hand_of($hand), $key))
                    ->toBe($fingers.substr(strrev($fingers), 1), "{$tonic} {$hand} in {$key}");
            }
        }
    }
})->with(array_keys(MAJOR_SCALES));

test('every minor scale in its three forms, both hands, up and down', function (string $tonic): void {
    foreach (MINOR_SCALES[$tonic] as $hand => $forms) {
        foreach (['natural', 'harmonic'] as $i => $kind) {
            expect(up_and_down(scale_up($tonic, $kind, $hand === 'R' ? 3 : 2, 1), hand_of($hand), "{$tonic}m"))
                ->toBe($forms[$i].substr(strrev($forms[$i]), 1), "{$tonic} {$kind} {$hand}");
        }
        $up = scale_up($tonic, 'melodic', $hand === 'R' ? 3 : 2, 1);
        $down = array_reverse(scale_up($tonic, 'natural', $hand === 'R' ? 3 : 2, 1));
        $found = str_replace(' ', '', fingered(passage(implode(' ', [...$up, ...array_slice($down, 1)]), hand_of($hand), "{$tonic}m"), hand_of($hand)));
        expect(substr($found, 0, 8))->toBe($forms[2], "{$tonic} melodic {$hand}")
            ->and(substr($found, 8))->toBe(substr(strrev($forms[0]), 1), "{$tonic} melodic {$hand}, down");
    }
})->with(array_keys(MINOR_SCALES));

test('every natural and harmonic minor scale in two octaves goes on as it began', function (string $tonic): void {
    // The finger on the tonic in the middle, where it is not the thumb.
    $middle = ['R' => ['F#' => '3', 'C#' => '3', 'G#' => '3', 'Eb' => '3', 'Bb' => '4'], 'L' => ['F#' => '4', 'C#' => '3', 'G#' => '3', 'Eb' => '2', 'Bb' => '2']];
    foreach (MINOR_SCALES[$tonic] as $hand => $forms) {
        foreach (['natural', 'harmonic'] as $i => $kind) {
            $fingers = substr($forms[$i], 0, 7).($middle[$hand][$tonic] ?? '1').substr($forms[$i], 1);
            expect(up_and_down(scale_up($tonic, $kind, $hand === 'R' ? 3 : 2, 2), hand_of($hand), "{$tonic}m"))
                ->toBe($fingers.substr(strrev($fingers), 1), "{$tonic} {$kind} {$hand}");
        }
    }
})->with(array_keys(MINOR_SCALES));

test('from another degree the scale keeps its thumbs', function (string $tonic): void {
    foreach (['R' => 3, 'L' => 2] as $hand => $octave) {
        $whole = str_replace(' ', '', fingered(passage(implode(' ', scale_up($tonic, 'major', $octave, 3)), hand_of($hand), $tonic), hand_of($hand)));
        // From its sixth to its sixth it is the relative minor, with thumbs of its own.
        foreach ([1, 2, 3, 4, 6] as $degree) {
            $from = str_replace(' ', '', fingered(passage(implode(' ', scale_up($tonic, 'major', $octave, 2, $degree)), hand_of($hand), $tonic), hand_of($hand)));
            // What five fingers reach at either end is the hand's own.
            expect(substr($from, 4, 7))->toBe(substr($whole, $degree + 4, 7), "{$tonic} {$hand} from degree {$degree}");
        }
    }
})->with(array_keys(MAJOR_SCALES));

test('no scale puts a thumb on a black key', function (string $tonic): void {
    foreach (array_keys(SCALE_STEPS) as $kind) {
        foreach (['R' => 3, 'L' => 2] as $hand => $octave) {
            $up = scale_up($tonic, $kind, $octave, 2);
            foreach (explode(' ', fingered(passage(implode(' ', $up), hand_of($hand)), hand_of($hand))) as $i => $finger) {
                expect($finger === '1' && in_array(Pitch::parse($up[$i])->midi() % 12, [1, 3, 6, 8, 10], true))->toBeFalse("{$tonic} {$kind} {$hand} {$up[$i]}");
            }
        }
    }
})->with(['C', 'C#', 'D', 'Eb', 'E', 'F', 'F#', 'G', 'G#', 'A', 'Bb', 'B']);

test('arpeggios of two octaves', function (string $tonic, string $third, string $right, string $left): void {
    $steps = [0, $third === 'm' ? 3 : 4, 7];
    foreach (['R' => [3, $right], 'L' => [2, $left]] as $hand => [$octave, $fingers]) {
        $first = Pitch::parse("{$tonic}{$octave}");
        $up = array_map(static function (int $i) use ($first, $steps): string {
            $letter = $first->diatonic() + 2 * ($i % 3) + 7 * intdiv($i, 3);

            return Pitch::ofDiatonic($letter, $first->midi() + $steps[$i % 3] + 12 * intdiv($i, 3) - Pitch::ofDiatonic($letter)->midi())->name();
        }, range(0, 6));
        expect(up_and_down($up, hand_of($hand), 'C'))->toBe($fingers.substr(strrev($fingers), 1), "{$tonic}{$third} {$hand}");
    }
})->with([
    ['C', '', '1231235', '5421421'],
    ['G', '', '1231235', '5421421'],
    ['F', '', '1231235', '5421421'],
    ['D', '', '1231235', '5321321'],
    ['A', '', '1231235', '5321321'],
    ['E', '', '1231235', '5321321'],
    ['Bb', '', '2124124', '3213213'],
    ['Eb', '', '2124124', '2142142'],
    ['Ab', '', '2124124', '2142142'],
    ['A', 'm', '1231235', '5421421'],
    ['E', 'm', '1231235', '5421421'],
    ['D', 'm', '1231235', '5421421'],
    ['C', 'm', '1231235', '5421421'],
    ['G', 'm', '1231235', '5421421'],
    ['F', 'm', '1231235', '5421421'],
]);

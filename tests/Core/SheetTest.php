<?php

declare(strict_types=1);

use Nasturtium\Core\Counting\Counts;
use Nasturtium\Core\Counting\CountWay;
use Nasturtium\Core\Counting\NoteWords;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Reading\DynamicWords;
use Nasturtium\Core\Reading\StaffPlace;
use Nasturtium\Core\Reading\TempoWords;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Sheet\MakeSheet;
use Nasturtium\Core\Sheet\SheetItem;
use Nasturtium\Core\Sheet\SheetKind;
use Nasturtium\Core\Words;

/*
 * Worksheets: each kind's sheet is worked from what is printed back to its answers (trade 17.1).
 */

function sheet_material(NoteWords $words = NoteWords::British): Material
{
    $notes = [];
    foreach (['treble' => ['C4', 'D4', 'E4', 'F4', 'G4', 'A4', 'B4', 'C5'], 'bass' => ['C3', 'D3', 'E3', 'F3', 'G3', 'A3', 'B3', 'C4']] as $clef => $names) {
        foreach ($names as $name) {
            $notes[] = [Clef::from($clef), Pitch::parse($name)];
        }
    }

    return new Material($notes, counting: new CountWay(noteWords: $words));
}

/** @return list<SheetItem> */
function sheet(SheetKind $kind, int $seed = 5, int $hard = 3, int $count = 12): array
{
    return (new MakeSheet(sheet_material(), $hard, $seed))($kind, $count);
}

/** @return list<Measure> */
function printed(SheetItem $item): array
{
    return MusicXmlReader::read((string) $item->music)->piece->measures;
}

/** @return list<Event> notes of what is printed */
function heads_of(SheetItem $item): array
{
    return array_values(array_filter(array_merge(...array_map(static fn (Measure $bar): array => $bar->events(), printed($item))), static fn (Event $event): bool => ! $event->isRest()));
}

/** @return list<array{?int, string}> of a bar, as it stands */
function as_it_stands(Measure $bar): array
{
    return array_map(static fn (Event $event): array => [$event->isRest() ? null : $event->lowest()->diatonic(), (string) $event->duration->whole], $bar->of(heads_hand($bar)));
}

function heads_hand(Measure $bar): Hand
{
    return $bar->right === [] || array_filter($bar->right, static fn (Event $event): bool => ! $event->isRest()) === [] ? Hand::Left : Hand::Right;
}

/** What the answer is, from the printed question alone; null where this test does not know. */
function worked(SheetKind $kind, SheetItem $item): ?string
{
    $letters = static fn (): array => array_map(static fn (Event $event): string => $event->lowest()->letter(), heads_of($item));

    return match ($kind) {
        SheetKind::Name => $letters()[0],
        SheetKind::Spell => implode('', $letters()),
        SheetKind::Ring => (static function () use ($item, $letters): string {
            $at = array_map(static fn (int $place): string => (string) ($place + 1), array_keys($letters(), $item->ask[11], true));

            return (count($at) === 1 ? 'Note ' : 'Notes ').Words::listed($at).'.';
        })(),
        SheetKind::Moves => (static function () use ($item): string {
            [$from, $to] = array_map(static fn (Event $event): int => $event->lowest()->diatonic(), heads_of($item));
            $name = ['repeat', 'step', 'skip'][abs($to - $from)] ?? 'leap';

            return $name === 'repeat' ? $name : "{$name} ".($to > $from ? 'up' : 'down');
        })(),
        SheetKind::Counts => (static function () use ($item): string {
            $piece = MusicXmlReader::read((string) $item->music)->piece;

            return Counts::of($piece)->text($piece->measures[0], heads_hand($piece->measures[0]));
        })(),
        SheetKind::BarLines => (static function () use ($item): string {
            $bar = printed($item)[0];

            return 'After note or rest '.count(array_filter($bar->of(heads_hand($bar)), static fn (Event $event): bool => $event->end->compare($bar->meter->measure()) <= 0)).'.';
        })(),
        SheetKind::Sums => (static function () use ($item): string {
            $eighths = ['semibreve' => 8, 'dotted minim' => 6, 'minim' => 4, 'dotted crotchet' => 3, 'crotchet' => 2, 'quaver' => 1];
            $sum = array_sum(array_map(static fn (string $length): int => $eighths[$length], explode(' + ', rtrim((string) $item->sign, ' ='))));

            return ($sum < 2 ? '' : (string) intdiv($sum, 2)).($sum % 2 === 1 ? '½' : '');
        })(),
        SheetKind::Fingers => (static function () use ($item): string {
            $note = heads_of($item)[0];
            $lowest = Pitch::parse(match (true) {
                str_starts_with($item->ask, 'Right hand, C') => 'C4',
                str_starts_with($item->ask, 'Right hand, G') => 'G4',
                str_starts_with($item->ask, 'Left hand, C') => 'C3',
                default => 'G2',
            });
            $up = $note->lowest()->diatonic() - $lowest->diatonic();

            return (string) (str_starts_with($item->ask, 'Right') ? $up + 1 : 5 - $up);
        })(),
        SheetKind::Same => (static function () use ($item): string {
            [$one, $two] = array_map(as_it_stands(...), printed($item));
            $from = static fn (array $bar): array => array_map(static fn (array $tone): array => [$tone[0] === null ? null : $tone[0] - array_values(array_filter(array_column($bar, 0), is_int(...)))[0], $tone[1]], $bar);

            return $one === $two ? 'the same' : ($from($one) === $from($two) ? 'the same shape, from another note' : 'different');
        })(),
        SheetKind::Keys => ['C', '', 'D', '', 'E', 'F', '', 'G', '', 'A', '', 'B'][(int) $item->key % 12],
        SheetKind::Hands => (static function () use ($item): string {
            $notes = heads_of($item);

            return match (true) {
                str_starts_with($item->ask, 'Which clef') => "{$notes[0]->clef->words()} clef",
                str_starts_with($item->ask, 'Which hand') => $notes[0]->clef === Clef::Treble ? 'right hand' : 'left hand',
                default => $notes[1]->lowest()->midi() > $notes[0]->lowest()->midi() ? 'higher' : 'lower',
            };
        })(),
        SheetKind::Draw => (static function () use ($item): string {
            preg_match('/^Draw the (lower |higher |)([A-G]) on the (treble|bass) staff\.$/', $item->ask, $found);
            $clef = Clef::from($found[3]);
            $places = array_values(array_filter(array_map(static fn (int $place): Pitch => Pitch::ofDiatonic($clef->bottomLine() + $place), range(-2, 10)), static fn (Pitch $pitch): bool => $pitch->letter() === $found[2]));

            return ucfirst(StaffPlace::of($found[1] === 'lower ' ? $places[0] : $places[count($places) - 1], $clef)).'.';
        })(),
        SheetKind::Signs => $item->sign === null ? null : (DynamicWords::meaning($item->sign) ?? substr(TempoWords::meanings($item->sign)[0], strlen($item->sign) + 2)),
    };
}

test('each kind’s sheet is worked from what is printed back to its answers', function (SheetKind $kind): void {
    foreach (range(1, 12) as $seed) {
        $items = sheet($kind, $seed, $seed % 3 + 1);
        expect(count($items))->toBeGreaterThan(5);
        foreach ($items as $item) {
            $worked = worked($kind, $item);
            if ($worked !== null) {
                expect($item->answer)->toBe($worked, "{$kind->value}, seed {$seed}: {$item->ask}");
            }
            if ($item->options !== []) {
                expect($item->options)->toContain($item->answer);
            }
        }
    }
})->with(SheetKind::cases());

test('the same seed prints the same sheet, another prints another', function (): void {
    expect(sheet(SheetKind::Ring, 3))->toEqual(sheet(SheetKind::Ring, 3))->and(sheet(SheetKind::Ring, 3))->not->toEqual(sheet(SheetKind::Ring, 4));
});

test('an easy sheet has what is met first, a hard one all', function (): void {
    $asked = static fn (int $hard): array => array_unique(array_merge(...array_map(static fn (int $seed): array => array_column(sheet(SheetKind::Sums, $seed, $hard, 4), 'sign'), range(1, 20))));
    expect(implode(' ', $asked(1)))->not->toContain('quaver')->not->toContain('dotted crotchet')->and(implode(' ', $asked(3)))->toContain('quaver');
    $notes = static fn (int $hard): array => array_unique(array_merge(...array_map(static fn (int $seed): array => array_column(sheet(SheetKind::Keys, $seed, $hard, 5), 'key'), range(1, 20))));
    expect(max($notes(1)))->toBe(Pitch::parse('G4')->midi())->and(count($notes(3)))->toBe(15);
});

test('no more is asked than there is', function (): void {
    expect((new MakeSheet(new Material([]), 2, 1))(SheetKind::Name, 8))->toBe([])->and((new MakeSheet(new Material([]), 2, 1))(SheetKind::Ring, 8))->toBe([]);
});

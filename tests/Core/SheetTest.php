<?php

declare(strict_types=1);

use Nasturtium\Core\Counting\Counts;
use Nasturtium\Core\Counting\CountWay;
use Nasturtium\Core\Counting\NoteWords;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Reading\DynamicWords;
use Nasturtium\Core\Reading\StaffPlace;
use Nasturtium\Core\Reading\TempoWords;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Sheet\MakeSheet;
use Nasturtium\Core\Sheet\SheetItem;
use Nasturtium\Core\Sheet\SheetKind;
use Nasturtium\Core\Sheet\SightSource;
use Nasturtium\Core\Sight\MakeLine;
use Nasturtium\Core\Sight\SightLevel;
use Nasturtium\Core\Sight\SightMaterial;
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

    return new Material($notes, [sheet_page()], counting: new CountWay(noteWords: $words));
}

/** Six printed lines. */
function sheet_page(): Piece
{
    $lines = array_fill(0, 6, "R: @c4 q1 2 h3 | q3 4 h5\nL: @5=c3 w5 | h5 r");

    return ShorthandReader::read("time: 4/4\ntempo: 80\n".implode("\n", $lines))->piece ?? throw new LogicException('the page does not read');
}

function sheet_sight(): SightSource
{
    return new SightSource(SightMaterial::of([], ['treble:C4', 'treble:D4', 'treble:E4', 'treble:F4', 'treble:G4', 'bass:C3', 'bass:D3', 'bass:E3', 'bass:F3', 'bass:G3']), SightLevel::Three);
}

/** Letters, bar by bar, of the hand that plays. */
function letters_by_bar(Piece $piece, Hand $hand): string
{
    return implode(' | ', array_map(static fn (Measure $bar): string => implode(' ', array_map(static fn (Event $event): string => $event->isRest() ? '–' : $event->lowest()->letter(), $bar->of($hand))), $piece->measures));
}

/** @return list<SheetItem> */
function sheet(SheetKind $kind, int $seed = 5, int $hard = 3, int $count = 12): array
{
    return (new MakeSheet(sheet_material(), $hard, $seed, sheet_sight()))($kind, $count);
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
            $full = $bar->meter->measure();
            [$after, $line] = [[], $full];
            $events = $bar->of(heads_hand($bar));
            foreach (array_slice($events, 0, -1) as $i => $event) {
                if ($event->end->equals($line)) {
                    [$after[], $line] = [(string) ($i + 1), $line->plus($full)];
                }
            }

            return (count($after) === 1 ? 'After note or rest ' : 'After notes or rests ').Words::listed($after).'.';
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
        SheetKind::PageNames => (static function () use ($item): string {
            $piece = MusicXmlReader::read((string) $item->music)->piece;

            return 'Right hand: '.letters_by_bar($piece, Hand::Right).'. Left hand: '.letters_by_bar($piece, Hand::Left).'.';
        })(),
        SheetKind::PageCounts => (static function () use ($item): string {
            $piece = MusicXmlReader::read((string) $item->music)->piece;
            $counts = Counts::of($piece);
            $said = static fn (Hand $hand): string => implode(' | ', array_map(static fn (Measure $bar): string => $counts->text($bar, $hand), $piece->measures));

            return 'Right hand: '.$said(Hand::Right).'. Left hand: '.$said(Hand::Left).'.';
        })(),
        SheetKind::Recall => (static function () use ($item): ?string {
            $piece = sheet_page();

            return match ($item->ask) {
                'How many beats are in a bar?' => "{$piece->meter()->count}: the time is {$piece->meter()}.",
                'Which is the highest note of the right hand?' => 'G, first in bar 2.',
                'On which note does the left hand start?' => 'C, space 2.',
                default => null,
            };
        })(),
        SheetKind::Sight => null,
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
            if ($item->options !== [] && $kind !== SheetKind::Sight) {
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

test('lines at sight on paper are of the level below, the level, or the one above; none is alike, and the answers are their letters', function (): void {
    foreach ([1 => 2, 2 => 3, 3 => 4] as $hard => $level) {
        $items = sheet(SheetKind::Sight, 9, $hard, 4);
        expect($items)->toHaveCount(4)->and(array_unique(array_column($items, 'music')))->toHaveCount(4);
        foreach ($items as $item) {
            $piece = MusicXmlReader::read((string) $item->music)->piece;
            $hand = $piece->plays(Hand::Right) ? Hand::Right : Hand::Left;
            expect($item->answer)->toBe("Level {$level}. ".ucfirst($hand->word()).': '.letters_by_bar($piece, $hand).'.')->and($item->options)->toBe(['Clean', 'Nearly', 'Hard']);
        }
    }
});

test('a line that was given to the student is not printed while there is another', function (): void {
    $of = static fn (array $used): array => (new MakeSheet(sheet_material(), 2, 3, new SightSource(SightMaterial::of([], ['treble:C4', 'treble:D4', 'treble:E4']), SightLevel::One, $used)))(SheetKind::Sight, 1);
    $make = new MakeLine(SightMaterial::of([], ['treble:C4', 'treble:D4', 'treble:E4']));
    $first = $make(SightLevel::One, crc32('3 0'));
    expect($of([])[0]->music)->not->toBe($of([$first?->mark() ?? '' => 5])[0]->music);
});

test('easy bar lines stand between two bars, hard ones between four', function (): void {
    $bars = static fn (int $hard): array => array_unique(array_map(static fn (SheetItem $item): int => 2 + preg_match_all('/,| and /', $item->answer), sheet(SheetKind::BarLines, 2, $hard, 6)));
    expect($bars(1))->toBe([2])->and($bars(2))->toBe([3])->and($bars(3))->toBe([4]);
});

test('what is asked of a page or of what is known is not made without them', function (): void {
    foreach ([SheetKind::Recall, SheetKind::PageNames, SheetKind::PageCounts, SheetKind::Sight] as $kind) {
        expect((new MakeSheet(new Material([]), 2, 1))($kind, 4))->toBe([]);
    }
    expect((new MakeSheet(new Material([]), 2, 1, new SightSource(SightMaterial::of([], ['treble:C4']), SightLevel::One)))(SheetKind::Sight, 4))->toBe([]);
});

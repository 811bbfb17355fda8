<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Kinds;

use Nasturtium\Core\Counting\Counts;
use Nasturtium\Core\Counting\NoteWords;
use Nasturtium\Core\Drill\AnswerBy;
use Nasturtium\Core\Drill\Bar;
use Nasturtium\Core\Drill\Card;
use Nasturtium\Core\Drill\CardMaker;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Drill\Option;
use Nasturtium\Core\Formats\MusicXml\StaffLine;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Words;

/** How many beats; the counts of a bar; the bar that does not add up; where the bar line stands (trade 15.1, kind 7). */
final readonly class CountIt implements CardMaker
{
    /** Lengths that are asked for, with their beats in quarters. */
    private const LENGTHS = ['1/4' => '1', '1/2' => '2', '1/1' => '4', '3/4' => '3', '1/8' => '½', '3/8' => '1½'];

    /** So many cards of each other sort. */
    private const EACH = 8;

    public function cards(Material $material): array
    {
        $bars = Bar::of($material);

        return [...self::lengths($material), ...self::counts($material, $bars), ...self::wrongBars($bars), ...self::barLines($bars)];
    }

    /** @return list<Card> */
    private static function lengths(Material $material): array
    {
        $cards = [];
        foreach (self::LENGTHS as $length => $beats) {
            [$over, $under] = array_map(intval(...), explode('/', $length));
            $duration = Duration::of($over, $under);
            [$value, $dots] = $duration->asNote() ?? ['quarter', 0];
            $words = $material->counting->noteWords;
            $said = static fn (string $value): string => $words->of($value).($words === NoteWords::American ? ' note' : '');
            $name = ($dots > 0 ? 'dotted ' : '').$said($value);
            $cards[] = new Card(
                "count length {$length}",
                'How many beats has this note?',
                AnswerBy::Option,
                [$beats],
                'This is a '.$name.': '.$beats.($beats === '1' || $beats === '½' ? ' beat' : ' beats').' where a '.$said('quarter').' is one.',
                StaffLine::write(Clef::Treble, [[[Pitch::parse('G4'), $duration]]], Meter::parse('4/4'), true),
                Shown::options(['½', '1', '1½', '2', '3', '4']),
            );
        }

        return $cards;
    }

    /**
     * @param  list<Bar>  $bars
     * @return list<Card>
     */
    private static function counts(Material $material, array $bars): array
    {
        $said = [];
        foreach ($bars as $bar) {
            $text = Counts::of(new Piece('', [$bar->measure]), $material->counting)->text($bar->measure, $bar->hand);
            $said[(string) $bar->measure->meter][$text] ??= $bar;
        }
        $cards = [];
        foreach ($said as $of) {
            $texts = array_map(strval(...), array_keys($of));
            foreach (count($texts) < 3 ? [] : $texts as $i => $text) {
                $three = [$text, $texts[($i + 1) % count($texts)], $texts[($i + 2) % count($texts)]];
                sort($three);
                $bar = $of[$text];
                $cards[] = new Card(
                    "count counts {$bar->id()}",
                    'Which counts go with this bar?',
                    AnswerBy::Option,
                    [$text],
                    "Count {$text}. What is held is in brackets, a rest in square ones.",
                    StaffLine::write($bar->clef, [$bar->tones], $bar->measure->meter),
                    Shown::options($three),
                );
            }
        }

        return array_slice($cards, 0, self::EACH);
    }

    /**
     * Three bars, one of which has lost its last note or rest.
     *
     * @param  list<Bar>  $bars
     * @return list<Card>
     */
    private static function wrongBars(array $bars): array
    {
        $cards = [];
        $alike = self::inThrees($bars);
        foreach ($alike as $i => $three) {
            $wrong = $i % 3;
            if (count($three[$wrong]->tones) < 2) {
                continue;
            }
            $tones = array_map(static fn (Bar $bar): array => $bar->tones, $three);
            array_pop($tones[$wrong]);
            $missing = $three[$wrong]->tones[count($three[$wrong]->tones) - 1][1]->inBeatsOf($three[$wrong]->measure->meter);
            $cards[] = new Card(
                "count wrong {$three[0]->id()} {$three[1]->id()} {$three[2]->id()}",
                'Which bar does not add up?',
                AnswerBy::Option,
                [(string) ($wrong + 1)],
                'Bar '.($wrong + 1).' is short by '.self::beats($missing).'.',
                StaffLine::write($three[0]->clef, $tones, $three[0]->measure->meter, numbered: true),
                array_map(static fn (int $bar): Option => new Option((string) $bar, "bar {$bar}"), [1, 2, 3]),
            );
        }

        return array_slice($cards, 0, self::EACH);
    }

    /**
     * Two bars without their bar line.
     *
     * @param  list<Bar>  $bars
     * @return list<Card>
     */
    private static function barLines(array $bars): array
    {
        $cards = [];
        foreach (self::inThrees($bars) as [$first, $second]) {
            $count = count($first->tones);
            if ($count > 6) {
                continue;
            }
            $cards[] = new Card(
                "count line {$first->id()} {$second->id()}",
                'The bar line is missing. After which note or rest does it stand?',
                AnswerBy::Option,
                [(string) $count],
                "Count to {$first->measure->meter->count}: the first {$count} ".($count === 1 ? 'fills' : 'fill').' the first bar.',
                StaffLine::write($first->clef, [[...$first->tones, ...$second->tones]], $first->measure->meter, true),
                Shown::options(array_map(strval(...), range(1, min(8, max($count + 1, $count + count($second->tones) - 1))))),
            );
        }

        return array_slice($cards, 0, self::EACH);
    }

    /**
     * @param  list<Bar>  $bars
     * @return list<array{Bar, Bar, Bar}> bars of one meter and clef
     */
    private static function inThrees(array $bars): array
    {
        $groups = [];
        foreach ($bars as $bar) {
            $groups["{$bar->measure->meter} {$bar->clef->value}"][] = $bar;
        }
        $threes = [];
        foreach ($groups as $group) {
            for ($i = 0; isset($group[$i + 2]); $i++) {
                $threes[] = [$group[$i], $group[$i + 1], $group[$i + 2]];
            }
        }

        return $threes;
    }

    private static function beats(Fraction $beats): string
    {
        return match ((string) $beats) {
            '1/2' => 'half a beat',
            '3/2' => 'one and a half beats',
            default => Words::counted($beats->floor(), 'beat'),
        };
    }
}

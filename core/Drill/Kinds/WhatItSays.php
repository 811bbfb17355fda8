<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Kinds;

use Nasturtium\Core\Drill\AnswerBy;
use Nasturtium\Core\Drill\Card;
use Nasturtium\Core\Drill\CardMaker;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Formats\MusicXml\StaffLine;
use Nasturtium\Core\Reading\DynamicWords;
use Nasturtium\Core\Reading\PageWords;
use Nasturtium\Core\Reading\TempoWords;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Pitch;

/** What signs and words mean (trade 15.1, kind 10). */
final readonly class WhatItSays implements CardMaker
{
    /** From what a beginner meets first. */
    private const DYNAMICS = ['f', 'p', 'mf', 'mp', 'ff', 'pp'];

    private const TEMPI = ['andante', 'allegro', 'moderato', 'adagio', 'allegretto', 'vivace', 'ritardando', 'a tempo', 'legato', 'dolce', 'cantabile', 'presto', 'lento', 'largo'];

    /** Signs on notes: their marks. */
    private const SIGNS = [
        'staccato' => [['staccato'], []],
        'tie' => [['tied start'], ['tied stop']],
        'slur' => [['slur start'], ['slur stop']],
        'accent' => [['accent'], []],
        'fermata' => [['fermata'], []],
        'tenuto' => [['tenuto'], []],
    ];

    private const OPTIONS = 3;

    public function cards(Material $material): array
    {
        $dynamics = array_combine(self::DYNAMICS, array_map(static fn (string $sign): string => DynamicWords::meaning($sign) ?? '', self::DYNAMICS));
        $tempi = [];
        foreach (self::TEMPI as $word) {
            foreach (TempoWords::meanings($word) as $said) {
                $tempi[$word] = substr($said, strlen($word) + 2);
            }
        }
        $signs = [];
        foreach (array_keys(self::SIGNS) as $sign) {
            $signs[$sign] = PageWords::meaning($sign) ?? '';
        }
        $cards = self::words('sign', $signs, static fn (string $sign): string => self::drawn($sign));

        return [...self::words('word', $dynamics, null), ...$cards, ...self::words('word', $tempi, null)];
    }

    /**
     * @param  array<string, string>  $meanings  by sign or word
     * @param  ?\Closure(string): string  $draw  its music; null where it is shown as it is
     * @return list<Card>
     */
    private static function words(string $of, array $meanings, ?\Closure $draw): array
    {
        $cards = [];
        $all = array_values($meanings);
        foreach (array_keys($meanings) as $i => $sign) {
            $options = [];
            for ($next = 0; count($options) < self::OPTIONS; $next++) {
                $options[$all[($i + $next) % count($all)]] = true;
            }
            $options = array_map(strval(...), array_keys($options));
            sort($options);
            $meaning = $meanings[$sign];
            $cards[] = new Card(
                "say {$sign}",
                $of === 'word' ? 'What does this say?' : 'What does the sign say?',
                AnswerBy::Option,
                [$meaning],
                $draw === null ? "{$sign}: {$meaning}." : 'This is '.self::article($sign)." {$sign}: {$meaning}.",
                $draw === null ? null : $draw($sign),
                Shown::options($options),
                sign: $draw === null ? $sign : null,
            );
        }

        return $cards;
    }

    private static function article(string $word): string
    {
        return in_array($word[0], ['a', 'e', 'i', 'o', 'u'], true) ? 'an' : 'a';
    }

    private static function drawn(string $sign): string
    {
        [$first, $second] = self::SIGNS[$sign];
        $half = Duration::of(1, 2);
        $next = Pitch::parse($sign === 'slur' ? 'B4' : 'A4');

        return StaffLine::write(Clef::Treble, [[[Pitch::parse('A4'), $half, $first], [$next, $half, $second]]], Meter::parse('4/4'), true);
    }
}

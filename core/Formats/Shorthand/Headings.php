<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

use Nasturtium\Core\Refusal;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Notation;
use Nasturtium\Core\Score\PieceBuilder;

/** The heading lines of the shorthand, such as `time: 3/4`. */
final class Headings
{
    public const NAMES = ['title', 'composer', 'arranger', 'lyricist', 'rights', 'time', 'key', 'tempo', 'clefs', 'notation', 'bar'];

    public Meter $meter;

    public Key $key;

    /** @var array{R: Clef, L: Clef} */
    public array $clefs = ['R' => Clef::Treble, 'L' => Clef::Bass];

    /** The number of the first full bar. */
    public int $firstBar = 1;

    public function __construct(private readonly PieceBuilder $builder)
    {
        $this->meter = new Meter(4, 4);
        $this->key = new Key();
    }

    /** @throws Refusal when the value cannot be read */
    public function set(string $name, string $value): void
    {
        $words = mb_substr($value, 0, 120);
        match ($name) {
            'title' => $this->builder->title = $words === '' ? 'Untitled' : $words,
            'composer' => $this->builder->composer = $words === '' ? null : $words,
            'arranger', 'lyricist', 'rights' => $this->credit($name, mb_substr($value, 0, 200)),
            'tempo' => $this->tempo($value),
            default => $value === '' ? null : $this->frame($name, $value),
        };
    }

    private function frame(string $name, string $value): void
    {
        match ($name) {
            'time' => $this->meter = Meter::parse($value),
            'key' => $this->key = Key::parse($value),
            'clefs' => $this->clefs($value),
            'notation' => $this->builder->notation = Notation::tryFrom(strtolower($value)) ?? throw BadShorthand::noNotation($value),
            default => $this->firstBar = preg_match('/^[1-9]\d{0,3}$/', $value) === 1 ? (int) $value : throw BadShorthand::noBarNumber($value),
        };
    }

    private function credit(string $name, string $value): void
    {
        if ($value !== '') {
            $this->builder->credits[$name] = $value;
        }
    }

    private function tempo(string $value): void
    {
        [$this->builder->metronome, $words] = Names::tempo($value);
        $this->builder->tempoWords = $words === '' ? null : mb_substr($words, 0, 120);
    }

    private function clefs(string $value): void
    {
        $names = preg_split('/[\s,]+/', strtolower($value), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $clefs = array_map(Clef::tryFrom(...), $names);
        if (count($clefs) !== 2 || $clefs[0] === null || $clefs[1] === null) {
            throw BadShorthand::noTwoClefs($value);
        }
        $this->clefs = ['R' => $clefs[0], 'L' => $clefs[1]];
    }
}

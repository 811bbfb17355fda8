<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

/** A word for each length of note; where several are given they are said in turn through the beat, as `ti ri` or `tri o la`. */
final readonly class LengthWords
{
    public const LENGTHS = [
        'whole', 'dotted half', 'half', 'dotted quarter', 'quarter', 'dotted eighth', 'eighth', 'sixteenth', 'triplet quarter', 'triplet eighth',
    ];

    private const MOST = 40;

    /** What NoteWords calls by its number. */
    private const SIXTEENTH = ['sixteenth' => '16th'];

    private const TIME_NAMES = [
        'whole' => 'ta-a-a-a', 'dotted half' => 'ta-a-a', 'half' => 'ta-a', 'dotted quarter' => 'ta-i', 'quarter' => 'ta',
        'dotted eighth' => 'tim', 'eighth' => 'ti', 'sixteenth' => 'ti ri', 'triplet quarter' => 'tri o la', 'triplet eighth' => 'tri o la',
    ];

    /** @param array<string, non-empty-list<string>> $words by length */
    private function __construct(private array $words) {}

    /** What a length is called: `dotted quarter`, or `dotted crotchet`. */
    public static function label(string $length, NoteWords $words): string
    {
        $parts = explode(' ', $length);
        $value = array_pop($parts);

        return implode(' ', [...$parts, $words->of(self::SIXTEENTH[$value] ?? $value)]);
    }

    public static function timeNames(): self
    {
        /** @var self|null $names */
        static $names = null;

        return $names ??= self::of(self::TIME_NAMES);
    }

    /**
     * @param  array<string, string>  $words  by length; an empty word is none
     *
     * @throws InvalidCount for a length that has no word here, or a word that is too long to be said
     */
    public static function of(array $words): self
    {
        $parts = [];
        foreach ($words as $length => $word) {
            if (! in_array($length, self::LENGTHS, true)) {
                throw InvalidCount::noSuchLength($length, self::LENGTHS);
            }
            if (mb_strlen($word) > self::MOST) {
                throw InvalidCount::wordTooLong($length, self::MOST);
            }
            $said = preg_split('/\s+/u', trim($word), -1, PREG_SPLIT_NO_EMPTY) ?: [];
            if ($said !== []) {
                $parts[$length] = $said;
            }
        }

        return new self($parts);
    }

    /** @param self $more whose words stand where this has none */
    public function or(self $more): self
    {
        return new self($this->words + $more->words);
    }

    /**
     * @param  int  $turn  which of several words is said, from 0
     * @return string|null null when there is no word for the length
     */
    public function word(NoteLength $length, int $turn): ?string
    {
        $said = $this->words[$length->key()] ?? null;

        return $said === null ? null : $said[$turn % count($said)];
    }

    /** @return array<string, string> by length */
    public function all(): array
    {
        return array_map(static fn (array $said): string => implode(' ', $said), $this->words);
    }
}

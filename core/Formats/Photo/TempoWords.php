<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Finds how fast a piece goes: the words, and a metronome mark, above the left of its first line. */
final readonly class TempoWords
{
    /** Rows above the staff in which no words stand. */
    private const FREE = 6;

    /** The share of the line in which they begin. */
    private const LEFT = 0.45;

    private const LONGEST = 40;

    /** @param int|null $beats of the time, a minute */
    public function __construct(public string $words = '', public ?int $beats = null) {}

    public static function of(System $system, WordReader $words): self
    {
        $staff = $system->staves[0];
        $read = WordBand::read($staff->blobs, 0, Strip::TOP - self::FREE, (int) (self::LEFT * $staff->strip->width()), $words, false);

        return self::from(implode(' ', array_column($read, 'text')));
    }

    /** @param string $text as it was read, as in `Gently (J = 80)` */
    public static function from(string $text): self
    {
        $beats = preg_match('/=\s*(\d{2,3})\b/', $text, $found) === 1 ? (int) $found[1] : null;
        $said = [];
        foreach (preg_split('/[\s(]+/', explode('=', $text)[0]) ?: [] as $word) {
            // A note is no word, though it is read as a letter, nor are three of them: a word has a vowel.
            $isWord = preg_match('/^\p{L}[\p{L}\'’-]{2,}[,.]?$/u', $word) === 1 && preg_match('/[aeiouyàáâäèéêëìíîïòóôöùúûü]/iu', $word) === 1;
            if ($isWord || ($said !== [] && preg_match('/^(?:a|e|di|ma|to|in|of)$/', $word) === 1)) {
                $said[] = $word;
            }
        }

        return new self(mb_substr(implode(' ', $said), 0, self::LONGEST), $beats !== null && $beats >= 30 && $beats <= 240 ? $beats : null);
    }
}

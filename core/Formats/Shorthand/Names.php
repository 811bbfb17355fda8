<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

use Nasturtium\Core\Refusal;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Metronome;
use Nasturtium\Core\Score\SignKind;

/** What the shorthand calls things, both ways. */
final readonly class Names
{
    public const LENGTHS = ['w' => 'whole', 'h' => 'half', 'q' => 'quarter', 'v' => 'eighth', 'x' => '16th', 'y' => '32nd'];

    /** Marks typed after a note: two have a sign, the others a name. */
    public const SIGNS = ['*' => Mark::Staccato, '!' => Mark::Accent];

    private const MARKS = [
        'tenuto' => Mark::Tenuto, 'marcato' => Mark::Marcato, 'staccatissimo' => Mark::Staccatissimo,
        'fermata' => Mark::Fermata, 'breath' => Mark::Breath, 'caesura' => Mark::Caesura, 'arpeggio' => Mark::Arpeggio,
        'trill' => Mark::Trill, 'turn' => Mark::Turn, 'inverted-turn' => Mark::InvertedTurn,
        'mordent' => Mark::Mordent, 'inverted-mordent' => Mark::InvertedMordent,
        'staccato' => Mark::Staccato, 'accent' => Mark::Accent,
    ];

    /** Octave and pedal lines: what opens or closes them, and the octaves' size where it is not eight. */
    public const LINES = [
        '8va' => [SignKind::OttavaAbove, ''], '8vb' => [SignKind::OttavaBelow, ''],
        '15ma' => [SignKind::OttavaAbove, '15'], '15mb' => [SignKind::OttavaBelow, '15'],
        'loco' => [SignKind::OttavaEnd, ''], 'pedal' => [SignKind::Pedal, ''], 'lift' => [SignKind::PedalEnd, ''],
    ];

    private const DYNAMIC = '/^(?:p{1,4}|f{1,4}|mp|mf|sf|sfz|sfp|fp|fz|rf|rfz)$/';

    /** @throws BadShorthand */
    public static function mark(string $name): Mark
    {
        return self::MARKS[$name] ?? throw BadShorthand::unknownMark($name, array_keys(self::MARKS));
    }

    public static function ofMark(Mark $mark): string
    {
        $sign = array_search($mark, self::SIGNS, true);

        return $sign === false ? ':'.array_search($mark, self::MARKS, true) : $sign;
    }

    /** @param string $token such as `q` or `h..` */
    public static function length(string $token): Duration
    {
        return Duration::ofNote(self::LENGTHS[$token[0]] ?? '', strlen($token) - 1);
    }

    /** @return string|null the token of a written length; null when no single note has it */
    public static function ofLength(Duration $length): ?string
    {
        $note = $length->asNote();
        $letter = $note === null ? false : array_search($note[0], self::LENGTHS, true);

        return $note === null || $letter === false ? null : $letter.str_repeat('.', $note[1]);
    }

    public static function isDynamic(string $words): bool
    {
        return preg_match(self::DYNAMIC, $words) === 1;
    }

    /**
     * A tempo as it is typed: `92`, `60-92 Gently`, `q.=54 Rocking`.
     *
     * @return array{Metronome|null, string} the mark and the words
     *
     * @throws BadShorthand
     */
    public static function tempo(string $value): array
    {
        if (preg_match('/^(?:(?:([whqvx]\.{0,2})\s*=\s*)?(\d{2,3})(?:\s*-\s*(\d{2,3}))?(?!\S))?\s*(.*)$/u', $value, $found) !== 1 || $found[2] === '') {
            return [null, trim($value)];
        }
        $second = $found[3] === '' ? null : (int) $found[3];
        foreach ([(int) $found[2], $second ?? (int) $found[2]] as $tempo) {
            if ($tempo < 20 || $tempo > 400) {
                throw BadShorthand::offTheMetronome($tempo);
            }
        }
        $mark = new Metronome($second ?? (int) $found[2], $second === null ? null : (int) $found[2], self::length($found[1] === '' ? 'q' : $found[1]));

        return [$mark, trim($found[4])];
    }

    /** Whether a mark can be typed and is read as the same. */
    public static function isTempo(Metronome $mark): bool
    {
        try {
            [$read, $words] = self::tempo(self::ofTempo($mark));
        } catch (Refusal) {
            return false;
        }

        return $words === '' && $read !== null && $read->goal === $mark->goal && $read->from === $mark->from && $read->unit->equals($mark->unit);
    }

    public static function ofTempo(Metronome $mark): string
    {
        $unit = self::ofLength($mark->unit) ?? 'q';

        return ($unit === 'q' ? '' : "{$unit}=").($mark->from === null ? '' : "{$mark->from}-").$mark->goal;
    }
}

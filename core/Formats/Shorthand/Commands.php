<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

use Nasturtium\Core\Formats\NavigationWords;
use Nasturtium\Core\Refusal;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Navigation;
use Nasturtium\Core\Score\SignKind;

/** What is said in square brackets or in quotes within a line of music. */
final readonly class Commands
{
    /** @throws Refusal */
    public static function bracket(string $command, Voice $voice): void
    {
        [$name, $value] = [...explode(' ', trim($command), 2), ''];
        $value = trim($value);
        $lower = strtolower($name);
        $clef = Clef::tryFrom($lower);
        $line = Names::LINES[$lower] ?? null;
        $navigation = self::navigation($command);
        match (true) {
            $lower === 'time' => self::time($value, $voice),
            $lower === 'key' => $voice->frame->setKey(...[...$voice->here(), Key::parse($value)]),
            $lower === 'tempo' => self::tempo($value, $voice),
            $lower === 'chord' => self::chord($value, $voice),
            $lower === 'cross' => $voice->crossed = true,
            $lower === 'back' => $voice->crossed = false,
            $clef !== null => $voice->clef($clef),
            $line !== null => self::line($line[0], $line[1], $voice),
            $navigation !== null => $voice->navigate($navigation),
            default => throw BadShorthand::unknownCommand($command),
        };
    }

    /** Dynamics and words, on the side of the staff where they usually stand unless ^ or _ says otherwise; what sends the player elsewhere is known by its words. */
    public static function quoted(string $words, Voice $voice): void
    {
        $side = in_array($words[0] ?? '', ['^', '_'], true) ? $words[0] : '';
        $words = mb_substr(trim($side === '' ? $words : substr($words, 1)), 0, 200);
        if ($words === '') {
            throw BadShorthand::emptyQuotes();
        }
        $navigation = $side === '' ? NavigationWords::in($words) : null;
        if ($navigation !== null) {
            $voice->navigate($navigation);

            return;
        }
        $kind = Names::isDynamic($words) ? SignKind::Dynamic : SignKind::Words;
        $voice->sign($kind, $words, $side === '' ? $kind->standsAbove($voice->hand) : $side === '^');
    }

    private static function time(string $value, Voice $voice): void
    {
        [$bar, $onset] = $voice->here();
        if (! $onset->isZero()) {
            throw BadShorthand::timeInsideBar();
        }
        $voice->frame->setMeter($bar, Meter::parse($value));
    }

    private static function tempo(string $value, Voice $voice): void
    {
        [$mark, $words] = Names::tempo($value);
        if ($mark === null && $words === '') {
            throw BadShorthand::noTempo();
        }
        if ($words !== '') {
            $voice->sign(SignKind::Words, $words, true);
        }
        if ($mark !== null) {
            $voice->sign(SignKind::Tempo, '', true, $mark);
        }
    }

    /** A chord symbol above the staff. */
    private static function chord(string $value, Voice $voice): void
    {
        if (! self::isChord($value)) {
            throw BadShorthand::noChordSymbol();
        }
        $voice->sign(SignKind::Chord, $value, true);
    }

    public static function isChord(string $symbol): bool
    {
        return preg_match('~^(?:[A-G][#b]?[A-Za-z0-9()+°-]{0,12}(?:/[A-G][#b]?)?|N\.C\.)$~u', $symbol) === 1;
    }

    private static function line(SignKind $kind, string $size, Voice $voice): void
    {
        $octaves = $size === '15' ? 2 : 1;
        $voice->tones->ottava = match ($kind) {
            SignKind::OttavaAbove => $octaves,
            SignKind::OttavaBelow => -$octaves,
            SignKind::OttavaEnd => 0,
            default => $voice->tones->ottava,
        };
        $voice->sign($kind, $size, $kind->standsAbove($voice->hand));
    }

    private static function navigation(string $command): ?Navigation
    {
        foreach (Navigation::cases() as $sign) {
            if (strcasecmp($sign->value, trim($command)) === 0) {
                return $sign;
            }
        }

        return NavigationWords::in($command);
    }
}

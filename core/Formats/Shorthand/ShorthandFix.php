<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fix;
use Nasturtium\Core\Score\FixKind;
use Nasturtium\Core\Score\Fraction;

/** What a fix changes in the typed text, so that the rest of it stays as she typed it. */
final readonly class ShorthandFix
{
    /**
     * @return list<TextEdit> none when what it speaks of was not typed here
     */
    public static function edits(Fix $fix, ReadShorthand $read): array
    {
        $edits = [];
        foreach ($fix->events as $id) {
            $at = $read->spans[$id] ?? null;
            if ($at === null) {
                return [];
            }
            $edits[] = match ($fix->kind) {
                FixKind::FillWithRest => TextEdit::after($at, self::rests($fix->length ?? Fraction::zero(), $at->inForce)),
                FixKind::DropRests => new TextEdit($at->line, $at->column, $at->length(), ''),
                FixKind::DropTie => new TextEdit($at->line, $at->column, $at->length(), str_replace('~', '', $at->text)),
                FixKind::CloseRepeat => TextEdit::after($at, ' :|'),
            };
        }

        return $edits;
    }

    /** Rests of a length, and after them the length that was in force. */
    private static function rests(Fraction $length, string $inForce): string
    {
        $typed = '';
        $now = $inForce;
        foreach (['w', 'h.', 'h', 'q.', 'q', 'v.', 'v', 'x', 'y'] as $token) {
            $one = Names::length($token)->whole;
            while ($one->compare($length) <= 0) {
                $typed .= ' '.($token === $now ? '' : $token).'r';
                $now = $token;
                $length = Duration::ofWhole($length->minus($one))->whole;
            }
        }

        return $typed.($now === $inForce ? '' : " {$inForce}");
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Sign;
use Nasturtium\Core\Score\SignKind;

/** What the signs and words of a page say, each once (trade 3.8). */
final readonly class PageWords
{
    /** What signs at notes say. */
    private const MARKS = [
        'staccato' => 'short and light',
        'tenuto' => 'hold it for its full length',
        'accent' => 'a little louder than the others',
        'strong-accent' => 'much louder than the others',
        'staccatissimo' => 'as short as can be',
        'fermata' => 'hold it longer than it is written',
    ];

    private const TIE = 'hold the second one, do not play it again';

    private const SLUR = 'join the notes smoothly';

    private const HAIRPINS = ['crescendo' => 'getting louder', 'diminuendo' => 'getting softer'];

    /** Where the player goes. */
    private const WAYS = [
        'segno' => 'the sign to come back to',
        'coda' => 'the ending that is jumped to',
        'To Coda' => 'the second time, jump to the ending',
        'Fine' => 'the end, when you come here again',
        'D.C.' => 'go back to the beginning',
        'D.C. al Fine' => 'go back to the beginning and play to Fine',
        'D.C. al Coda' => 'go back to the beginning, then jump to the ending',
        'D.S.' => 'go back to the sign',
        'D.S. al Fine' => 'go back to the sign and play to Fine',
        'D.S. al Coda' => 'go back to the sign, then jump to the ending',
    ];

    private const REPEAT = 'play again from the repeat sign before it, or from the beginning';

    /** What a sign at a note says: `staccato`, `tie`, `slur`; null where it says nothing to the player. */
    public static function meaning(string $sign): ?string
    {
        return match ($sign) {
            'tie' => self::TIE,
            'slur' => self::SLUR,
            default => self::MARKS[$sign] ?? null,
        };
    }

    /** @return list<PageWord> in the order in which they are met */
    public static function of(Piece $piece): array
    {
        $found = [];
        foreach ($piece->measures as $measure) {
            foreach ($measure->signs as $sign) {
                $word = self::word($sign);
                if ($word !== null) {
                    $found["{$word->sign} {$word->text} {$word->says}"] ??= $word;
                }
            }
            foreach ($measure->events() as $event) {
                foreach (self::at($event) as $sign) {
                    $says = self::meaning($sign);
                    if ($says !== null) {
                        $found[$sign] ??= new PageWord($sign, '', $says);
                    }
                }
            }
            foreach ($measure->navigation as $sign) {
                $found[$sign->value] ??= new PageWord('word', $sign->value, self::WAYS[$sign->value]);
            }
            if ($measure->repeatEnd) {
                $found['repeat'] ??= new PageWord('repeat', '', self::REPEAT);
            }
        }

        return self::oneHairpin(array_values($found));
    }

    private static function word(Sign $sign): ?PageWord
    {
        $says = match ($sign->kind) {
            SignKind::Dynamic => DynamicWords::meaning($sign->text),
            SignKind::Words, SignKind::Tempo => implode('; ', TempoWords::meanings($sign->text)),
            SignKind::Crescendo, SignKind::Diminuendo => self::HAIRPINS[$sign->kind->value],
            default => null,
        };
        $kind = match ($sign->kind) {
            SignKind::Dynamic => 'dynamic',
            SignKind::Words, SignKind::Tempo => 'word',
            default => 'hairpin',
        };

        return $says === null || $says === '' ? null : new PageWord($kind, $kind === 'hairpin' ? '' : $sign->text, $says);
    }

    /** @return list<string> */
    private static function at(Event $event): array
    {
        $signs = array_map(static fn (Mark $mark): string => $mark->value, $event->ink->marks);
        if (! $event->isRest() && $event->notes[0]->tieStart) {
            $signs[] = 'tie';
        }
        if ($event->ink->slurs !== []) {
            $signs[] = 'slur';
        }

        return $signs;
    }

    /**
     * Which way a hairpin opens is seen: where both are on a page, one sentence tells them apart.
     *
     * @param  list<PageWord>  $words
     * @return list<PageWord>
     */
    private static function oneHairpin(array $words): array
    {
        $hairpins = array_filter($words, static fn (PageWord $word): bool => $word->sign === 'hairpin');
        if (count($hairpins) < 2) {
            return $words;
        }
        $says = 'getting louder where it opens, softer where it closes';

        return [...array_values(array_diff_key($words, $hairpins)), new PageWord('hairpin', '', $says)];
    }
}

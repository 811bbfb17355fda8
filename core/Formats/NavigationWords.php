<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

use Nasturtium\Core\Score\MeasureDraft;
use Nasturtium\Core\Score\Navigation;

/** Recognises where a page sends the player, from its words and from what a file says of the sound. */
final readonly class NavigationWords
{
    private const DA_CAPO = '/\bd\.?\s?c\b\.?|\bda\s+capo\b/iu';

    private const DAL_SEGNO = '/\bd\.?\s?s\b\.?|\bdal\s+segno\b/iu';

    public static function in(string $words): ?Navigation
    {
        $to = match (true) {
            preg_match('/\bal\s+fine\b/iu', $words) === 1 => ' al Fine',
            preg_match('/\bal\s+coda\b/iu', $words) === 1 => ' al Coda',
            default => '',
        };

        return match (true) {
            preg_match(self::DA_CAPO, $words) === 1 => Navigation::from("D.C.{$to}"),
            preg_match(self::DAL_SEGNO, $words) === 1 => Navigation::from("D.S.{$to}"),
            preg_match('/^\s*to\s+coda\b/iu', $words) === 1 => Navigation::ToCoda,
            preg_match('/^\s*fine\s*$/iu', $words) === 1 => Navigation::Fine,
            default => null,
        };
    }

    /** What the sound element says, unless the words of the same measure have said it better. */
    public static function sound(\DOMElement $sound, MeasureDraft $measure): void
    {
        $jumps = array_filter($measure->navigation, static fn (Navigation $sign): bool => $sign->isJump());
        foreach (['dacapo' => Navigation::DaCapo, 'dalsegno' => Navigation::DalSegno, 'fine' => Navigation::Fine, 'tocoda' => Navigation::ToCoda, 'segno' => Navigation::Segno, 'coda' => Navigation::Coda] as $attribute => $sign) {
            if ($sound->hasAttribute($attribute) && $sound->getAttribute($attribute) !== 'no' && ! ($sign->isJump() && $jumps !== [])) {
                $measure->navigate($sign);
            }
        }
    }

    /**
     * A coda sign stands both where the player leaves and where he goes: of two, the first is where he leaves.
     *
     * @param  list<MeasureDraft>  $measures
     */
    public static function settle(array $measures): void
    {
        $codas = [];
        $leaves = false;
        foreach ($measures as $i => $measure) {
            $leaves = $leaves || in_array(Navigation::ToCoda, $measure->navigation, true);
            if (in_array(Navigation::Coda, $measure->navigation, true)) {
                $codas[] = $i;
            }
        }
        foreach (array_slice($codas, 0, -1) as $i) {
            $measures[$i]->navigation = array_values(array_filter($measures[$i]->navigation, static fn (Navigation $sign): bool => $sign !== Navigation::Coda));
            if (! $leaves) {
                $measures[$i]->navigate(Navigation::ToCoda);
            }
        }
    }
}

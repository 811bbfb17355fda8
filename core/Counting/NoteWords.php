<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

use Nasturtium\Core\Choice;

/** The English of a studio: what note values are called, and the words of every sentence (`core/Wording/Variety.php`). */
enum NoteWords: string implements Choice
{
    case American = 'us';
    case British = 'uk';

    public function label(): string
    {
        return match ($this) {
            self::American => 'American English',
            self::British => 'British English',
        };
    }

    private const BRITISH = [
        'whole' => 'semibreve', 'half' => 'minim', 'quarter' => 'crotchet', 'eighth' => 'quaver',
        '16th' => 'semiquaver', '32nd' => 'demisemiquaver', '64th' => 'hemidemisemiquaver',
    ];

    private const AMERICAN = ['16th' => 'sixteenth', '32nd' => 'thirty-second', '64th' => 'sixty-fourth'];

    /** @param string $value as Duration::asNote() names it */
    public function of(string $value): string
    {
        return match ($this) {
            self::American => self::AMERICAN[$value] ?? $value,
            self::British => self::BRITISH[$value] ?? $value,
        };
    }

    /** A length as it is called: `dotted quarter`, `triplet quaver`. */
    public function name(NoteLength $length): string
    {
        return $length->prefix().$this->of($length->value);
    }
}

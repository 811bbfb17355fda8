<?php

declare(strict_types=1);

namespace App\Account;

use Nasturtium\Core\Choice;

/** What a studio prints on. */
enum Paper: string implements Choice
{
    case A4 = 'a4';
    case Letter = 'letter';

    public function label(): string
    {
        return match ($this) {
            self::A4 => 'A4',
            self::Letter => 'Letter',
        };
    }
}

<?php

declare(strict_types=1);

namespace App\Account;

/** What a studio prints on. */
enum Paper: string
{
    case A4 = 'a4';
    case Letter = 'letter';
}

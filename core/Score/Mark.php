<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** What is written at a note besides its pitch and length. */
enum Mark: string
{
    case Staccato = 'staccato';
    case Tenuto = 'tenuto';
    case Accent = 'accent';
    case Fermata = 'fermata';
    case SlurStart = 'slur-start';
    case SlurStop = 'slur-stop';
}

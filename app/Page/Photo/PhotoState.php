<?php

declare(strict_types=1);

namespace App\Page\Photo;

/** How far a picture of a page is. */
enum PhotoState: string
{
    /** A phone is to send it. */
    case Awaited = 'awaited';
    case Waiting = 'waiting';
    case Reading = 'reading';
    case Read = 'read';
    case Refused = 'refused';
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Pattern;

enum ChunkKind: string
{
    case BarOver = 'bar-over';
    case HalfLine = 'half-line';
    case Line = 'line';
    case LineTurn = 'line turn';
    case Section = 'section';
    case HandOver = 'hand-over';
    case Whole = 'whole';
    /** Whatever the teacher drags over. */
    case Own = 'own';
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Path;

/** How the time of a stage is reckoned. */
enum Effort
{
    /** Once over the page, at the least time a task takes. */
    case Glance;
    /** So many seconds for each note. */
    case Naming;
    /** Once for each hand, then both. */
    case EachHand;
    /** Once through. */
    case Once;
    /** Until it passes: three in a row. */
    case ThreeInARow;
}

<?php

declare(strict_types=1);

namespace App\Desk;

use Nasturtium\Core\Report\Breakdown as CoreBreakdown;
use Nasturtium\Core\Report\Document\Report;
use Nasturtium\Core\Report\ReportDocument;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Piece;

/** The breakdown report of a piece. */
final class BreakDown
{
    /**
     * @param  list<Check>  $notRead
     */
    public function __invoke(Piece $piece, Settings $settings, array $notRead = []): Report
    {
        // The core's values hold no cycles: looking for some would only walk the growing tree again and again.
        $collecting = gc_enabled();
        gc_disable();
        try {
            return ReportDocument::of(CoreBreakdown::of($piece, $settings, $notRead));
        } finally {
            if ($collecting) {
                gc_enable();
            }
        }
    }
}

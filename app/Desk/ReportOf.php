<?php

declare(strict_types=1);

namespace App\Desk;

use App\Page\Piece\Piece;
use App\Privacy\CachedReports;
use Illuminate\Contracts\Cache\Repository;
use Nasturtium\Core\Performance\Playback;
use Nasturtium\Core\Report\ReportDocument;
use Nasturtium\Core\Report\Settings;

/**
 * The breakdown of a piece with its sound. It is kept under the content of the piece and of the settings together, so that
 * it is worked out once and is never stale.
 */
final class ReportOf
{
    /** Longer ones are worked out each time; in bytes. */
    private const LONGEST = 8_000_000;

    private const DAYS = 60;

    public function __construct(private readonly BreakDown $breakDown, private readonly Repository $cache) {}

    /** @param int|null $student whose settings they are, so that what is kept goes with them */
    public function __invoke(Piece $piece, Settings $settings, ?int $student): KeptReport
    {
        $key = CachedReports::prefix($student).hash('xxh128', ReportDocument::VERSION.KeptReport::FORM.serialize($settings).$piece->music);
        $kept = $this->cache->get($key);
        $known = is_string($kept) ? unserialize($kept) : null;
        if ($known instanceof KeptReport) {
            return $known;
        }
        $score = $piece->score();
        $made = new KeptReport(($this->breakDown)($score, $settings), Playback::whole($score, $settings->counting));
        $text = serialize($made);
        if (strlen($text) <= self::LONGEST) {
            $this->cache->put($key, $text, now()->addDays(self::DAYS));
        }

        return $made;
    }
}

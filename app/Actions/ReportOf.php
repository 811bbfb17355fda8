<?php

declare(strict_types=1);

namespace App\Actions;

use App\Actions\Privacy\CachedReports;
use App\Http\Resources\PlaybackResource;
use App\Models\Piece;
use Illuminate\Contracts\Cache\Repository;
use Nasturtium\Core\Performance\Playback;
use Nasturtium\Core\Report\ReportDocument;
use Nasturtium\Core\Report\Settings;

/**
 * The breakdown of a piece with its sound, as JSON. It is kept under the content of the piece and of the settings
 * together, so that it is worked out once and is never stale.
 */
final class ReportOf
{
    /** Longer ones are worked out each time; in bytes. */
    private const LONGEST = 4_000_000;

    private const DAYS = 60;

    public function __construct(private readonly BreakDown $breakDown, private readonly Repository $cache) {}

    /**
     * @param  int|null  $student  whose settings they are, so that what is kept goes with them
     * @return string `{"report": …, "playback": …}`
     */
    public function __invoke(Piece $piece, Settings $settings, ?int $student): string
    {
        $key = CachedReports::prefix($student).hash('xxh128', ReportDocument::VERSION.serialize($settings).$piece->music);
        $kept = $this->cache->get($key);
        if (is_string($kept)) {
            return $kept;
        }
        $score = $piece->score();
        $made = json_encode([
            'report' => ($this->breakDown)($score, $settings),
            'playback' => PlaybackResource::of(Playback::whole($score, $settings->counting)),
        ], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
        if (strlen($made) <= self::LONGEST) {
            $this->cache->put($key, $made, now()->addDays(self::DAYS));
        }

        return $made;
    }
}

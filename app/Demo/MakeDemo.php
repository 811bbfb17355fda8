<?php

declare(strict_types=1);

namespace App\Demo;

use App\Queue\HowFar;
use App\Queue\Stopped;
use App\Queue\WorkState;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use Throwable;

/**
 * Makes somebody's demo studio, which takes as long as four weeks of five students take to be lived through. One that was
 * stopped meanwhile is not there; what was made says so within the same transaction, so that done twice it is done once.
 */
final class MakeDemo implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    public int $timeout = 300;

    public function __construct(private readonly int $demoId) {}

    public function handle(DemoStudio $make): void
    {
        $demo = Demo::query()->with('user')->find($this->demoId);
        if ($demo === null || ! $demo->state->isGoingOn()) {
            return;
        }
        $howFar = new HowFar('demos', $demo->id, $this->job);
        try {
            DB::transaction(static function () use ($demo, $make, $howFar): void {
                $studio = $make->for($demo->user, CarbonImmutable::today('UTC'), $howFar->tell(...));
                $kept = Demo::query()->whereKey($demo->id)->update(['state' => WorkState::Done, 'studio_id' => $studio->id]);
                throw_if($kept === 0, new Stopped());
            });
        } catch (Stopped) {
            // Nothing of it is left.
        }
    }

    /** What nobody thought of is told as well. */
    public function failed(?Throwable $reason): void
    {
        Demo::query()->whereKey($this->demoId)->update(['state' => WorkState::Refused, 'reason' => 'It could not be made. Try again; if it fails once more, tell whoever looks after the server.']);
    }
}

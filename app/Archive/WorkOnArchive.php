<?php

declare(strict_types=1);

namespace App\Archive;

use App\Account\Studio;
use App\Queue\HowFar;
use App\Queue\Stopped;
use App\Queue\WorkState;
use Closure;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Http\File;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Nasturtium\Core\Formats\BadInput;
use Throwable;

/**
 * Packs the archive of a studio or puts one back, and tells as it goes on how far it is. One that was stopped meanwhile is
 * left as if it had not begun; what was put back says so within the same transaction, so that done twice it is done once.
 */
final class WorkOnArchive implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    /** Seconds. A studio of sixty students with five years is packed in half a minute and restored in a minute and a half (docs/scale.md). */
    public int $timeout = 1800;

    public function __construct(private readonly int $archiveId) {}

    public function handle(PackRows $pack, RestoreStudio $restore): void
    {
        $archive = Archive::query()->find($this->archiveId);
        if ($archive === null || ! $archive->state->isGoingOn()) {
            return;
        }
        $studio = Studio::query()->findOrFail($archive->studio_id);
        $tell = (new HowFar('archives', $archive->id, $this->job))->tell(...);
        try {
            $archive->kind === ArchiveKind::Pack ? $this->pack($archive, $studio, $pack, $tell) : $this->restore($archive, $studio, $restore, $tell);
        } catch (BadInput $reason) {
            $this->refuse($reason->getMessage());
        } catch (Stopped) {
            // Nothing of it is left.
        }
    }

    /** What nobody thought of is told as well. */
    public function failed(?Throwable $reason): void
    {
        $this->refuse('It could not be done. Try again; if it fails once more, tell whoever looks after the server.');
    }

    /** @param Closure(int, int): void $tell */
    private function pack(Archive $archive, Studio $studio, PackRows $pack, Closure $tell): void
    {
        $path = $pack->studio($studio, $tell);
        try {
            $file = (string) Storage::disk(Archive::DISK)->putFile('', new File($path));
            if (Archive::query()->whereKey($archive->id)->update(['state' => WorkState::Done, 'file' => $file]) === 0) {
                Storage::disk(Archive::DISK)->delete($file);
            }
        } finally {
            unlink($path);
        }
    }

    /**
     * @param Closure(int, int): void $tell
     *
     * @throws BadInput
     */
    private function restore(Archive $archive, Studio $studio, RestoreStudio $restore, Closure $tell): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'archive');
        try {
            file_put_contents($path, Storage::disk(Archive::DISK)->readStream((string) $archive->file));
            DB::transaction(function () use ($archive, $studio, $restore, $path, $tell): void {
                $restore($studio, $path, $tell);
                Archive::query()->whereKey($archive->id)->update(['state' => WorkState::Done]);
            });
        } finally {
            unlink($path);
        }
        $this->forget($archive);
    }

    private function refuse(string $reason): void
    {
        $archive = Archive::query()->find($this->archiveId);
        if ($archive !== null) {
            $archive->update(['state' => WorkState::Refused, 'reason' => mb_substr($reason, 0, 400)]);
            $this->forget($archive);
        }
    }

    private function forget(Archive $archive): void
    {
        if ($archive->kind === ArchiveKind::Restore && $archive->file !== null) {
            Storage::disk(Archive::DISK)->delete($archive->file);
            Archive::query()->whereKey($archive->id)->update(['file' => null]);
        }
    }
}

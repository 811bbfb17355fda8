<?php

declare(strict_types=1);

namespace App\Archive;

use App\Account\Studio;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Http\File;
use Illuminate\Queue\Jobs\DatabaseJob;
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

    /** Seconds between two tellings, at least. */
    private const OFTEN = 0.5;

    private float $toldAt = 0.0;

    public function __construct(private readonly int $archiveId) {}

    public function handle(PackRows $pack, RestoreStudio $restore): void
    {
        $archive = Archive::query()->find($this->archiveId);
        if ($archive === null || ! $archive->state->isGoingOn()) {
            return;
        }
        $studio = Studio::query()->findOrFail($archive->studio_id);
        try {
            $archive->kind === ArchiveKind::Pack ? $this->pack($archive, $studio, $pack) : $this->restore($archive, $studio, $restore);
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

    private function pack(Archive $archive, Studio $studio, PackRows $pack): void
    {
        $path = $pack->studio($studio, $this->tell(...));
        try {
            $file = (string) Storage::disk(Archive::DISK)->putFile('', new File($path));
            if (Archive::query()->whereKey($archive->id)->update(['state' => ArchiveState::Done, 'file' => $file]) === 0) {
                Storage::disk(Archive::DISK)->delete($file);
            }
        } finally {
            unlink($path);
        }
    }

    /** @throws BadInput */
    private function restore(Archive $archive, Studio $studio, RestoreStudio $restore): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'archive');
        try {
            file_put_contents($path, Storage::disk(Archive::DISK)->readStream((string) $archive->file));
            DB::transaction(function () use ($archive, $studio, $restore, $path): void {
                $restore($studio, $path, $this->tell(...));
                Archive::query()->whereKey($archive->id)->update(['state' => ArchiveState::Done]);
            });
        } finally {
            unlink($path);
        }
        $this->forget($archive);
    }

    /**
     * Beside the transaction, whose rows nobody sees before it ends. The job is held for as long as it tells.
     *
     * @throws Stopped
     */
    private function tell(int $done, int $of): void
    {
        if (microtime(true) - $this->toldAt < self::OFTEN) {
            return;
        }
        $this->toldAt = microtime(true);
        $beside = self::beside();
        $told = $beside->table('archives')->where('id', $this->archiveId)->update(['state' => ArchiveState::Working->value, 'done' => $done, 'of' => max(1, $of), 'updated_at' => now()]);
        if ($told === 0 && ! $beside->table('archives')->where('id', $this->archiveId)->exists()) {
            throw new Stopped();
        }
        if ($this->job instanceof DatabaseJob) {
            $beside->table('jobs')->where('id', $this->job->getJobId())->update(['reserved_at' => now()->getTimestamp()]);
        }
    }

    private static function beside(): ConnectionInterface
    {
        $name = config('database.beside');

        return DB::connection(is_string($name) ? $name : null);
    }

    private function refuse(string $reason): void
    {
        $archive = Archive::query()->find($this->archiveId);
        if ($archive !== null) {
            $archive->update(['state' => ArchiveState::Refused, 'reason' => mb_substr($reason, 0, 400)]);
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

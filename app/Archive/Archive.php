<?php

declare(strict_types=1);

namespace App\Archive;

use App\Account\Studio;
use App\Queue\WorkState;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/**
 * An archive of a studio that is packed or put back by the queue. What was packed is there for a day.
 *
 * @property int $id
 * @property int $studio_id
 * @property ArchiveKind $kind
 * @property WorkState $state
 * @property int $done tables
 * @property int $of
 * @property string $reason why it was refused
 * @property ?string $file on the disk of archives
 * @property Carbon $created_at
 */
final class Archive extends Model
{
    /** The disk that archives stand on. */
    public const DISK = 'archives';

    protected $guarded = [];

    protected $attributes = ['done' => 0, 'of' => 1, 'reason' => ''];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => ArchiveKind::class, 'state' => WorkState::class];
    }

    /** One of a kind at a time: what is asked for twice is begun once. */
    public static function begin(Studio $studio, ArchiveKind $kind, ?string $file = null): self
    {
        return DB::transaction(static function () use ($studio, $kind, $file): self {
            Studio::query()->whereKey($studio->id)->lockForUpdate()->firstOrFail();
            $own = self::query()->where('studio_id', $studio->id)->where('kind', $kind)->orderByDesc('id')->get();
            $before = $own->first(static fn (self $archive): bool => $archive->state->isGoingOn());
            if ($before !== null) {
                if ($file !== null) {
                    Storage::disk(self::DISK)->delete($file);
                }

                return $before;
            }
            $own->each(static fn (self $archive) => $archive->erase());
            $archive = self::query()->create(['studio_id' => $studio->id, 'kind' => $kind, 'state' => WorkState::Waiting, 'file' => $file]);
            WorkOnArchive::dispatch($archive->id);

            return $archive->refresh();
        });
    }

    /** With its file. */
    public function erase(): void
    {
        if ($this->file !== null) {
            Storage::disk(self::DISK)->delete($this->file);
        }
        $this->delete();
    }
}

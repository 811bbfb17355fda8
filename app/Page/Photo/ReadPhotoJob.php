<?php

declare(strict_types=1);

namespace App\Page\Photo;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Nasturtium\Core\Formats\Photo\BadPhoto;
use Nasturtium\Core\Formats\Photo\LinePicture;
use Nasturtium\Core\Formats\Photo\PageCodec;
use Nasturtium\Core\Formats\Photo\PhotoReader;
use Nasturtium\Core\Formats\Photo\PhotoReading;
use Nasturtium\Core\Formats\Photo\PhotoStep;
use Throwable;

/**
 * Reads a picture of a page, and tells as it goes on how far it is. One that was erased meanwhile is left; done twice it
 * leaves what it leaves once.
 */
final class ReadPhotoJob implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    public int $timeout = 60;

    public function __construct(private readonly int $photoId)
    {
        $this->onQueue('photos');
    }

    public function handle(): void
    {
        $photo = PagePhoto::query()->find($this->photoId);
        if ($photo === null || ! in_array($photo->state, [PhotoState::Waiting, PhotoState::Reading], true)) {
            return;
        }
        try {
            $reading = (new PhotoReader($this->tell(...), Tesseract::here()))->read(self::bytes($photo), $photo->cornersSet());
        } catch (BadPhoto $reason) {
            $this->refuse($reason->getMessage());

            return;
        }
        $this->keep($photo, $reading);
    }

    /** What nobody thought of is told as well, and where it can be looked for. */
    public function failed(?Throwable $reason): void
    {
        $this->refuse('This picture could not be read. Take it again, from straight above; if that fails too, type the page.');
    }

    /** @throws BadPhoto */
    private static function bytes(PagePhoto $photo): string
    {
        $bytes = $photo->upload === null ? PhotoLine::jpeg($photo, PhotoLine::WHOLE) : Storage::disk(PagePhoto::DISK)->get($photo->upload);
        if ($bytes === null) {
            throw BadPhoto::notKept();
        }

        return PdfPage::isPdf($bytes) ? PdfPage::drawn($bytes, $photo->pdf_page) : $bytes;
    }

    /** @throws BadPhoto when the teacher has stopped it */
    private function tell(PhotoStep $step, int $done, int $of): void
    {
        $told = PagePhoto::query()->whereKey($this->photoId)->update(['state' => PhotoState::Reading, 'step' => $step->value, 'done' => $done, 'of' => max(1, $of), 'updated_at' => now()]);
        // One that says what stands there already has changed no row.
        if ($told === 0 && ! PagePhoto::query()->whereKey($this->photoId)->exists()) {
            throw BadPhoto::stopped();
        }
    }

    private function refuse(string $reason): void
    {
        PagePhoto::query()->whereKey($this->photoId)->update(['state' => PhotoState::Refused, 'reason' => $reason]);
        $this->forget();
    }

    private function keep(PagePhoto $photo, PhotoReading $reading): void
    {
        $lines = $reading->lines();
        $upright = $photo->upload === null ? null : $reading->upright();
        DB::transaction(static function () use ($photo, $reading, $lines, $upright): void {
            $row = PagePhoto::query()->lockForUpdate()->find($photo->id);
            if ($row === null || $row->state !== PhotoState::Reading) {
                return;
            }
            $own = PhotoLine::query()->where('page_photo_id', $photo->id);
            ($upright === null ? $own->where('position', '!=', PhotoLine::WHOLE) : $own)->delete();
            foreach ($lines as $position => $line) {
                self::line($photo, $position, $line->jpeg, $line);
            }
            if ($upright !== null) {
                self::line($photo, PhotoLine::WHOLE, $upright, null);
            }
            $row->update(['state' => PhotoState::Read, 'reading' => PageCodec::written($reading->page), 'corrections' => '[]', 'revision' => $row->revision + 1, 'typed' => '', 'reason' => '']);
        });
        $this->forget();
    }

    private static function line(PagePhoto $photo, int $position, string $jpeg, ?LinePicture $line): void
    {
        PhotoLine::query()->create(['page_photo_id' => $photo->id, 'position' => $position, 'width' => $line->width ?? 0, 'height' => $line->height ?? 0, 'tops' => json_encode($line->tops ?? []), 'picture' => $jpeg]);
    }

    /** The file as it came, with whatever a camera wrote into it, is not kept. */
    private function forget(): void
    {
        $photo = PagePhoto::query()->find($this->photoId);
        if ($photo?->upload !== null) {
            Storage::disk(PagePhoto::DISK)->delete($photo->upload);
            $photo->update(['upload' => null]);
        }
    }
}

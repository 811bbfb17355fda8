<?php

declare(strict_types=1);

namespace App\Page\Photo;

use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Formats\Photo\BadPhoto;
use Nasturtium\Core\Formats\Photo\Decoder;

/** Takes a picture in and has it read. It is looked at no further than its dimensions until then. */
final class TakePhoto
{
    /** @throws ValidationException when it is no picture, or a larger one than can be read */
    public function __invoke(PagePhoto $photo, string $bytes, int $pdfPage): PagePhoto
    {
        if (! PdfPage::isPdf($bytes)) {
            try {
                Decoder::held($bytes);
            } catch (BadPhoto $reason) {
                throw ValidationException::withMessages(['file' => $reason->getMessage()]);
            }
        }
        $name = Str::random(40);
        Storage::disk(PagePhoto::DISK)->put($name, $bytes);
        $photo->update(['state' => PhotoState::Waiting, 'upload' => $name, 'pdf_page' => $pdfPage]);
        ReadPhotoJob::dispatch($photo->id);

        return $photo;
    }
}

<?php

declare(strict_types=1);

namespace App\Http;

use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** A file that was made to be taken away, and is gone once it was. */
final class FileAnswer
{
    public static function zip(string $path, string $name): BinaryFileResponse
    {
        return (new BinaryFileResponse($path, 200, ['Content-Type' => 'application/zip', 'Content-Disposition' => DownloadName::of($name, 'zip')]))->deleteFileAfterSend();
    }
}

<?php

declare(strict_types=1);

namespace App\Page\Photo;

use Nasturtium\Core\Formats\Photo\BadPhoto;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\ExecutableFinder;
use Symfony\Component\Process\Process;

/** Draws a page of a PDF as a picture, by Debian's poppler-utils. */
final class PdfPage
{
    /** Pixels of the longer side: A4 at 300 dots an inch. */
    private const SIDE = 3508;

    private const SECONDS = 20;

    public static function isPdf(string $bytes): bool
    {
        return str_starts_with(ltrim(substr($bytes, 0, 1024)), '%PDF-');
    }

    /**
     * @param int $page from 1
     *
     * @return string a PNG
     *
     * @throws BadPhoto
     */
    public static function drawn(string $bytes, int $page): string
    {
        $program = (new ExecutableFinder())->find('pdftoppm');
        if ($program === null) {
            throw BadPhoto::noPdf();
        }
        $process = new Process([$program, '-f', (string) $page, '-l', (string) $page, '-singlefile', '-gray', '-png', '-scale-to', (string) self::SIDE, '-'], sys_get_temp_dir(), ['LC_ALL' => 'C'], $bytes, self::SECONDS);
        try {
            $process->run();
        } catch (ProcessTimedOutException) {
            throw BadPhoto::pdfTooHeavy();
        }
        $picture = $process->getOutput();

        return str_starts_with($picture, "\x89PNG") ? $picture : throw BadPhoto::badPdf($page);
    }
}

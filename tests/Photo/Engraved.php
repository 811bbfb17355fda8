<?php

declare(strict_types=1);

namespace Tests\Photo;

use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Score\Piece;
use Symfony\Component\Process\Process;

/** A piece engraved by LilyPond as a picture. */
final class Engraved
{
    /**
     * @param int $size       of a staff, in points
     * @param int $resolution dots an inch
     *
     * @return string a PNG
     */
    public static function of(Piece $piece, int $size, int $resolution): string
    {
        $folder = sys_get_temp_dir().'/engraved-'.bin2hex(random_bytes(6));
        mkdir($folder);
        file_put_contents("{$folder}/a.musicxml", MusicXmlWriter::write($piece));
        (new Process(['musicxml2ly', '-o', "{$folder}/a.ly", "{$folder}/a.musicxml"], $folder, timeout: 60))->mustRun();
        $source = (string) file_get_contents("{$folder}/a.ly");
        file_put_contents("{$folder}/a.ly", "#(set-global-staff-size {$size})\n".$source);
        (new Process(['lilypond', '--png', "-dresolution={$resolution}", '-dno-point-and-click', '-dcrop', '-o', "{$folder}/a", "{$folder}/a.ly"], $folder, timeout: 120))->mustRun();
        $picture = self::framed((string) file_get_contents("{$folder}/a.cropped.png"));
        array_map(unlink(...), glob("{$folder}/*") ?: []);
        rmdir($folder);

        return $picture;
    }

    /** With the margin of a page around it. */
    private static function framed(string $picture): string
    {
        $image = imagecreatefromstring($picture);
        assert($image !== false);
        $page = imagecreatetruecolor(imagesx($image) + 200, imagesy($image) + 200);
        assert($page !== false);
        imagefill($page, 0, 0, 0xFFFFFF);
        imagecopy($page, $image, 100, 100, 0, 0, imagesx($image), imagesy($image));
        ob_start();
        imagepng($page);

        return (string) ob_get_clean();
    }
}

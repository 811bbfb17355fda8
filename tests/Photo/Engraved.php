<?php

declare(strict_types=1);

namespace Tests\Photo;

use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece;
use Symfony\Component\Process\Process;

/** A piece engraved by LilyPond as a picture, with what is written there. */
final readonly class Engraved
{
    /**
     * @param string                                  $picture a PNG
     * @param list<array{int, int, int, int, int}> $notes   staff and bar from 1, onset, length and pitch; in 1/192 of a whole note
     * @param list<array{int, int, int, int}>       $rests
     */
    private function __construct(public string $picture, public array $notes, public array $rests, public int $bars) {}

    /**
     * @param int $size       of a staff, in points
     * @param int $resolution dots an inch
     */
    public static function of(Piece $piece, int $size, int $resolution): self
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

        return new self($picture, ...self::written($piece));
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

    /** @return array{list<array{int, int, int, int, int}>, list<array{int, int, int, int}>, int} */
    private static function written(Piece $piece): array
    {
        $ticks = static fn (Fraction $time): int => $time->times(Fraction::of(192))->floor();
        $notes = [];
        $rests = [];
        foreach ($piece->measures as $bar => $measure) {
            foreach ($measure->events() as $event) {
                $staff = $event->staff() === Hand::Right ? 1 : 2;
                foreach ($event->notes as $note) {
                    $notes[] = [$staff, $bar + 1, $ticks($event->onset), $ticks($event->duration->whole), $note->pitch->midi()];
                }
                if ($event->notes === []) {
                    $rests[] = [$staff, $bar + 1, $ticks($event->onset), $ticks($event->duration->whole)];
                }
            }
        }

        return [$notes, $rests, count($piece->measures)];
    }
}

<?php

declare(strict_types=1);

namespace Tests\Photo;

use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Score\Piece;
use Symfony\Component\Process\ExecutableFinder;
use Symfony\Component\Process\Process;

/** Engraves pieces as pictures in a folder: by LilyPond, by abcm2ps, by Verovio in its five fonts. */
final class Press
{
    private const FONTS = ['Bravura', 'Gootville', 'Leipzig', 'Leland', 'Petaluma'];

    /** @var list<array<string, string|float>> what is left to be drawn by a browser */
    private array $jobs = [];

    public function __construct(private readonly string $folder)
    {
        is_dir($folder) || mkdir($folder, 0777, true);
    }

    /**
     * @param  list<string> $programs beside Verovio, where they are installed
     * @return non-empty-list<string> those with one font as often as two
     */
    public static function engravers(array $programs = ['lilypond', 'abcm2ps']): array
    {
        $all = array_map(static fn (string $font): string => "verovio:{$font}", self::FONTS);
        foreach ($programs as $program) {
            if ((new ExecutableFinder())->find($program) !== null) {
                array_push($all, $program, $program);
            }
        }

        return $all;
    }

    /** What was engraved before is not engraved again. */
    public function add(Piece $piece, string $engraver, string $name, float $magnified): void
    {
        $out = "{$this->folder}/{$name}.png";
        if (is_file($out)) {
            return;
        }
        if ($engraver === 'lilypond') {
            file_put_contents($out, Engraved::of($piece, 20, (int) (115 * $magnified)));
        } elseif ($engraver === 'abcm2ps') {
            file_put_contents("{$this->folder}/{$name}.abc", Abc::of($piece));
            (new Process(['abcm2ps', '-g', '-O', "{$this->folder}/{$name}-.svg", "{$this->folder}/{$name}.abc"], $this->folder, timeout: 60))->run();
            $this->jobs[] = ['engraver' => 'svg', 'svg' => (glob("{$this->folder}/{$name}-*.svg") ?: [''])[0], 'out' => $out, 'magnified' => 1.5 * $magnified];
        } else {
            file_put_contents("{$this->folder}/{$name}.musicxml", MusicXmlWriter::write($piece));
            $this->jobs[] = ['engraver' => 'verovio', 'font' => explode(':', $engraver)[1], 'music' => "{$this->folder}/{$name}.musicxml", 'out' => $out, 'magnified' => $magnified];
        }
    }

    /** Draws what was added. */
    public function print(): void
    {
        file_put_contents("{$this->folder}/jobs.json", json_encode($this->jobs, JSON_THROW_ON_ERROR));
        (new Process(['node', __DIR__.'/print.mjs', "{$this->folder}/jobs.json"], dirname(__DIR__, 2), timeout: 1200))->mustRun();
    }
}

<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Midi\MidiWriter;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Symfony\Component\Process\Process;
use Tests\SayableTunes;

/*
 * What is written is read by programs of others: the engraver, and LilyPond's musicxml2ly.
 */

/** @return list<string> a file for each tune of a dataset */
function written_out(string $folder): array
{
    $tunes = array_merge(SayableTunes::all(), demo_tunes());
    $files = [];
    foreach (array_values($tunes) as $i => $tune) {
        $files[] = $file = "{$folder}/{$i}.musicxml";
        file_put_contents($file, MusicXmlWriter::write(tune($tune)));
    }

    return $files;
}

beforeEach(function (): void {
    $this->folder = sys_get_temp_dir().'/outside-'.bin2hex(random_bytes(6));
    mkdir($this->folder);
});

afterEach(function (): void {
    array_map(unlink(...), glob("{$this->folder}/*") ?: []);
    rmdir($this->folder);
});

test('the engraver reads every tune, note for note, and has nothing to say', function (): void {
    $files = written_out($this->folder);
    $node = new Process(['node', __DIR__.'/verovio.mjs', ...$files], timeout: 120);
    $node->mustRun();
    $results = json_decode($node->getOutput(), true, flags: JSON_THROW_ON_ERROR);
    expect($results)->toHaveCount(count($files));
    foreach ($results as $i => $result) {
        expect($result)->toBe(['read' => true, 'lost' => [], 'log' => []], (string) file_get_contents($files[$i]));
    }
});

test('musicxml2ly reads every tune without an error', function (): void {
    foreach (written_out($this->folder) as $file) {
        $process = new Process(['musicxml2ly', '-o', "{$this->folder}/out.ly", $file], timeout: 60);
        $process->run();
        $said = $process->getErrorOutput().$process->getOutput();
        expect($process->getExitCode())->toBe(0, $said)
            ->and(preg_match('/\berror\b|Traceback|overfull/i', $said))->toBe(0, $said)
            ->and(substr_count((string) file_get_contents("{$this->folder}/out.ly"), "\n"))->toBeGreaterThan(10);
    }
});

test('another reader finds the notes of a MIDI file where they are played', function (): void {
    file_put_contents("{$this->folder}/a.mid", MidiWriter::write(tune("title: Round\nR: @c4 |: q1 {v234} h5 [1 w1~ :| [2 w1 |\nL: @5=c3 w5 | 5 | 5\n")));
    $node = new Process(['node', __DIR__.'/midi.mjs', "{$this->folder}/a.mid"], timeout: 60);
    $node->mustRun();
    expect(json_decode($node->getOutput(), true, flags: JSON_THROW_ON_ERROR))->toBe([[
        'format' => 1,
        'ticks' => 480,
        'tracks' => [
            ['name' => 'Round', 'notes' => [], 'ends' => true],
            ['name' => 'Right hand', 'notes' => [
                [60, 0, 480], [62, 480, 640], [64, 640, 800], [65, 800, 960], [67, 960, 1920], [60, 1920, 3840],
                [60, 3840, 4320], [62, 4320, 4480], [64, 4480, 4640], [65, 4640, 4800], [67, 4800, 5760], [60, 5760, 7680],
            ], 'ends' => true],
            ['name' => 'Left hand', 'notes' => [[48, 0, 1920], [48, 1920, 3840], [48, 3840, 5760], [48, 5760, 7680]], 'ends' => true],
        ],
    ]]);
});

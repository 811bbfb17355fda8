<?php

declare(strict_types=1);

namespace App\Page\Photo;

use Nasturtium\Core\Formats\Photo\WordReader;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\ExecutableFinder;
use Symfony\Component\Process\Process;

/** Reads words by Debian's tesseract-ocr; nothing where it is missing or takes too long. */
final readonly class Tesseract implements WordReader
{
    private const SECONDS = 8;

    /** Per cent under which a word is a guess. */
    private const SURE = 45;

    private function __construct(private string $program) {}

    /** @return self|null null where it is not installed */
    public static function here(): ?self
    {
        $program = (new ExecutableFinder())->find('tesseract');

        return $program === null ? null : new self($program);
    }

    public function lines(string $jpeg): array
    {
        $process = new Process([$this->program, 'stdin', 'stdout', '--psm', '6', '-l', 'eng', 'tsv'], sys_get_temp_dir(), ['OMP_THREAD_LIMIT' => '1'], $jpeg, self::SECONDS);
        try {
            $process->run();
        } catch (ProcessTimedOutException) {
            return [];
        }
        $lines = [];
        foreach (explode("\n", $process->getOutput()) as $row) {
            // level page block paragraph line word left top width height confidence text
            $cells = explode("\t", $row);
            if (($cells[0] ?? '') !== '5' || ! isset($cells[11]) || (float) $cells[10] < self::SURE || trim($cells[11]) === '' || ! mb_check_encoding($cells[11], 'UTF-8')) {
                continue;
            }
            $at = "{$cells[2]}.{$cells[3]}.{$cells[4]}";
            $lines[$at]['text'] = trim(($lines[$at]['text'] ?? '').' '.trim($cells[11]));
            $lines[$at]['height'] = max($lines[$at]['height'] ?? 0, (int) $cells[9]);
            $lines[$at]['words'][] = ['text' => trim($cells[11]), 'x' => (int) $cells[6] + intdiv((int) $cells[8], 2)];
        }

        return array_values($lines);
    }
}

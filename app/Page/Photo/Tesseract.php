<?php

declare(strict_types=1);

namespace App\Page\Photo;

use Nasturtium\Core\Formats\Photo\WordReader;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\ExecutableFinder;
use Symfony\Component\Process\Process;

/** Reads words by Debian's tesseract-ocr; nothing where it is missing or takes too long. */
final class Tesseract implements WordReader
{
    private const SECONDS = 8;

    /** Of one page: reading it has to come to an end, with or without its words. */
    private const SECONDS_A_PAGE = 24.0;

    /** Per cent under which a word is a guess. */
    private const SURE = 45;

    /** @param float $left seconds */
    private function __construct(private readonly string $program, private float $left) {}

    /**
     * @param float $seconds in which all of a page has to be read
     *
     * @return self|null null where it is not installed
     */
    public static function here(float $seconds = self::SECONDS_A_PAGE): ?self
    {
        $program = (new ExecutableFinder())->find('tesseract');

        return $program === null ? null : new self($program, $seconds);
    }

    public function lines(string $jpeg): array
    {
        if ($this->left <= 0) {
            return [];
        }
        $from = microtime(true);
        $process = new Process([$this->program, 'stdin', 'stdout', '--psm', '6', '-l', 'eng', 'tsv'], sys_get_temp_dir(), ['OMP_THREAD_LIMIT' => '1'], $jpeg, min(self::SECONDS, $this->left));
        try {
            $process->run();
        } catch (ProcessTimedOutException) {
            return [];
        } finally {
            $this->left -= microtime(true) - $from;
        }
        $lines = [];
        foreach (explode("\n", $process->getOutput()) as $row) {
            // level page block paragraph line word left top width height confidence text
            $cells = explode("\t", $row);
            if (($cells[0] ?? '') !== '5' || ! isset($cells[11]) || (float) $cells[10] < self::SURE || trim($cells[11]) === '' || ! mb_check_encoding($cells[11], 'UTF-8')) {
                continue;
            }
            $at = "{$cells[2]}.{$cells[3]}.{$cells[4]}";
            $lines[$at]['height'] = max($lines[$at]['height'] ?? 0, (int) $cells[9]);
            $lines[$at]['words'][] = ['text' => trim($cells[11]), 'x' => (int) $cells[6] + intdiv((int) $cells[8], 2)];
        }

        return array_values($lines);
    }
}

<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;
use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\HowToRead;
use Nasturtium\Core\Formats\Readers\MusicFormats;
use Nasturtium\Core\Performance\Hearing\Hear;
use Nasturtium\Core\Performance\Hearing\Source;
use Nasturtium\Core\Performance\Hearing\TakeFile;
use Nasturtium\Core\Performance\Hearing\WrittenMusic;
use Nasturtium\Core\Refusal;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Piece;
use Symfony\Component\Console\Output\OutputInterface;

/** Prints what was heard in a take beside a piece (docs/hearing.md). */
final class HearCommand extends Command
{
    protected $signature = 'nasturtium:hear
        {piece : a file of music}
        {take : a take, as JSON}
        {--from=keyboard : keyboard or microphone}
        {--bars= : the bars that were played, as 3-5; else the whole piece with its repeats}
        {--hand= : R or L; else both}';

    protected $description = 'Print what was heard in a take beside a piece, as one JSON document';

    public function handle(): int
    {
        try {
            $bytes = GivenFile::contents($this->argument('piece'));
            $piece = MusicFormats::of($bytes)->read($bytes, new HowToRead())->piece;
            $taken = TakeFile::read(GivenFile::contents($this->argument('take')));
            $music = WrittenMusic::of($piece, $this->range($piece), $this->hand());
            $heard = Hear::take($music, $taken, $this->source());
        } catch (Refusal $reason) {
            fwrite(STDERR, preg_replace('/\s+/', ' ', $reason->getMessage())."\n");

            return self::FAILURE;
        }
        $this->output->write(json_encode(TakeFile::written($heard), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR)."\n", false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }

    /** @throws BadInput */
    private function source(): Source
    {
        $from = $this->given('from') ?? '';

        return Source::tryFrom($from) ?? throw BadArgument::noChoice('from', $from, ['keyboard'], 'microphone');
    }

    /** @throws BadInput */
    private function hand(): ?Hand
    {
        $hand = $this->given('hand');

        return $hand === null ? null : Hand::tryFrom($hand) ?? throw BadArgument::noChoice('hand', $hand, ['R'], 'L');
    }

    /**
     * @return ?array{int, int} first and last index of a measure
     *
     * @throws BadInput
     */
    private function range(Piece $piece): ?array
    {
        $bars = $this->given('bars');
        if ($bars === null) {
            return null;
        }
        $numbers = array_map(static fn (Measure $measure): int => $measure->number, $piece->measures);
        $found = [];
        preg_match('/^(\d{1,4})(?:-(\d{1,4}))?$/D', $bars, $found);
        $first = array_search((int) ($found[1] ?? -1), $numbers, true);
        $last = array_search((int) ($found[2] ?? $found[1] ?? -1), array_reverse($numbers, true), true);

        return is_int($first) && is_int($last) && $first <= $last ? [$first, $last] : throw BadArgument::noBars($bars, $numbers[0] ?? 0, $piece->last()->number);
    }

    private function given(string $option): ?string
    {
        $given = $this->option($option);

        return is_string($given) ? $given : null;
    }
}

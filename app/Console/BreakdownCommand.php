<?php

declare(strict_types=1);

namespace App\Console;

use App\Desk\BreakDown;
use BackedEnum;
use Illuminate\Console\Command;
use Nasturtium\Core\Counting\CompoundBeats;
use Nasturtium\Core\Counting\CountingSystem;
use Nasturtium\Core\Counting\CountStyle;
use Nasturtium\Core\Counting\CountWay;
use Nasturtium\Core\Counting\LongNotes;
use Nasturtium\Core\Counting\NoteWords;
use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\HowToRead;
use Nasturtium\Core\Formats\PartChoice;
use Nasturtium\Core\Formats\Readers\MusicFormats;
use Nasturtium\Core\Path\PathKind;
use Nasturtium\Core\Reading\KnownNotes;
use Nasturtium\Core\Reading\Landmarks;
use Nasturtium\Core\Reading\School;
use Nasturtium\Core\Refusal;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\InvalidScore;
use Symfony\Component\Console\Output\OutputInterface;

/** Prints the breakdown report of a MusicXML file (docs/breakdown.md). */
final class BreakdownCommand extends Command
{
    protected $signature = 'nasturtium:breakdown
        {file : a .musicxml, .xml or .mxl file}
        {--part= : the id of the student\'s part, where the file has several; both hands, or the right hand beside --left}
        {--left= : the id of the left hand\'s part, where each hand has one of its own}
        {--path=beat : beat, notes or sound}
        {--school=landmark : landmark, alphabet or phrase}
        {--landmarks=1 : the landmark level, 1 to 3}
        {--known= : notes the student knows, as C4,D4}
        {--counting=numbers : numbers, units, time-names, du-de, note-names, own-words or lyrics}
        {--style=bar : where the & is said: bar or beats}
        {--long=all : counts of a long note: all or after}
        {--compound=eighths : 6/8 in eighths or dotted-quarters}
        {--words=us : us or uk}
        {--hand-span=6 : white keys the hand spans}
        {--octave=0 : octaves the student plays above what is written}';

    protected $description = 'Print the breakdown of a file of music as one JSON document';

    public function handle(BreakDown $breakDown): int
    {
        try {
            $bytes = GivenFile::contents($this->argument('file'));
            $score = MusicFormats::of($bytes)->read($bytes, new HowToRead($this->parts()));
            $document = $breakDown($score->piece, $this->settings(), $score->notRead);
        } catch (Refusal $reason) {
            fwrite(STDERR, preg_replace('/\s+/', ' ', $reason->getMessage())."\n");

            return self::FAILURE;
        }
        $this->output->write(json_encode($document, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR)."\n", false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }

    /** @throws BadInput */
    private function parts(): ?PartChoice
    {
        [$part, $left] = [$this->text('part'), $this->text('left')];
        if ($part === '' && $left !== '') {
            throw BadArgument::leftAlone();
        }

        return $part === '' ? null : new PartChoice($part, $left === '' ? null : $left);
    }

    /** @throws BadInput|InvalidScore */
    private function settings(): Settings
    {
        $known = array_filter(array_map(trim(...), explode(',', $this->text('known'))), static fn (string $name): bool => $name !== '');

        return new Settings(
            path: $this->oneOf(PathKind::class, 'path'),
            school: $this->oneOf(School::class, 'school'),
            counting: new CountWay(
                $this->oneOf(CountingSystem::class, 'counting'),
                $this->oneOf(CountStyle::class, 'style'),
                $this->oneOf(LongNotes::class, 'long'),
                $this->oneOf(CompoundBeats::class, 'compound'),
                $this->oneOf(NoteWords::class, 'words'),
            ),
            landmarks: new Landmarks((int) $this->text('landmarks')),
            known: $this->option('known') === null ? null : KnownNotes::of($known),
            handSpan: max(1, (int) $this->text('hand-span')),
            octave: max(-2, min(2, (int) $this->text('octave'))),
        );
    }

    /**
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     *
     * @throws BadInput
     */
    private function oneOf(string $enum, string $option): BackedEnum
    {
        $choices = array_map(static fn (BackedEnum $case): string => (string) $case->value, $enum::cases());
        $last = array_pop($choices);

        return $enum::tryFrom($this->text($option)) ?? throw BadArgument::noChoice($option, $this->text($option), $choices, $last);
    }

    private function text(string $option): string
    {
        $value = $this->option($option);

        return is_string($value) ? $value : '';
    }
}

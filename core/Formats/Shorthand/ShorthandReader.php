<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

use Nasturtium\Core\Refusal;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\PieceBuilder;
use Nasturtium\Core\Score\SignKind;

/**
 * Reads the typed shorthand. Heading lines (`time: 3/4`) come first; then each printed line of the page is a text line
 * for the right hand (`R`) and one for the left (`L`), each followed by its second voices (`R2`) and words (`W`).
 * The grammar is in docs/shorthand.md.
 */
final class ShorthandReader
{
    public const MAX_CHARACTERS = 60_000;

    /** Of one line: a printed line of a page is far shorter. */
    private const MAX_LINE = 6_000;

    /** More are not told at once. */
    private const MOST_ERRORS = 100;

    private readonly PieceBuilder $builder;

    private readonly Headings $headings;

    /** @var list<ShorthandError> */
    private array $errors = [];

    /** @var list<PrintedLine> */
    private array $lines = [];

    private function __construct()
    {
        $this->builder = new PieceBuilder();
        $this->builder->title = 'Untitled';
        $this->headings = new Headings($this->builder);
    }

    public static function read(string $text): ReadShorthand
    {
        return (new self())->page($text);
    }

    /** The voice of the line that a text ends in, as far as it is typed; null when that is no line of music. */
    public static function voiceAt(string $text): ?Voice
    {
        $reader = new self();
        $lines = explode("\n", str_replace("\r", '', mb_substr($text, 0, self::MAX_CHARACTERS)));
        foreach ($lines as $i => $line) {
            $reader->sort($line, $i + 1);
        }
        foreach ($reader->lines[count($reader->lines) - 1]->voices ?? [] as $name => [, $number]) {
            if ($number === count($lines)) {
                $frame = new Frame($reader->headings->meter, $reader->headings->key);

                // The bars that the line lacks are still to come.
                return $reader->music($frame, stopAt: $name)[$name] ?? null;
            }
        }

        return null;
    }

    private function page(string $text): ReadShorthand
    {
        if (mb_strlen($text) > self::MAX_CHARACTERS) {
            return new ReadShorthand(null, [new ShorthandError(1, 1, 1, BadShorthand::tooLong()->getMessage())]);
        }
        foreach (explode("\n", str_replace("\r", '', $text)) as $i => $line) {
            $this->sort($line, $i + 1);
        }
        $frame = new Frame($this->headings->meter, $this->headings->key);
        $voices = $this->music($frame);
        $build = new TypedPage($this->builder, $this->headings, $frame, $voices);
        try {
            $build->measures();
            $piece = $this->builder->count() > 0 ? $this->builder->piece() : null;
        } catch (Refusal $reason) {
            $piece = null;
            array_unshift($this->errors, new ShorthandError(1, 1, 1, ucfirst($reason->getMessage()).'.'));
        }
        usort($this->errors, static fn (ShorthandError $a, ShorthandError $b): int => [$a->line, $a->column] <=> [$b->line, $b->column]);

        return new ReadShorthand($piece, $this->errors, $piece === null ? [] : $build->spans());
    }

    private function sort(string $line, int $number): void
    {
        if (trim($line) === '' || str_starts_with(ltrim($line), ';')) {
            return;
        }
        if (strlen($line) > self::MAX_LINE) {
            $this->error($number, self::MAX_LINE, 1, BadShorthand::lineTooLong());

            return;
        }
        $last = $this->lines[count($this->lines) - 1] ?? null;
        if (preg_match('/^(\s*([RL])([2-4])?(?:[:\s]\s*|$))(.*)$/u', $line, $found) === 1) {
            $name = $found[2].($found[3] === '' ? '1' : $found[3]);
            if ($last === null || ! $last->takes($name)) {
                $this->lines[] = $last = new PrintedLine();
            }
            $last->voices[$name] = [$found[4], $number, mb_strlen($found[1]) + 1];

            return;
        }
        if (preg_match('/^(\s*W(L)?([2-9])?(?:[:\s]\s*|$))(.*)$/u', $line, $found) === 1) {
            if ($last === null) {
                $this->error($number, 1, mb_strlen(rtrim($line)), BadShorthand::wordsWithoutMusic());

                return;
            }
            $last->words[] = [$found[2] === '' ? 'R1' : 'L1', $found[3] === '' ? 1 : (int) $found[3], $found[4], $number, mb_strlen($found[1]) + 1];

            return;
        }
        if (preg_match('/^(\s*(\w+)\s*:\s*)(.*)$/u', $line, $found) === 1) {
            $this->heading(strtolower($found[2]), trim($found[3]), $number, mb_strlen($found[1]) + 1, mb_strlen($found[2]));

            return;
        }
        $this->error($number, 1, mb_strlen(rtrim($line)), BadShorthand::noLine());
    }

    private function heading(string $name, string $value, int $line, int $column, int $nameLength): void
    {
        if (! in_array($name, Headings::NAMES, true)) {
            $this->error($line, 1, $nameLength, BadShorthand::unknownHeading($name, array_slice(Headings::NAMES, 0, -1)));

            return;
        }
        if ($this->lines !== []) {
            $this->error($line, 1, $nameLength, BadShorthand::headingInTheMusic());

            return;
        }
        try {
            $this->headings->set($name, $value);
        } catch (Refusal $reason) {
            $this->error($line, $column, max(1, mb_strlen($value)), BadShorthand::ofAHeading($reason));
        }
    }

    /**
     * @param  string|null  $stopAt  the voice of the last line that is still being typed
     * @return array<string, Voice> by name, as `R1`
     */
    private function music(Frame $frame, ?string $stopAt = null): array
    {
        $voices = [];
        foreach ($this->lines as $line) {
            foreach (array_keys($line->voices) as $name) {
                $voices[$name] ??= new Voice(Hand::from($name[0]), (int) $name[1], $frame);
            }
        }
        ksort($voices);
        foreach ($this->lines as $at => $line) {
            foreach ($voices as $voice) {
                $voice->beginLine();
            }
            $frame->leading = true;
            foreach ($line->voices as $name => [$text, $number, $column]) {
                $main = $voices["{$name[0]}1"] ?? null;
                if (isset($voices[$name])) {
                    // A second voice lies under the same hand.
                    $voices[$name]->tones->thumb ??= $main?->tones->thumb;
                    $this->voice($voices[$name], $text, $number, $column, $name !== $stopAt || $at < count($this->lines) - 1);
                    $frame->leading = false;
                }
            }
            if ($stopAt !== null && $at === count($this->lines) - 1) {
                break;
            }
            $this->sameBars($voices, $line);
            $this->words($voices, $line);
        }
        foreach ($voices as $voice) {
            $voice->finish();
        }

        return $voices;
    }

    /** @param bool $ends the line is typed to its end */
    private function voice(Voice $voice, string $text, int $line, int $column, bool $ends): void
    {
        foreach (Token::all($text, $line, $column) as $token) {
            try {
                $this->token($voice, $token->parts, new Span($line, $token->at->column, $token->at->text, $voice->inForce()));
            } catch (Refusal $reason) {
                $this->error($line, $token->at->column, $token->at->length(), $reason);
            }
        }
        if (! $ends) {
            return;
        }
        try {
            $voice->endLine();
        } catch (Refusal $reason) {
            $this->error($line, $column + max(0, mb_strlen(rtrim($text)) - 1), 1, $reason);
        }
    }

    /** @param array<string, string> $token */
    private function token(Voice $voice, array $token, Span $at): void
    {
        match (true) {
            isset($token['bar']) => $voice->barLine($token['bar'], (int) ($token['times'] ?? 2)),
            isset($token['command']) => Commands::bracket($token['command'], $voice),
            isset($token['ending']) => $voice->ending(array_map(intval(...), explode(',', $token['ending']))),
            isset($token['position']) => $voice->tones->position($token['position'], (int) ($token['finger'] ?? 1)),
            isset($token['length']) => $voice->length($token['length']),
            isset($token['chord']) => $voice->chord($token['chord'], $token['chordmarks'] ?? '', $at),
            isset($token['grace']) => $voice->grace($token['gracetone'] ?? '', $token['gracevalue'] ?? 'v', $token['grace'] === '`', strlen($token['graceslurs'] ?? '')),
            isset($token['tone']) => $voice->note($token['tone'], $token['marks'] ?? '', $at),
            isset($token['rest']) => $voice->rest($token['restmarks'] ?? '', $at),
            isset($token['skip']) => $voice->skip(),
            isset($token['wholerest']) => $voice->wholeRest($at),
            isset($token['copy']) => $this->copy($voice, $token['copy'], $at),
            isset($token['open']) => $voice->openTuplet((int) ($token['actual'] ?? 3), (int) ($token['normal'] ?? 2)),
            isset($token['close']) => $voice->closeTuplet(),
            isset($token['hairpin']) => $voice->hairpin($token['hairpin'] === '<' ? SignKind::Crescendo : SignKind::Diminuendo),
            isset($token['level']) => $voice->level(),
            isset($token['words']) => Commands::quoted($token['words'], $voice),
            default => throw BadShorthand::unknownToken($at->text, Token::rightOne($token, $at->text)),
        };
    }

    private function copy(Voice $voice, string $token, Span $at): void
    {
        [$first, $last] = [...explode('-', substr($token, 1)), null];
        $voice->copy($token === '%' ? null : (int) $first, (int) ($last ?? $first), $at);
    }

    /** @param array<string, Voice> $voices */
    private function sameBars(array $voices, PrintedLine $line): void
    {
        $counts = array_map(static fn (Voice $voice): int => count($voice->bars) - $voice->lineStart, $voices);
        $most = max([0, ...array_values($counts)]);
        foreach ($voices as $name => $voice) {
            [$text, $number, $column] = $line->voices[$name] ?? ['', 0, 0];
            if ($number > 0 && $voice->number === 1 && $counts[$name] > 0 && $counts[$name] < $most) {
                $other = ($counts[$name[0] === 'R' ? 'L1' : 'R1'] ?? 0) === $most ? ($name[0] === 'R' ? "the left hand's" : "the right hand's") : 'another voice';
                $this->error($number, $column + max(0, mb_strlen(rtrim($text)) - 1), 1, BadShorthand::barsMissing($counts[$name], $other, $most));
            }
            $voice->fill($most);
        }
    }

    /** @param array<string, Voice> $voices */
    private function words(array $voices, PrintedLine $line): void
    {
        foreach ($line->words as [$name, $verse, $text, $number, $column]) {
            $notes = [];
            $voice = $voices[$name] ?? null;
            foreach ($voice === null ? [] : array_slice($voice->bars, $voice->lineStart) as $bar) {
                array_push($notes, ...array_filter($bar->events, static fn (TypedEvent $event): bool => $event->isStruck()));
            }
            $left = Lyrics::lay($text, $verse, $notes);
            if ($left !== []) {
                $this->error($number, $column + $left[0][0], mb_strlen($left[0][1]), BadShorthand::tooManySyllables($left[0][1]));
            }
        }
    }

    private function error(int $line, int $column, int $length, Refusal $reason): void
    {
        if (count($this->errors) < self::MOST_ERRORS) {
            $this->errors[] = new ShorthandError($line, $column, max(1, $length), $reason->getMessage());
        }
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\PieceBuilder;

/**
 * The typed shorthand. Heading lines (`time: 3/4`) come first; then each printed line of the page is a text line for
 * the right hand (`R`) and one for the left (`L`). The grammar is in docs/shorthand.md.
 */
final class Shorthand
{
    private const MAX_CHARACTERS = 60_000;

    private const TOKEN = '/\G(?:
        (?<space>\s+)
        |(?<bar>:\||\|:|\|)
        |(?<ending>\[\d)
        |(?<thumb>@(?<finger>[1-5]=)?(?<key>[a-gA-G](?:\#|b)?\d))
        |(?<length>[whqvx]\.{0,2})
        |(?<chord>\((?<inside>[^()|]*)\)(?<chordtie>~?))
        |(?<note>(?<tone>[1-5](?:[+\-n])?|[a-gA-G](?:[+\-n])?[\',]*(?:\^[1-5])?)(?<tie>~?))
        |(?<rest>r)
        |(?<wholerest>\/)
        |(?<odd>\S)
    )/x';

    private PieceBuilder $builder;

    /** @var list<ShorthandError> */
    private array $errors = [];

    private Meter $meter;

    private Key $key;

    /** @var array<string, Clef> */
    private array $clefs = [];

    /** @var list<array{R: array{string, int, int}|null, L: array{string, int, int}|null}> text, its line and first column, by printed line */
    private array $lines = [];

    public static function read(string $text): ReadShorthand
    {
        return (new self())->page($text);
    }

    private function page(string $text): ReadShorthand
    {
        $this->builder = new PieceBuilder();
        $this->builder->title = 'Untitled';
        $this->meter = new Meter(4, 4);
        $this->key = new Key();
        $this->clefs = ['R' => Clef::Treble, 'L' => Clef::Bass];
        if (mb_strlen($text) > self::MAX_CHARACTERS) {
            return new ReadShorthand(null, [new ShorthandError(1, 1, 1, 'This is too long for one piece; put the next piece on a page of its own.')]);
        }
        foreach (explode("\n", str_replace("\r", '', $text)) as $i => $line) {
            $this->sort($line, $i + 1);
        }
        $this->music();

        return new ReadShorthand($this->builder->count() > 0 ? $this->builder->piece() : null, $this->errors);
    }

    private function sort(string $line, int $number): void
    {
        if (trim($line) === '' || str_starts_with(ltrim($line), ';')) {
            return;
        }
        if (preg_match('/^(\s*([RL])(?:[:\s]\s*|$))(.*)$/u', $line, $found) === 1) {
            $hand = $found[2] === 'R' ? 'R' : 'L';
            $last = count($this->lines) - 1;
            if ($last < 0 || $this->lines[$last][$hand] !== null || ($hand === 'R' && $this->lines[$last]['L'] !== null)) {
                $this->lines[] = ['R' => null, 'L' => null];
                $last++;
            }
            $this->lines[$last][$hand] = [$found[3], $number, mb_strlen($found[1]) + 1];

            return;
        }
        if (preg_match('/^(\s*(\w+)\s*:\s*)(.*)$/u', $line, $found) === 1) {
            $this->heading(strtolower($found[2]), trim($found[3]), $number, mb_strlen($found[1]) + 1, mb_strlen($found[2]));

            return;
        }
        $this->error($number, 1, mb_strlen(rtrim($line)), 'A line of music begins with R or L, a heading with its name, such as time: 3/4.');
    }

    private function heading(string $name, string $value, int $line, int $column, int $nameLength): void
    {
        try {
            match ($name) {
                'title' => $this->builder->title = $value === '' ? 'Untitled' : mb_substr($value, 0, 120),
                'composer' => $this->builder->composer = $value === '' ? null : mb_substr($value, 0, 120),
                'time' => $value === '' ? null : $this->meter = Meter::parse($value),
                'key' => $value === '' ? null : $this->key = Key::parse($value),
                'tempo' => $this->tempo($value),
                'clefs' => $this->clefs($value),
                default => $this->error($line, 1, $nameLength, "There is no heading '{$name}'. They are title, composer, time, key, tempo and clefs."),
            };
        } catch (InvalidScore $reason) {
            $this->error($line, $column, max(1, mb_strlen($value)), ucfirst($reason->getMessage()).'.');
        }
    }

    private function tempo(string $value): void
    {
        if (preg_match('/^(?:(\d{2,3})(?:\s*-\s*(\d{2,3}))?)?\s*(.*)$/u', $value, $found) !== 1) {
            return;
        }
        [$first, $second] = [(int) $found[1], (int) $found[2]];
        foreach ([$first, $second] as $tempo) {
            if ($tempo !== 0 && ($tempo < 30 || $tempo > 240)) {
                throw new InvalidScore("a tempo of {$tempo} is not on the metronome; 40 to 208 are usual");
            }
        }
        $this->builder->tempo = ($second !== 0 ? $second : $first) ?: null;
        $this->builder->tempoFrom = $second !== 0 ? $first : null;
        $this->builder->tempoWords = $found[3] === '' ? null : mb_substr($found[3], 0, 60);
    }

    private function clefs(string $value): void
    {
        $names = preg_split('/[\s,]+/', strtolower($value), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $clefs = array_map(Clef::tryFrom(...), $names);
        if (count($clefs) !== 2 || $clefs[0] === null || $clefs[1] === null) {
            throw new InvalidScore("'{$value}' names no two clefs; write the right hand's, then the left's, like treble bass");
        }
        $this->clefs = ['R' => $clefs[0], 'L' => $clefs[1]];
    }

    private function music(): void
    {
        $writers = [
            'R' => new ShorthandHand(Hand::Right, $this->meter, $this->key),
            'L' => new ShorthandHand(Hand::Left, $this->meter, $this->key),
        ];
        foreach ($this->lines as $lineIndex => $line) {
            $bars = ['R' => 0, 'L' => 0];
            foreach ($writers as $name => $writer) {
                $writer->beginLine();
                if ($line[$name] !== null) {
                    [$text, $number, $column] = $line[$name];
                    $this->tokens($writer, $text, $number, $column);
                }
                $bars[$name] = $writer->endLine();
            }
            $this->sameBars($writers, $bars, $line, $lineIndex);
        }
        $this->build($writers);
    }

    private function tokens(ShorthandHand $hand, string $text, int $line, int $column): void
    {
        $offset = 0;
        while ($offset < strlen($text) && preg_match(self::TOKEN, $text, $token, PREG_UNMATCHED_AS_NULL, $offset) === 1) {
            $whole = (string) $token[0];
            $at = $column + mb_strlen(substr($text, 0, $offset));
            $offset += strlen($whole);
            try {
                $this->token($hand, $token);
            } catch (InvalidScore $reason) {
                $this->error($line, $at, mb_strlen($whole), $reason->getMessage());
            }
        }
    }

    /** @param array<array-key, string|null> $token */
    private function token(ShorthandHand $hand, array $token): void
    {
        match (true) {
            isset($token['space']) => null,
            isset($token['bar']) => $hand->bar($token['bar']),
            isset($token['ending']) => $hand->ending((int) substr($token['ending'], 1)),
            isset($token['thumb']) => $hand->position((string) $token['key'], isset($token['finger']) ? (int) $token['finger'] : 1),
            isset($token['length']) => $hand->length($token['length']),
            isset($token['chord']) => $hand->chord((string) $token['inside'], ($token['chordtie'] ?? '') !== ''),
            isset($token['note']) => $hand->note((string) $token['tone'], ($token['tie'] ?? '') !== ''),
            isset($token['rest']) => $hand->rest(),
            isset($token['wholerest']) => $hand->wholeRest(),
            default => throw new InvalidScore("'{$token[0]}' means nothing here. Notes are fingers 1 to 5 or letters a to g, lengths w h q v x, a rest r, a bar |."),
        };
    }

    /**
     * @param  array<string, ShorthandHand>  $writers
     * @param  array{R: int, L: int}  $bars
     * @param  array{R: array{string, int, int}|null, L: array{string, int, int}|null}  $line
     */
    private function sameBars(array $writers, array $bars, array $line, int $lineIndex): void
    {
        $most = max($bars);
        foreach ($bars as $name => $count) {
            $given = $line[$name];
            if ($given !== null && $count > 0 && $count < $most) {
                $other = $name === 'R' ? 'left' : 'right';
                $this->error($given[1], $given[2] + max(0, mb_strlen(rtrim($given[0])) - 1), 1, "This line has {$count} bars and the {$other} hand's {$most}. Type the rest, or / for a bar of rest.");
            }
            $writers[$name]->fill($most, $lineIndex, $bars[$name === 'R' ? 'L' : 'R'] > 0);
        }
    }

    /** @param array<string, ShorthandHand> $writers */
    private function build(array $writers): void
    {
        $right = $writers['R']->bars();
        $left = $writers['L']->bars();
        foreach ($right as $i => $bar) {
            $other = $left[$i];
            $length = $bar->written()->max($other->written());
            $this->builder->measure($this->meter, $this->key, newLine: $bar->startsLine && $i > 0, implicit: $i === 0 && ! $length->isZero() && $length->compare($this->meter->measure()) < 0);
            foreach (['R' => $bar, 'L' => $other] as $name => $of) {
                $hand = Hand::from($name);
                foreach ($of->events as [$onset, $duration, $notes]) {
                    $this->builder->event($hand, $this->clefs[$name], $onset, $duration, $notes);
                }
                if ($of->events === [] && ! $length->isZero()) {
                    $rest = $length->compare($this->meter->measure()) > 0 ? $this->meter->measure() : $length;
                    $this->builder->event($hand, $this->clefs[$name], Fraction::zero(), Duration::ofWhole($rest), []);
                }
            }
            if ($bar->repeatStart || $other->repeatStart) {
                $this->builder->repeatStart();
            }
            if ($bar->repeatEnd || $other->repeatEnd) {
                $this->builder->repeatEnd();
            }
            $this->builder->endings($bar->endings !== [] ? $bar->endings : $other->endings);
        }
    }

    private function error(int $line, int $column, int $length, string $text): void
    {
        $this->errors[] = new ShorthandError($line, $column, max(1, $length), $text);
    }
}

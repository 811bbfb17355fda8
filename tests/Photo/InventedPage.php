<?php

declare(strict_types=1);

namespace Tests\Photo;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** A page of beginner's music made by chance, as shorthand: chords, ties, accidentals, fingers, repeats, words, rests. */
final class InventedPage
{
    private const TIMES = ['4/4', '4/4', '3/4', '2/4', '6/8'];

    private const KEYS = ['none', 'none', 'G', 'F', 'D', 'Bb', 'Am', 'A'];

    private const WORDS = ['hill', 'row', 'and', 'sun', 'boat', 'sing', 'now'];

    private const TEMPI = ['Gently', 'Andante', 'Allegro moderato', 'Rather slowly', 'With a swing', 'Lively', 'Moderato', 'Steadily'];

    private const MANNERS = ['dolce', 'legato', 'cantabile', 'rit.', 'a tempo', 'sempre staccato'];

    private const CHORDS = ['C', 'G7', 'Am', 'F', 'Dm7', 'Bb'];

    private const DYNAMICS = ['p', 'mf', 'f', 'mp', 'pp', 'ff'];

    private const TITLES = ['Copper Gate', 'Two Kites', 'Slow River', 'Nine Pebbles', 'Paper Moon Walk', 'The Other Hill'];

    /** Groups of lengths that fill so many eighths. */
    private const GROUPS = [
        2 => [['q'], ['q'], ['v', 'v'], ['qr'], ['vr', 'v'], ['v', 'vr']],
        3 => [['q.'], ['v', 'v', 'v'], ['q', 'v'], ['v', 'q'], ['q', 'vr'], ['v', 'v', 'x', 'x']],
        4 => [['h'], ['q', 'q'], ['q.', 'v'], ['v', 'v', 'q'], ['q', 'qr'], ['v', 'v', 'v', 'v'], ['v.', 'x', 'q'], ['v', 'v', 'x', 'x', 'v'], ['q', 'vr', 'v']],
        6 => [['h.'], ['q', 'h'], ['h', 'q'], ['q', 'q', 'q'], ['h', 'qr']],
        8 => [['w']],
    ];

    /** Lengths of a lower voice. */
    private const LOWER = [
        '4/4' => [['w'], ['h', 'h'], ['h.', 'q'], ['q', 'q', 'h'], ['h', 'qr', 'q']],
        '3/4' => [['h.'], ['h', 'q'], ['q', 'h']],
        '2/4' => [['h'], ['q', 'q']],
        '6/8' => [['h.'], ['q.', 'q.']],
    ];

    private function __construct(private readonly Randomizer $chance) {}

    /** @return string shorthand */
    public static function of(int $seed): string
    {
        return (new self(new Randomizer(new Mt19937($seed))))->page();
    }

    /** @return string the same page with a second voice below some bars of the left hand */
    public static function voiced(int $seed): string
    {
        $page = new self(new Randomizer(new Mt19937($seed)));
        $text = self::of($seed);
        preg_match('/^time: (.*)$/m', $text, $time);

        return (string) preg_replace_callback('/^L: @5=c3 (.*)$/m', static function (array $line) use ($page, $time): string {
            $lower = [];
            foreach (explode(' | ', $line[1]) as $bar) {
                $end = str_ends_with($bar, ' :|') ? ' :|' : '';
                $lower[] = ($bar === '/' || ! $page->hits(60) ? '/' : implode(' ', array_map(static fn (string $length): string => $length.(str_ends_with($length, 'r') ? '' : $page->one(['f', 'g', 'a', 'b'])), $page->one(self::LOWER[$time[1]])))).$end;
            }

            return 'L: @5=e3 '.$line[1]."\nL2: @5=f2 ".implode(' | ', $lower);
        }, $text);
    }

    /** @return string the same page with a tempo, marks at some of its notes, and dynamics at some bars */
    public static function marked(int $seed): string
    {
        $page = new self(new Randomizer(new Mt19937($seed)));
        $tempo = 'tempo: '.(60 + 4 * $page->chance->getInt(0, 15)).' '.$page->one(self::TEMPI);
        $text = (string) preg_replace('/^time: .*$/m', "$0\n{$tempo}", self::of($seed), 1);

        $text = (string) preg_replace_callback('/(?<=[ (])[hqvx]\.?[a-g][+\-n]?(?=[ |\n])/', static fn (array $note): string => $note[0].match (true) {
            $page->hits(20) => '*',
            $page->hits(8) => '!',
            $page->hits(4) => ':fermata',
            default => '',
        }, $text);

        return (string) preg_replace_callback('/(?<=@c4 |@5=c3 |\| )(?=[whqvx]\.?[a-g(])/', static fn (): string => $page->hits(25) ? '"'.$page->one(self::DYNAMICS).'" ' : '', $text);
    }

    /** @return string the same page with slurs over some of its notes, and hairpins below some */
    public static function bowed(int $seed): string
    {
        $page = new self(new Randomizer(new Mt19937($seed)));

        return (string) preg_replace_callback('/^([RL]: @\S+ )(.*)$/m', static fn (array $line): string => $line[1].$page->withBows(explode(' ', (string) preg_replace('/\((\w) (\w)(?: (\w))?\)/', '($1$2$3)', $line[2]))), self::of($seed));
    }

    /** @return string the same page with much else around its notes: words, chord names, a pedal, tenuto, a second verse, endings */
    public static function busy(int $seed): string
    {
        $page = new self(new Randomizer(new Mt19937($seed)));
        $text = (string) preg_replace_callback('/(?<=@c4 |@5=c3 |\| )(?=[whqvx]\.?[a-g(])/', static fn (): string => $page->hits(20) ? '"'.$page->one(['', '^']).$page->one(self::MANNERS).'" ' : '', self::of($seed));
        $text = (string) preg_replace_callback('/^R: .*$/m', static fn (array $line): string => (string) preg_replace_callback('/(?<= )(?=[whqvx]\.?[a-g(])/', static fn (): string => $page->hits(10) ? '[chord '.$page->one(self::CHORDS).'] ' : '', $line[0]), $text);
        $text = (string) preg_replace_callback('/(?<=[ (])[hqvx]\.?[a-g][+\-n]?(?=[ |\n])/', static fn (array $note): string => $note[0].($page->hits(12) ? ':tenuto' : ''), $text);
        $text = (string) preg_replace_callback('/^L: (@\S+) (.*) (\| .*)$/m', static fn (array $line): string => $page->hits(50) ? "L: {$line[1]} [pedal] {$line[2]} [lift] {$line[3]}" : $line[0], $text);
        $text = (string) preg_replace('/^(R: .*)\| ([^|]*) :\|$/m', '$1| [1 $2 :|', $text);
        $text = (string) preg_replace('/^(R: .*\| \[1 .*\n(?:W: .*\n)?L: .*\n)R: (@c4) /m', '$1R: $2 [2 ', $text);

        return (string) preg_replace_callback('/^W: (.*)$/m', static fn (array $line): string => $line[0]."\nW2: ".implode(' ', array_map(static fn (): string => $page->one(self::WORDS), explode(' ', $line[1]))), $text);
    }

    /** @return string a page whose time is one of the two signs */
    public static function common(int $seed): string
    {
        return (new self(new Randomizer(new Mt19937($seed))))->page(['C', 'C|'][$seed % 2]);
    }

    /** @return string a page whose time, key and clefs change, at the beginning of a line or within it */
    public static function changing(int $seed): string
    {
        return (new self(new Randomizer(new Mt19937($seed))))->changingPage();
    }

    private function changingPage(): string
    {
        [$time, $key] = [$this->one(self::TIMES), $this->one(array_slice(self::KEYS, 1))];
        $text = 'title: '.$this->one(self::TITLES)."\ntime: {$time}\n".($key === 'none' ? '' : "key: {$key}\n");
        $isHigh = false;
        for ($line = 0; $line < 3; $line++) {
            $right = $left = [];
            for ($bar = 0, $bars = $this->chance->getInt(3, 4); $bar < $bars; $bar++) {
                $change = '';
                if ($line + $bar > 0 && $this->hits(20)) {
                    $time = $this->one(array_values(array_diff(self::TIMES, [$time])));
                    $change .= "[time {$time}] ";
                }
                if ($line + $bar > 0 && $this->hits(20)) {
                    $key = $this->one(array_values(array_diff(array_slice(self::KEYS, 2), [$key])));
                    $change .= "[key {$key}] ";
                }
                $eighths = ['4/4' => 8, '3/4' => 6, '2/4' => 4, '6/8' => 6][$time];
                $last = $line === 2 && $bar === $bars - 1;
                $right[] = $change.$this->bar($eighths, $time === '6/8', 'cdefgab', 12, $last)[0];
                $lower = $this->bar($eighths, $time === '6/8', 'cdefg', 35, $last)[0];
                if ($line + $bar > 0 && $this->hits(35)) {
                    $isHigh = ! $isHigh;
                    $lower = $this->withClef($lower, $isHigh ? '[treble] @5=c4' : '[bass] @5=c3');
                }
                $left[] = $lower;
            }
            $text .= 'R: '.($line === 0 ? '@c4 ' : '').implode(' | ', $right)."\nL: ".($line === 0 ? '@5=c3 ' : '').implode(' | ', $left)."\n";
        }

        return $text;
    }

    /** Before a bar or one of its notes. */
    private function withClef(string $bar, string $clef): string
    {
        preg_match_all('/(?<= )(?=[hqvx]\.?[a-g(])/', $bar, $places, PREG_OFFSET_CAPTURE);
        $places = array_column($places[0], 1);
        $at = $places === [] || $this->hits(50) ? 0 : $this->one($places);

        // No tie goes over a clef.
        return $at > 1 && $bar[$at - 2] === '~' ? "{$clef} {$bar}" : substr($bar, 0, $at)."{$clef} ".substr($bar, $at);
    }

    /** @param list<string> $tokens of a line, each a note, a chord, a rest or a bar line */
    private function withBows(array $tokens): string
    {
        $isNote = static fn (string $token): bool => preg_match('/^[whqvx]\.?[a-g(]/', $token) === 1;
        $notes = array_keys(array_filter($tokens, $isNote));
        for ($i = 0; $i < count($notes); $i++) {
            $last = min(count($notes) - 1, $i + $this->chance->getInt(1, 6));
            if ($last > $i && $this->hits(30)) {
                $tokens[$notes[$i]] .= '_';
                $tokens[$notes[$last]] .= '_';
                $i = $last;
            }
        }
        for ($i = 0; $i < count($notes); $i++) {
            $last = min(count($notes) - 1, $i + $this->chance->getInt(3, 6));
            if ($last > $i + 1 && $this->hits(12)) {
                $tokens[$notes[$i]] = $this->one(['<', '>']).' '.$tokens[$notes[$i]];
                $tokens[$notes[$last]] .= ' .';
                $i = $last;
            }
        }

        return implode(' ', $tokens);
    }

    private function page(?string $time = null): string
    {
        $time ??= $this->one(self::TIMES);
        $key = $this->one(self::KEYS);
        $eighths = ['4/4' => 8, '3/4' => 6, '2/4' => 4, '6/8' => 6][$time] ?? 8;
        $lines = $this->chance->getInt(2, 3);
        $words = $this->chance->getInt(0, 2) === 0;
        $repeats = $this->chance->getInt(0, 2) === 0;
        $text = 'title: '.$this->one(self::TITLES)."\ntime: {$time}\n".($key === 'none' ? '' : "key: {$key}\n");
        for ($line = 0; $line < $lines; $line++) {
            $right = $left = [];
            $sung = 0;
            for ($bar = 0, $bars = $this->chance->getInt(3, 4); $bar < $bars; $bar++) {
                $last = $line === $lines - 1 && $bar === $bars - 1;
                [$right[], $count] = $this->bar($eighths, $time === '6/8', 'cdefgab', 12, $last);
                $sung += $count;
                [$left[]] = $this->bar($eighths, $time === '6/8', 'cdefg', 35, $last);
            }
            $end = $repeats && $line === 0 ? ' :|' : '';
            $text .= 'R: @c4 '.implode(' | ', $right).$end."\n";
            if ($words) {
                $text .= 'W: '.implode(' ', array_map(fn (): string => $this->one(self::WORDS), array_fill(0, max(1, $sung), 0)))."\n";
            }
            $text .= 'L: @5=c3 '.implode(' | ', $left).$end."\n";
        }

        return $text;
    }

    /** @return array{string, int} a bar, and how many of its notes are struck */
    private function bar(int $eighths, bool $compound, string $letters, int $chords, bool $last): array
    {
        if (! $last && $this->hits(8)) {
            return ['/', 0];
        }
        $tokens = [];
        $struck = 0;
        for ($left = $eighths; $left > 0;) {
            $sizes = array_values(array_filter($compound ? [3, 6] : ($last ? [8, 6, 4, 2] : [2, 4, 4, 6, 8]), static fn (int $size): bool => $size <= $left));
            $size = $last ? $sizes[0] : $this->one($sizes);
            $left -= $size;
            $group = $last ? [[2 => 'q', 3 => 'q.', 4 => 'h', 6 => 'h.', 8 => 'w'][$size]] : $this->one(self::GROUPS[$size]);
            foreach ($group as $length) {
                if (str_ends_with($length, 'r')) {
                    $tokens[] = $length;

                    continue;
                }
                $before = $tokens === [] ? '' : $tokens[count($tokens) - 1];
                if (preg_match('/^[a-z.]+([a-g])$/D', $before, $found) === 1 && $this->hits(12)) {
                    $tokens[count($tokens) - 1] .= '~';
                    $tokens[] = $length.$found[1];

                    continue;
                }
                $tokens[] = $length.$this->notes($letters, $chords);
                $struck++;
            }
        }

        return [implode(' ', $tokens), $struck];
    }

    private function notes(string $letters, int $chords): string
    {
        $finger = $this->hits(25) ? '^'.$this->chance->getInt(1, 5) : '';
        if ($this->hits($chords)) {
            return $this->one(['(c e)', '(c e g)', '(c g)', '(d f)', '(f g)', '(c f g)']);
        }
        $accidental = $this->hits(7) ? $this->one(['+', '-', 'n']) : '';

        return $letters[$this->chance->getInt(0, strlen($letters) - 1)].$accidental.$finger;
    }

    /** In so many of a hundred. */
    private function hits(int $percent): bool
    {
        return $this->chance->getInt(0, 99) < $percent;
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T> $of
     * @return T
     */
    private function one(array $of): mixed
    {
        return $of[$this->chance->getInt(0, count($of) - 1)];
    }
}

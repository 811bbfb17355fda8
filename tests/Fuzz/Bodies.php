<?php

declare(strict_types=1);

namespace Tests\Fuzz;

use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Random\Randomizer;
use Tests\Fixtures;
use Tests\RandomPiece;

/** Bodies for a route: what its rules ask for, and then some of it as it should not be. */
final class Bodies
{
    /** How many of ten bodies are left as they should be. */
    private const GOOD = 2;

    /**
     * @param  array<string, list<mixed>>  $rules
     */
    public function __construct(private readonly array $rules, private readonly Fixtures $own, private readonly Randomizer $chance) {}

    public function next(): mixed
    {
        if ($this->chance->getInt(0, 29) === 0) {
            return $this->odd();
        }
        $body = [];
        foreach ($this->rules as $name => $rules) {
            $this->put($body, explode('.', $name), $rules);
        }
        if ($this->chance->getInt(0, 9) >= self::GOOD) {
            for ($change = $this->chance->getInt(1, 3); $change > 0; $change--) {
                $this->spoil($body);
            }
        }

        return $body;
    }

    /** A text that is no JSON. */
    public function broken(): string
    {
        return ['', '{', '[1,2', 'null', '"text"', "\xFF\xFE", '{"a":1e999}', str_repeat('[', 5000), '{"file":{"a":1}}'][$this->chance->getInt(0, 8)];
    }

    /** A file, mostly damaged. */
    public function bytes(): string
    {
        $music = MusicXmlWriter::write(RandomPiece::of($this->chance->getInt(1, 1000)));

        return match ($this->chance->getInt(0, 3)) {
            0 => $music,
            1 => Mutations::of($music, $this->chance),
            2 => Mutations::swollen($music, $this->chance),
            default => random_bytes(200),
        };
    }

    /**
     * @param  array<array-key, mixed>  $body
     * @param  non-empty-list<string>  $path
     * @param  list<mixed>  $rules
     */
    private function put(array &$body, array $path, array $rules): void
    {
        $name = array_shift($path);
        if ($name === '*') {
            for ($nth = 0; $nth < 2; $nth++) {
                $body[$nth] ??= [];
                $path === [] ? $body[$nth] = $this->good($rules) : $this->put($body[$nth], $path, $rules);
            }
        } elseif ($path === []) {
            $body[$name] = $this->good($rules);
        } else {
            $body[$name] = is_array($body[$name] ?? null) ? $body[$name] : [];
            $this->put($body[$name], $path, $rules);
        }
    }

    /** @param list<mixed> $rules */
    private function good(array $rules): mixed
    {
        $said = implode('|', array_map(static fn (mixed $rule): string => is_string($rule) ? $rule : ($rule instanceof \Stringable ? (string) $rule : ''), $rules));
        if (in_array('array', $rules, true)) {
            return [];
        }
        if (preg_match('/\bin:"?([^|]+)/', $said, $found) === 1) {
            $choices = explode(',', str_replace('"', '', $found[1]));

            return $choices[$this->chance->getInt(0, count($choices) - 1)];
        }
        $ids = [$this->own->student->id, $this->own->piece->id, $this->own->learning->id, $this->own->task('Tap and count')->id, $this->own->page->id];

        return match (true) {
            str_contains($said, 'date_format:Y-m-d') => ['2031-05-05', '2031-05-06', '2031-06-01'][$this->chance->getInt(0, 2)],
            str_contains($said, 'date_format:H:i') => '16:00',
            str_contains($said, 'boolean') => $this->chance->getInt(0, 1) === 1,
            str_contains($said, 'integer') => $this->chance->getInt(0, 1) === 1 ? $ids[$this->chance->getInt(0, 4)] : $this->chance->getInt(0, 8),
            str_contains($said, 'uuid') => '00000000-0000-4000-8000-00000000000'.$this->chance->getInt(0, 9),
            str_contains($said, 'email') => 'family@house.example',
            str_contains($said, 'timezone') => 'Europe/Vienna',
            default => ['', 'text', Fixtures::TUNE, 'beat', 'R', 'pieces', '1.1', 'C4'][$this->chance->getInt(0, 7)],
        };
    }

    private function spoil(mixed &$body): void
    {
        $at = &$body;
        while (is_array($at) && $at !== []) {
            $keys = array_keys($at);
            $key = $keys[$this->chance->getInt(0, count($keys) - 1)];
            $do = $this->chance->getInt(0, 9);
            if ($do === 0) {
                unset($at[$key]);

                return;
            }
            if ($do === 1) {
                $at['extra '.$this->chance->getInt(0, 9)] = $this->odd();

                return;
            }
            $at = &$at[$key];
            if (! is_array($at) || $do < 5) {
                break;
            }
        }
        $at = $this->odd();
    }

    private function odd(): mixed
    {
        $all = [
            null, true, false, 0, -1, 1, 5.0, 0.5, -0.0, 1e308, PHP_INT_MAX, PHP_INT_MIN, 9.3e18, 2147483648, 65536, 256,
            '', ' ', '0', '5', '5.0', '-1', '1e3', 'true', 'null', "a\0b", "\u{202E}x", '👩‍👩‍👧', 'Ω', "line\r\nline", "\r", '%', "' or 1=1 --", '<script>', '../../etc/passwd', '{{7*7}}',
            '2031-02-30', '9999-12-31', '0000-00-00', '2031-05-05T00:00:00Z', '-2031-05-05', '25:00', '2031-05-05', '2099-12-31', 'No/Where', 'a@b', 'a@b.example',
            [], [[]], [null], ['a' => ['b' => ['c' => ['d' => 1]]]], range(1, 300), array_fill(0, 40, ['id' => 1]), ['5'], [true], [1.5], [PHP_INT_MAX], [-1],
            str_repeat('x', 300), str_repeat('ä', 5_000), str_repeat("R: @c4 q1 2 3 4\n", 800), str_repeat('"', 3_000), Fixtures::TUNE,
        ];

        return $all[$this->chance->getInt(0, count($all) - 1)];
    }
}

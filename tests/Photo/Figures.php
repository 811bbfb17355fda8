<?php

declare(strict_types=1);

namespace Tests\Photo;

use App\Page\Photo\Tesseract;
use Nasturtium\Core\Formats\Photo\BadPhoto;
use Nasturtium\Core\Formats\Photo\PhotoDocument;
use Nasturtium\Core\Formats\Photo\PhotoPiece;
use Nasturtium\Core\Formats\Photo\PhotoReader;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\SignKind;
use RuntimeException;

/**
 * How well invented pages are read, engraved by three programs in all their fonts, clean, scanned and photographed.
 *
 * @phpstan-type Counts array<string, int>
 */
final class Figures
{
    public const CLASSES = ['clean', 'scan', 'photo'];

    /** @var array<string, array<string, Counts>> by engraver and class */
    public array $counts = [];

    /** @var array<string, array<string, Counts>> by kind and class */
    public array $marks = [];

    /** @var array<string, Counts> by why a bar is shown, how many are, and how many of them are wrong */
    public array $doubts = [];

    /** @var list<string> what went wrong, for whoever wants to look */
    public array $wrong = [];

    private function __construct(private readonly string $folder, private readonly string $kind) {}

    /**
     * @param int  $from   the first seed; no page of one set is in another
     * @param string $kind `marked` with marks and a tempo, and with a reader of words; `voiced` with two voices on a staff; `bowed` with slurs and hairpins; `busy` with much else around its notes; `changing` with times, keys and clefs that change; `common` with one of the two signs for its time
     */
    public static function of(int $count, int $from, string $folder, string $kind = ''): self
    {
        $figures = new self($folder, $kind);
        $pages = [];
        $press = new Press($folder);
        $engravers = Press::engravers(in_array($kind, ['', 'common'], true) ? ['lilypond', 'abcm2ps'] : ['lilypond']);
        for ($seed = $from; $seed < $from + $count; $seed++) {
            $piece = ShorthandReader::read(self::shorthand($seed, $kind))->piece ?? throw new RuntimeException("page {$seed} is no page");
            // Each page by one of them, in turn.
            $engraver = $engravers[$seed % count($engravers)];
            $name = str_replace(':', '-', "{$seed}-{$engraver}");
            $pages[$name] = [$piece, $engraver, $seed];
            $press->add($piece, $engraver, $name, 1.4 + 0.25 * ($seed % 5));
        }
        $press->print();
        foreach ($pages as $name => [$piece, $engraver, $seed]) {
            $figures->measure($piece, $engraver, $name, $seed);
        }

        return $figures;
    }

    private static function shorthand(int $seed, string $kind): string
    {
        return match ($kind) {
            'marked' => InventedPage::marked($seed),
            'voiced' => InventedPage::voiced($seed),
            'bowed' => InventedPage::bowed($seed),
            'busy' => InventedPage::busy($seed),
            'changing' => InventedPage::changing($seed),
            'common' => InventedPage::common($seed),
            default => InventedPage::of($seed),
        };
    }

    private function measure(Piece $piece, string $engraver, string $name, int $seed): void
    {
        $clean = (string) file_get_contents("{$this->folder}/{$name}.png");
        foreach (self::CLASSES as $class) {
            $picture = $this->made("{$name}-{$class}.jpg", static fn (): string => match ($class) {
                'scan' => Worn::scanned($clean, $seed),
                'photo' => Worn::photographed($clean, $seed),
                default => $clean,
            });
            try {
                $page = (new PhotoReader(words: $this->kind === 'marked' ? Tesseract::here() : null))->read($picture)->page;
                $read = PhotoDocument::of($page);
                $this->countMarks($class, self::marks($piece), self::marks(PhotoPiece::of($page->pieces[0])));
            } catch (BadPhoto $reason) {
                $read = ['notes' => [], 'rests' => [], 'doubts' => [], 'clefs' => [], 'key' => 99, 'time' => [0, 0], 'repeats' => [], 'bars' => 0];
                $this->wrong[] = "{$name} {$class}: {$reason->getMessage()}";
            }
            $this->count($engraver, $class, "{$name} {$class}", $read, self::written($piece));
        }
    }

    /** What was made before is not made again. */
    private function made(string $name, callable $make): string
    {
        $path = "{$this->folder}/{$name}";
        if (! is_file($path)) {
            file_put_contents($path, $make());
        }

        return (string) file_get_contents($path);
    }

    /**
     * @param array<string, mixed> $read
     * @param array<string, mixed> $written
     */
    private function count(string $engraver, string $class, string $name, array $read, array $written): void
    {
        $add = function (string $what, int $count) use ($engraver, $class): void {
            $this->counts[$engraver][$class][$what] = ($this->counts[$engraver][$class][$what] ?? 0) + $count;
        };
        $add('pages', 1);
        foreach (['notes' => self::notes(...), 'rests' => self::rests(...), 'fingers' => self::fingers(...)] as $what => $told) {
            [$own, $true] = [$told($read), $told($written)];
            $add("{$what} right", self::common($own, $true));
            $add("{$what} read", count($own));
            $add("{$what} written", count($true));
        }
        foreach (['clefs', 'key', 'time', 'repeats', 'bars'] as $what) {
            $add("{$what} right", $read[$what] === $written[$what] ? 1 : 0);
            if ($read[$what] !== $written[$what]) {
                $this->wrong[] = "{$name}: {$what} ".json_encode($read[$what]).' for '.json_encode($written[$what]);
            }
        }
        for ($bar = 1; $bar <= $written['bars']; $bar++) {
            // A rest that is missing or of another length is as wrong as a note.
            $of = static fn (array $all): array => array_values(array_filter([...self::notes($all), ...self::rests($all)], static fn (string $one): bool => explode(' ', $one)[1] === (string) $bar));
            $isRight = $of($read) === $of($written);
            $isShown = in_array($bar, array_column($read['doubts'], 'bar'), true);
            $add('bars wrong', $isRight ? 0 : 1);
            $add('bars wrong and shown', ! $isRight && $isShown ? 1 : 0);
            $add('bars shown', $isShown ? 1 : 0);
            $whys = array_unique(array_column(array_filter($read['doubts'], static fn (array $doubt): bool => $doubt['bar'] === $bar), 'why'));
            foreach ($whys as $why) {
                $this->doubts[$why]['shown'] = ($this->doubts[$why]['shown'] ?? 0) + 1;
                $this->doubts[$why]['wrong'] = ($this->doubts[$why]['wrong'] ?? 0) + ($isRight ? 0 : 1);
            }
            if ($isRight && $isShown) {
                $this->wrong[] = "{$name}: bar {$bar} is right, shown for ".implode(' and ', $whys);
            }
            if (! $isRight) {
                $this->wrong[] = "{$name}: bar {$bar}".($isShown ? ' (shown)' : ' NOT SHOWN').': '.implode(', ', array_diff($of($read), $of($written))).' for '.implode(', ', array_diff($of($written), $of($read)));
            }
        }
    }

    /** @return array<string, mixed> as PhotoDocument tells it */
    public static function written(Piece $piece): array
    {
        $document = ['clefs' => ['G', 'F'], 'key' => $piece->measures[0]->key->fifths, 'time' => [$piece->measures[0]->meter->count, $piece->measures[0]->meter->unit], 'bars' => count($piece->measures), 'repeats' => [], 'notes' => [], 'rests' => [], 'doubts' => []];
        foreach ($piece->measures as $n => $measure) {
            if ($measure->repeatStart) {
                $document['repeats'][] = [$n + 1, 'start'];
            }
            if ($measure->repeatEnd) {
                $document['repeats'][] = [$n + 1, 'end'];
            }
            foreach ($measure->events() as $event) {
                $place = ['staff' => $event->hand === Hand::Right ? 1 : 2, 'bar' => $n + 1, 'onset' => self::quarters($event->onset), 'dur' => self::quarters($event->duration->whole)];
                if ($event->notes === []) {
                    $document['rests'][] = $place;
                }
                foreach ($event->notes as $note) {
                    $document['notes'][] = [...$place, 'midi' => $note->pitch->midi(), 'finger' => $note->finger];
                }
            }
        }

        return $document;
    }

    private static function quarters(Fraction $whole): float
    {
        return $whole->times(Fraction::of(192))->floor() / 48;
    }

    /**
     * Notes with staff, bar, onset, length and pitch, as text to be held against one another.
     *
     * @param  array<string, mixed> $document as PhotoDocument tells it
     * @return list<string>
     */
    public static function notes(array $document): array
    {
        return self::sorted(array_map(static fn (array $note): string => "{$note['staff']} {$note['bar']} ".round(48 * $note['onset']).' '.round(48 * $note['dur'])." {$note['midi']}", $document['notes']));
    }

    /** @return list<string> */
    private static function rests(array $document): array
    {
        return self::sorted(array_map(static fn (array $rest): string => "{$rest['staff']} {$rest['bar']} ".round(48 * $rest['onset']).' '.round(48 * $rest['dur']), $document['rests']));
    }

    /** @return list<string> */
    private static function fingers(array $document): array
    {
        return self::sorted(array_map(static fn (array $note): string => "{$note['staff']} {$note['bar']} ".round(48 * $note['onset'])." {$note['finger']}", array_filter($document['notes'], static fn (array $note): bool => $note['finger'] !== null)));
    }

    /**
     * @param  list<string> $told
     * @return list<string>
     */
    private static function sorted(array $told): array
    {
        sort($told);

        return $told;
    }

    /**
     * @param list<string> $a
     * @param list<string> $b
     */
    private static function common(array $a, array $b): int
    {
        $counts = array_count_values($b);
        $common = 0;
        foreach ($a as $one) {
            if (($counts[$one] ?? 0) > 0) {
                $counts[$one]--;
                $common++;
            }
        }

        return $common;
    }

    /**
     * @param array<string, list<string>> $written
     * @param array<string, list<string>> $read
     */
    private function countMarks(string $class, array $written, array $read): void
    {
        foreach ($written as $kind => $all) {
            foreach (['written' => count($all), 'read' => count($read[$kind]), 'right' => self::common($all, $read[$kind])] as $what => $count) {
                $this->marks[$kind][$class][$what] = ($this->marks[$kind][$class][$what] ?? 0) + $count;
            }
        }
    }

    /** @return array<string, list<string>> by kind, what is printed with the notes, and the tempo */
    private static function marks(Piece $piece): array
    {
        $marks = ['staccato' => [], 'accent' => [], 'fermata' => [], 'tenuto' => [], 'dynamics' => [], 'ties' => [], 'slurs' => [], 'ends of hairpins' => [], 'other signs' => [], 'syllables' => [], 'tempo words' => array_filter([$piece->tempoWords]), 'metronome' => array_filter([(string) $piece->tempo])];
        $open = [];
        foreach ($piece->measures as $n => $measure) {
            foreach ($measure->signs as $sign) {
                $kind = $sign->kind === SignKind::Dynamic ? 'dynamics' : ($sign->kind->isLoudness() || $sign->kind === SignKind::HairpinEnd ? 'ends of hairpins' : 'other signs');
                $marks[$kind][] = "{$sign->staff->value} {$n} {$sign->onset} ".($kind === 'dynamics' ? $sign->text : $sign->kind->value);
            }
            foreach ($measure->events() as $event) {
                $at = "{$event->hand->value} {$n} {$event->onset}";
                foreach ($event->ink->slurs as $end) {
                    if ($end->starts) {
                        $open[$end->number] = $at;
                    } elseif (isset($open[$end->number])) {
                        $marks['slurs'][] = "{$open[$end->number]} to {$at}";
                    }
                }
                foreach ($event->notes as $note) {
                    if ($note->tieStart) {
                        $marks['ties'][] = "{$at} {$note->pitch->midi()}";
                    }
                }
                foreach ($event->ink->marks as $mark) {
                    $marks[$mark->value][] = $at;
                }
                foreach ($event->ink->lyrics as $lyric) {
                    $marks['syllables'][] = "{$at} {$lyric->text}";
                }
            }
        }

        return $marks;
    }

    /** @return string a table of why bars are shown */
    public function doubtsTable(): string
    {
        $lines = ['| shown for | bars | wrong |', '|---|---|---|'];
        foreach ($this->doubts as $why => $counts) {
            $lines[] = "| {$why} | {$counts['shown']} | {$counts['wrong']} |";
        }

        return implode("\n", $lines)."\n";
    }

    /** @return string a table of what is printed with the notes: how many were written, read, and read right */
    public function marksTable(): string
    {
        $lines = ['| written, read, right | '.implode(' | ', self::CLASSES).' |', '|---|---|---|---|'];
        foreach ($this->marks as $kind => $classes) {
            if (array_sum(array_merge(...array_map(array_values(...), array_values($classes)))) === 0) {
                continue;
            }
            $lines[] = "| {$kind} | ".implode(' | ', array_map(static fn (string $class): string => implode(', ', $classes[$class] ?? []), self::CLASSES)).' |';
        }

        return implode("\n", $lines)."\n";
    }

    /** @return string a table of shares, by class and engraver */
    public function table(): string
    {
        $lines = ['| | pages | notes | rests | fingers | clefs, key, time, repeats | bars wrong, shown of them | shown though right |', '|---|---|---|---|---|---|---|---|'];
        foreach (self::CLASSES as $class) {
            $sums = [];
            foreach ($this->counts as $engraver => $classes) {
                foreach ($classes[$class] ?? [] as $what => $count) {
                    $sums[$what] = ($sums[$what] ?? 0) + $count;
                }
            }
            $lines[] = self::row("**{$class}**", $sums);
            foreach ($this->counts as $engraver => $classes) {
                $lines[] = self::row("{$class}, {$engraver}", $classes[$class] ?? []);
            }
        }

        return implode("\n", $lines)."\n";
    }

    /** @param Counts $of */
    private static function row(string $name, array $of): string
    {
        $share = static fn (string $what): string => ($of["{$what} read"] ?? 0) + ($of["{$what} written"] ?? 0) === 0 ? '–' : sprintf('%.3f', 2 * $of["{$what} right"] / ($of["{$what} read"] + $of["{$what} written"]));
        $pages = $of['pages'] ?? 0;
        $whole = implode(', ', array_map(static fn (string $what): string => (string) ($of["{$what} right"] ?? 0), ['clefs', 'key', 'time', 'repeats']));
        $needless = ($of['bars shown'] ?? 0) - ($of['bars wrong and shown'] ?? 0);

        return "| {$name} | {$pages} | {$share('notes')} | {$share('rests')} | {$share('fingers')} | {$whole} | ".($of['bars wrong'] ?? 0).', '.($of['bars wrong and shown'] ?? 0)." | {$needless} of ".($of['bars shown'] ?? 0).' |';
    }
}

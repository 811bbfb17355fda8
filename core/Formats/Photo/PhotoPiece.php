<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\DraftEvent;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Ink;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Lyric;
use Nasturtium\Core\Score\Metronome;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\PieceBuilder;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Score\Sign;
use Nasturtium\Core\Score\SignKind;
use Nasturtium\Core\Score\SlurEnd;
use Nasturtium\Core\Score\Tuplet;
use Nasturtium\Core\Score\TupletGroups;

/** Makes a piece of what was read, as if it had been typed. */
final readonly class PhotoPiece
{
    /** @param array<string, int> $tokens which sign each event is, by its id: see token() */
    private function __construct(public Piece $piece, private array $tokens) {}

    /** @throws InvalidScore when what was read is more than a page holds */
    public static function of(ReadPhoto $read): Piece
    {
        return self::built($read)->piece;
    }

    /** @throws InvalidScore likewise */
    public static function built(ReadPhoto $read): self
    {
        $builder = new PieceBuilder();
        $builder->title = $read->title;
        $hands = count($read->clefs) === 1 && $read->clefs[0]->isLow() ? [Hand::Left] : [Hand::Right, Hand::Left];
        $builder->tempoWords = $read->tempo->words === '' ? null : $read->tempo->words;
        $builder->metronome = $read->tempo->beats === null ? null : new Metronome($read->tempo->beats, null, Duration::ofWhole($read->time->beat()));
        $ties = self::ties($read);
        $lyrics = self::lyrics($read);
        $slurs = self::slurs($read);
        $hairpins = array_map(static fn (int $i): array => self::hairpins($read, $i, $hands[$i] ?? Hand::Left), array_keys($read->clefs));
        foreach ($read->bars as $n => $bar) {
            $draft = $builder->measure($read->timeOf($bar), $read->keyOf($bar), $read->number > 1 ? $read->number + $n : null, newLine: $n > 0 && $bar->line !== $read->bars[$n - 1]->line);
            $draft->repeatStart = $bar->repeatStart;
            $draft->repeatEnd = $bar->repeatEnd;
            $draft->endings = $bar->ending === 0 ? [] : [$bar->ending];
            foreach ($bar->staves as $i => $signs) {
                $hand = $hands[$i] ?? Hand::Left;
                $clef = $read->clefOf($bar, $i);
                if ($n === 0 || $clef !== $read->clefAfter($read->bars[$n - 1], $i)) {
                    $draft->clefs[] = [Fraction::zero(), $hand, $clef];
                }
                foreach ($signs as $sign) {
                    if ($sign->clef !== null) {
                        $draft->clefs[] = [self::whole($sign->onset), $hand, $sign->clef];
                    }
                }
                array_push($draft->signs, ...self::dynamics($signs, $hand), ...$hairpins[$i][$n] ?? []);
                array_push($draft->events, ...self::drafts($signs, $read->pitches($bar, $i), $hand, self::token($n, $i, 0), $ties, $slurs, $lyrics));
            }
        }
        $piece = $builder->piece();

        return new self($piece, $builder->tokens);
    }

    /** @return array<int, Event> by token */
    public function events(): array
    {
        $events = [];
        foreach ($this->piece->measures as $measure) {
            foreach ($measure->events() as $event) {
                $events[$this->tokens[$event->id] ?? -1] = $event;
            }
        }

        return $events;
    }

    /** The name of a sign while a piece is made of it: its bar, its staff and its place there, from 0. */
    public static function token(int $bar, int $staff, int $sign): int
    {
        return ($bar * 2 + $staff) * 1000 + $sign;
    }

    /**
     * @param  list<ReadSign>   $signs
     * @param  list<array<int, Pitch>> $pitches
     * @param  array<string, array{bool, bool}> $ties see ties()
     * @param  array<int, list<SlurEnd>> $slurs by token
     * @param  array<int, Lyric> $lyrics by token
     * @return list<DraftEvent>
     */
    private static function drafts(array $signs, array $pitches, Hand $hand, int $token, array $ties, array $slurs, array $lyrics): array
    {
        $lengths = array_map(static fn (ReadSign $sign): Duration => Duration::ofWhole(self::whole($sign->ticks())), $signs);
        $tuplets = [];
        foreach ([0, 1] as $voice) {
            $own = array_filter($signs, static fn (ReadSign $sign): bool => $sign->voice === $voice);
            $found = TupletGroups::of(array_map(static fn (int $k): array => [self::whole($signs[$k]->onset), $lengths[$k]->whole, Tuplet::fitting($lengths[$k])], array_keys($own)));
            $tuplets += array_combine(array_keys($own), array_map(static fn (int $i): mixed => $found[$i] ?? null, array_keys(array_values($own))));
        }
        $events = [];
        foreach ($signs as $k => $sign) {
            $notes = array_map(static function (ReadHead $head, int $h) use ($pitches, $k, $token, $ties): Note {
                [$start, $stop] = $ties[$token + $k.' '.$h] ?? [false, false];

                return new Note($pitches[$k][$h], $head->finger, $start, $stop);
            }, $sign->heads, array_keys($sign->heads));
            $events[] = new DraftEvent($hand, (string) ($sign->voice + 1), self::whole($sign->onset), $lengths[$k], $notes, new Ink($sign->marks, $slurs[$token + $k] ?? [], lyrics: isset($lyrics[$token + $k]) ? [$lyrics[$token + $k]] : [], tuplet: $tuplets[$k] ?? null), false, $token + $k);
        }

        return $events;
    }

    /**
     * @param  list<ReadSign> $signs
     * @return list<Sign>
     */
    private static function dynamics(array $signs, Hand $hand): array
    {
        $loud = array_values(array_filter($signs, static fn (ReadSign $sign): bool => $sign->dynamic !== ''));

        return array_map(static fn (ReadSign $sign): Sign => new Sign(SignKind::Dynamic, $hand, self::whole($sign->onset), $sign->dynamic), $loud);
    }

    /**
     * Ties that have the same pitch at both ends.
     *
     * @return array<string, array{bool, bool}> whether one begins there and whether one ends there, by token and head
     */
    private static function ties(ReadPhoto $read): array
    {
        $ties = [];
        foreach (array_keys($read->clefs) as $i) {
            $open = [[], []];
            foreach ($read->bars as $n => $bar) {
                $signs = $bar->staves[$i] ?? [];
                $pitches = $read->pitches($bar, $i);
                foreach ($signs as $k => $sign) {
                    $next = [];
                    foreach ($sign->heads as $h => $head) {
                        $at = self::token($n, $i, $k).' '.$h;
                        $from = $open[$sign->voice][$pitches[$k][$h]->midi()] ?? null;
                        if ($from !== null) {
                            $ties[$from] = [true, $ties[$from][1] ?? false];
                            $ties[$at] = [false, true];
                        }
                        if ($head->tied) {
                            $next[$pitches[$k][$h]->midi()] = $at;
                        }
                    }
                    $open[$sign->voice] = $next;
                }
            }
        }

        return $ties;
    }

    /** @return array<int, list<SlurEnd>> by token */
    private static function slurs(ReadPhoto $read): array
    {
        $slurs = [];
        foreach (array_keys($read->clefs) as $i) {
            foreach (self::lines($read, $i, [LineEnd::SlurStart], LineEnd::SlurEnd) as [[$n, $k], [$m, $l]]) {
                $slurs[self::token($n, $i, $k)][] = new SlurEnd($i + 1, true);
                $slurs[self::token($m, $i, $l)][] = new SlurEnd($i + 1, false);
            }
        }

        return $slurs;
    }

    /** @return array<int, list<Sign>> by bar */
    private static function hairpins(ReadPhoto $read, int $staff, Hand $hand): array
    {
        $signs = [];
        foreach (self::lines($read, $staff, [LineEnd::Crescendo, LineEnd::Diminuendo], LineEnd::HairpinEnd) as [[$n, $k, $way], [$m, $l]]) {
            $from = $read->bars[$n]->staves[$staff][$k];
            $to = $read->bars[$m]->staves[$staff][$l];
            $signs[$n][] = new Sign($way === LineEnd::Crescendo ? SignKind::Crescendo : SignKind::Diminuendo, $hand, self::whole($from->onset));
            $signs[$m][] = new Sign(SignKind::HairpinEnd, $hand, self::whole($to->onset + $to->ticks()));
        }

        return $signs;
    }

    /**
     * Lines of a staff that have both ends: what begins and does not end, or the other way round, is none.
     *
     * @param  list<LineEnd>                                                     $starts
     * @return list<array{array{int, int, LineEnd}, array{int, int, LineEnd}}> bar, sign and kind of each end
     */
    private static function lines(ReadPhoto $read, int $staff, array $starts, LineEnd $end): array
    {
        $lines = [];
        $open = null;
        foreach ($read->bars as $n => $bar) {
            foreach ($bar->staves[$staff] ?? [] as $k => $sign) {
                // Where one ends and another begins, that comes after it; where none is open, one begins and ends.
                $ends = array_filter($sign->lines, static fn (LineEnd $one): bool => $one === $end);
                $others = array_filter($sign->lines, static fn (LineEnd $one): bool => $one !== $end);
                foreach ($open === null ? [...$others, ...$ends] : [...$ends, ...$others] as $one) {
                    if ($one === $end && $open !== null) {
                        $lines[] = [$open, [$n, $k, $one]];
                        $open = null;
                    } elseif (in_array($one, $starts, true)) {
                        $open = [$n, $k, $one];
                    }
                }
            }
        }

        return $lines;
    }

    /** @return array<int, Lyric> by token; one after a hyphen goes on with its word, over bar lines too */
    private static function lyrics(ReadPhoto $read): array
    {
        $lyrics = [];
        foreach (array_keys($read->clefs) as $i) {
            $joined = false;
            foreach ($read->bars as $n => $bar) {
                foreach ($bar->staves[$i] ?? [] as $k => $sign) {
                    if ($sign->lyric !== '') {
                        $continues = $joined;
                        $joined = str_ends_with($sign->lyric, '-');
                        $lyrics[self::token($n, $i, $k)] = new Lyric(rtrim($sign->lyric, '-'), joined: $joined, continues: $continues);
                    }
                }
            }
        }

        return $lyrics;
    }

    private static function whole(int $ticks): Fraction
    {
        return Fraction::of($ticks, 4 * Item::QUARTER);
    }
}

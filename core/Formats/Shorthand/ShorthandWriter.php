<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Line;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Navigation;
use Nasturtium\Core\Score\Piece;

/** Prints a piece as it would be typed; what the shorthand cannot say is named. */
final class ShorthandWriter
{
    /** @var array<string, true> */
    private array $unsaid = [];

    private string $bar = '';

    /** @var array<string, VoiceWriting> by name, as `R1` */
    private array $voices = [];

    private function __construct(private readonly Piece $piece) {}

    public static function write(Piece $piece): WrittenShorthand
    {
        $writer = new self($piece);
        $text = $writer->page();
        if ($writer->unsaid === []) {
            // Nothing is claimed that was not tried: what is read back must be the same page.
            $again = ShorthandReader::read($text);
            if ($again->errors !== [] || $again->piece === null) {
                $writer->unsaid['A bar that is longer or shorter than its time signature, or a sign in an unusual place.'] = true;
            } elseif (self::comparable($again->piece) !== self::comparable($piece)) {
                $writer->unsaid['Some detail of the print that the shorthand has no word for.'] = true;
            }
        }

        return new WrittenShorthand($text, array_keys($writer->unsaid));
    }

    /** Slurs are numbered anew; which number is no part of the page. */
    private static function comparable(Piece $piece): string
    {
        return (string) preg_replace('/(<slur [^>]*?) number="\d+"/', '$1', MusicXmlWriter::write($piece));
    }

    private function page(): string
    {
        foreach (Hand::cases() as $hand) {
            foreach ($this->piece->measures as $measure) {
                foreach ($measure->voices($hand) as $number => $voice) {
                    if ($voice !== []) {
                        $this->voices["{$hand->value}{$number}"] ??= new VoiceWriting($hand, $number, $this->piece, function (string $what): void {
                            $this->unsaid["Bar {$this->bar}: {$what}."] = true;
                        });
                    }
                }
            }
        }
        uksort($this->voices, static fn (string $a, string $b): int => [$b[0], $a[1]] <=> [$a[0], $b[1]]);
        $text = $this->headings();
        foreach ($this->piece->lines() as $line) {
            $text .= $this->line($line);
        }

        return $text;
    }

    private function headings(): string
    {
        $piece = $this->piece;
        $first = $piece->measures[0];
        $tempo = trim(($piece->metronome === null ? '' : Names::ofTempo($piece->metronome)).' '.$piece->tempoWords);
        $clefs = "{$first->clefs['R']->value} {$first->clefs['L']->value}";
        $headings = array_filter([
            'title' => $piece->title,
            'composer' => $piece->composer,
            ...$piece->credits,
            'notation' => $piece->notation->hasStaff() ? null : $piece->notation->value,
            'time' => $first->meter->printed(),
            'key' => $first->key->typed() === 'C' ? null : $first->key->typed(),
            'tempo' => $tempo === '' ? null : $tempo,
            'clefs' => $clefs === 'treble bass' ? null : $clefs,
            'bar' => $first->pickup || $first->number === 1 ? null : (string) $first->number,
        ], is_string(...));
        $text = '';
        foreach ($headings as $name => $value) {
            $text .= "{$name}: ".trim((string) preg_replace('/\s+/u', ' ', $value))."\n";
        }

        return $text;
    }

    private function line(Line $line): string
    {
        $measures = array_slice($this->piece->measures, $line->from, $line->to - $line->from + 1);
        $text = '';
        $leader = array_key_first($this->voices);
        foreach ($this->voices as $name => $voice) {
            [$hand, $number] = [Hand::from($name[0]), (int) $name[1]];
            $needed = $number === 1 || array_filter($measures, static fn (Measure $measure): bool => isset($measure->voices($hand)[$number])) !== [];
            if ($needed) {
                $voice->tones->tones->thumb ??= ($this->voices["{$name[0]}1"] ?? $voice)->tones->tones->thumb;
                $text .= $name[0].($number === 1 ? '' : $number).': '.$this->voice($voice, $measures, $hand, $number, $name === $leader)."\n";
            }
            if ($number === 1) {
                $text .= WordsWriting::under($measures, $hand, function (string $what): void {
                    $this->unsaid[$what] = true;
                });
            }
        }

        return $text;
    }

    /** @param list<Measure> $measures of the printed line */
    private function voice(VoiceWriting $voice, array $measures, Hand $hand, int $number, bool $leads): string
    {
        $text = '';
        foreach ($measures as $i => $measure) {
            $this->bar = (string) $measure->number;
            $before = $this->piece->measures[$measure->index - 1] ?? null;
            $tokens = $leads ? $this->begins($measure, $before) : [];
            if ($number === 1 && $before !== null && $measure->clefs[$hand->value] !== $before->clefAtEnd($hand)) {
                $tokens[] = "[{$measure->clefs[$hand->value]->value}]";
            }
            $tokens[] = $voice->bar($measure, $leads);
            if ($leads) {
                array_push($tokens, ...$this->ends($measure));
            }
            $last = $i === count($measures) - 1;
            $tokens[] = $this->barLine($measure, $leads, $last);
            $text .= ($text === '' ? '' : ' ').implode(' ', array_filter($tokens, static fn (string $token): bool => $token !== ''));
        }

        return $text;
    }

    /** @return list<string> */
    private function begins(Measure $measure, ?Measure $before): array
    {
        $tokens = $measure->repeatStart ? ['|:'] : [];
        if ($measure->endings !== [] && ($before === null || $before->endings !== $measure->endings || $before->repeatEnd)) {
            $tokens[] = '['.implode(',', $measure->endings);
        }
        if ($before !== null && ! $before->meter->looksLike($measure->meter)) {
            $tokens[] = "[time {$measure->meter->printed()}]";
        }
        if ($before !== null && ! $before->keyAtEnd()->equals($measure->key)) {
            $tokens[] = "[key {$measure->key->typed()}]";
        }
        foreach ($measure->navigation as $sign) {
            if ($sign === Navigation::Segno || $sign === Navigation::Coda) {
                $tokens[] = "[{$sign->value}]";
            }
        }

        return $tokens;
    }

    /** @return list<string> */
    private function ends(Measure $measure): array
    {
        $tokens = [];
        foreach ($measure->navigation as $sign) {
            if ($sign !== Navigation::Segno && $sign !== Navigation::Coda) {
                $tokens[] = "[{$sign->value}]";
            }
        }

        return $tokens;
    }

    private function barLine(Measure $measure, bool $leads, bool $last): string
    {
        $next = $this->piece->measures[$measure->index + 1] ?? null;
        $ending = $measure->endings !== [] && ! in_array(1, $measure->endings, true);
        $goesOn = $ending && $next?->endings === $measure->endings;
        if ($leads && $measure->barStyle !== '' && $measure->barStyle !== 'light-light') {
            $this->unsaid["Bar {$measure->number}: a {$measure->barStyle} bar line."] = true;
        }

        return match (true) {
            $leads && $measure->repeatEnd => ':|'.($measure->times === 2 ? '' : "*{$measure->times}"),
            $leads && $measure->barStyle === 'light-light' => $ending && ! $goesOn ? '| ||' : '||',
            // A later ending ends with the first bar line that is typed.
            $leads && $goesOn => '',
            $last && ! $ending => '',
            default => '|',
        };
    }

}

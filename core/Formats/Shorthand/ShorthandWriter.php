<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Line;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\MusicText;
use Nasturtium\Core\Score\Navigation;
use Nasturtium\Core\Score\Piece;

/** Prints a piece as it would be typed; what the shorthand cannot say is named. */
final class ShorthandWriter
{
    /** Of a hand, as they can be typed. */
    private const VOICES = 4;

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
        // Nothing is claimed that was not tried: what is read back must be the same page, or it is said which bars are not.
        $again = ShorthandReader::read($text);
        if ($again->piece !== null && $again->errors === []) {
            $writer->differences($again->piece);
        } else {
            $writer->unsaid['The whole: '.lcfirst($again->errors[0]->text ?? 'there is nothing to type.')] = true;
        }

        return new WrittenShorthand($text, array_keys($writer->unsaid));
    }

    private function differences(Piece $again): void
    {
        $said = implode("\n", array_keys($this->unsaid));
        foreach (MusicText::differences($this->piece, $again) as $index) {
            $number = $this->piece->measures[$index]->number ?? null;
            if ($index < 0 && str_contains($said, 'The head of the piece: ')) {
                continue;
            }
            if ($index < 0) {
                $this->unsaid['The head of the piece: a text that is longer, or divided otherwise, than it can be typed.'] = true;
            } elseif ($number === null) {
                $this->unsaid['The end: there are more bars when it is typed.'] = true;
            } elseif (! str_contains($said, "Bar {$number}: ")) {
                $this->unsaid["Bar {$number}: some detail of the print that the shorthand has no word for."] = true;
            }
        }
    }

    private function page(): string
    {
        foreach (Hand::cases() as $hand) {
            foreach ($this->piece->measures as $measure) {
                foreach ($measure->voices($hand) as $number => $voice) {
                    if ($number > self::VOICES) {
                        $this->unsaid["Bar {$measure->number}: a voice more than four of the {$hand->word()}."] = true;
                    } elseif ($voice !== []) {
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
            $typed = $this->line($line);
            if (mb_strlen($text.$typed) > ShorthandReader::MAX_CHARACTERS) {
                $this->unsaid["Bar {$this->piece->measures[$line->from]->number}: from here on it is longer than what can be typed."] = true;
                break;
            }
            $text .= $typed;
        }

        return $text;
    }

    private function headings(): string
    {
        $piece = $this->piece;
        $first = $piece->measures[0];
        $mark = $piece->metronome;
        if ($mark !== null && ! Names::isTempo($mark)) {
            $this->unsaid['The head of the piece: its metronome mark.'] = true;
            $mark = null;
        }
        $tempo = trim(($mark === null ? '' : Names::ofTempo($mark)).' '.(preg_match('/^\d/', $piece->tempoWords ?? '') === 1 ? '' : $piece->tempoWords));
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
            'bar' => $first->pickup || $first->number === 1 || $first->number > 9999 ? null : (string) $first->number,
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
        if ($measure->endings !== [] && max($measure->endings) < 10 && min($measure->endings) > 0 && ($before === null || $before->endings !== $measure->endings || $before->repeatEnd)) {
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
        if ($leads && $measure->sameAsBefore) {
            $this->unsaid["Bar {$measure->number}: the sign that says to play the bar before again; its notes are typed."] = true;
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

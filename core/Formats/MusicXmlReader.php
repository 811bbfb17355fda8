<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\PieceBuilder;
use Nasturtium\Core\Score\Place;

/**
 * Reads one piano part of partwise MusicXML: the upper staff is the right hand, the lower the left, one voice each.
 * What it does not understand becomes a check that names it and its bar.
 */
final class MusicXmlReader
{
    private const MAX_MEASURES = 10_000;

    private const MAX_DIVISIONS = 20_160;

    private PieceBuilder $builder;

    private Meter $meter;

    private Key $key;

    /** @var array<int, Clef> by staff */
    private array $clefs = [];

    private int $divisions = 1;

    private int $staves = 1;

    /** @var list<int> the passes of the ending that is open */
    private array $ending = [];

    private string $bar = '1';

    /** @var list<array{int, string, string}> measure index, code, text */
    private array $noted = [];

    /** @throws BadInput */
    public static function read(string $bytes): ReadScore
    {
        return (new self())->score(ScoreFile::open($bytes));
    }

    private function score(\DOMElement $root): ReadScore
    {
        $this->builder = new PieceBuilder();
        $this->meter = new Meter(4, 4);
        $this->key = new Key(fixed: false);
        $parts = Xml::all($root, 'part');
        if (count($parts) !== 1) {
            throw new BadInput($parts === []
                ? 'The file has no part in it, so there is nothing to play.'
                : 'The file has '.count($parts).' parts. Export the piano part alone, both hands on one grand staff.');
        }
        $this->header($root);
        try {
            foreach (Xml::all($parts[0], 'measure') as $measure) {
                $this->measure($measure);
            }
            if ($this->builder->count() === 0) {
                throw new BadInput('The part has no bars in it, so there is nothing to play.');
            }
            $piece = $this->builder->piece();
        } catch (InvalidScore $reason) {
            throw new BadInput("Bar {$this->bar}: {$reason->getMessage()}.", previous: $reason);
        }
        if (! $piece->plays(Hand::Right) && ! $piece->plays(Hand::Left)) {
            throw new BadInput('There is nothing to play in the file: it has bars, but no notes.');
        }

        return new ReadScore($piece, array_map(
            static fn (array $noted): Check => new Check($noted[1], Place::start($piece->measures[$noted[0]]->number), null, $noted[2]),
            $this->noted,
        ));
    }

    private function header(\DOMElement $root): void
    {
        $this->builder->title = Xml::text($root, 'work', 'work-title') ?? Xml::text($root, 'movement-title') ?? 'Untitled';
        foreach (Xml::all(Xml::one($root, 'identification'), 'creator') as $creator) {
            if ($creator->getAttribute('type') === 'composer') {
                $this->builder->composer = trim($creator->textContent);
            }
        }
    }

    private function measure(\DOMElement $element): void
    {
        if ($this->builder->count() >= self::MAX_MEASURES) {
            throw new BadInput('The file has more than '.self::MAX_MEASURES.' bars. Export the page you need alone.');
        }
        $printed = $element->getAttribute('number');
        $this->bar = $printed === '' ? (string) ($this->builder->count() + 1) : $printed;
        $begun = false;
        $newLine = false;
        $repeats = [];
        $voices = new MeasureVoices();
        foreach (Xml::children($element) as $child) {
            switch ($child->localName) {
                case 'attributes':
                    $this->attributes($child);
                    break;
                case 'print':
                    $newLine = $newLine || $child->getAttribute('new-system') === 'yes' || $child->getAttribute('new-page') === 'yes';
                    break;
                case 'note':
                    $this->note($child, $voices);
                    break;
                case 'backup':
                    $voices->move($this->length($child, 'backup'), -1);
                    break;
                case 'forward':
                    $voices->move($this->length($child, 'forward'), 1);
                    break;
                case 'direction':
                    $this->direction($child, $voices);
                    break;
                case 'sound':
                    $this->sound($child);
                    break;
                case 'barline':
                    $repeats[] = $child;
                    break;
                case 'harmony':
                case 'figured-bass':
                    $this->notRead($child->localName === 'harmony' ? 'chord symbol' : 'figured bass');
            }
        }
        $number = preg_match('/^\d{1,6}$/', $printed) === 1 ? (int) $printed : null;
        $this->builder->measure($this->meter, $this->key, $number, $element->getAttribute('implicit') === 'yes', $newLine);
        $this->barlines($repeats);
        foreach ($voices->chosen() as [$staff, $event]) {
            $this->builder->event($this->hand($staff), ...$event);
        }
        foreach ($voices->leftOut() as $voice) {
            $this->notRead("second voice '{$voice}'");
        }
    }

    private function hand(int $staff): Hand
    {
        if ($this->staves < 2 && $staff === 1) {
            return ($this->clefs[1] ?? Clef::Treble) === Clef::Bass ? Hand::Left : Hand::Right;
        }

        return $staff === 1 ? Hand::Right : Hand::Left;
    }

    private function attributes(\DOMElement $element): void
    {
        foreach (Xml::children($element) as $child) {
            switch ($child->localName) {
                case 'divisions':
                    $this->divisions = $this->whole($child, 'divisions', 1, self::MAX_DIVISIONS);
                    break;
                case 'staves':
                    $this->staves = $this->whole($child, 'staves', 1, 2);
                    break;
                case 'key':
                    $this->key = new Key($this->whole(Xml::one($child, 'fifths') ?? $child, 'fifths', -7, 7), Xml::text($child, 'mode') === 'minor');
                    break;
                case 'time':
                    $this->time($child);
                    break;
                case 'clef':
                    $this->clefs[max(1, (int) $child->getAttribute('number'))] = $this->clef($child);
            }
        }
    }

    private function time(\DOMElement $element): void
    {
        $beats = Xml::text($element, 'beats');
        if ($beats === null) {
            $this->notRead('music without a time signature');

            return;
        }
        $unit = $this->whole(Xml::one($element, 'beat-type') ?? $element, 'beat-type', 1, 32);
        $count = 0;
        foreach (explode('+', $beats) as $part) {
            if (preg_match('/^\s*\d{1,2}\s*$/', $part) !== 1) {
                throw new BadInput($this->at($element)."'{$beats}' is not a number of beats.");
            }
            $count += (int) $part;
        }
        $this->meter = new Meter($count, $unit);
    }

    private function clef(\DOMElement $element): Clef
    {
        $sign = Xml::text($element, 'sign') ?? '';
        $line = Xml::text($element, 'line') ?? ['G' => '2', 'F' => '4'][$sign] ?? '';
        $octave = (int) Xml::text($element, 'clef-octave-change');

        return match (true) {
            $sign === 'G' && $line === '2' && $octave === 0 => Clef::Treble,
            $sign === 'F' && $line === '4' && $octave === 0 => Clef::Bass,
            default => throw new BadInput($this->at($element)."the clef {$sign} on line {$line} cannot be read; a student's page has treble and bass clefs."),
        };
    }

    private function note(\DOMElement $element, MeasureVoices $voices): void
    {
        $staff = max(1, min(2, (int) (Xml::text($element, 'staff') ?? 1)));
        $voice = Xml::text($element, 'voice') ?? "staff {$staff}";
        if (Xml::one($element, 'grace') !== null || Xml::one($element, 'cue') !== null) {
            $this->notRead(Xml::one($element, 'grace') !== null ? 'grace note' : 'cue note');

            return;
        }
        $length = $this->noteLength($element);
        $reading = new NoteReading($element, fn (string $what) => $this->notRead($what), fn () => $this->at($element));
        $note = $reading->note();
        if (Xml::one($element, 'chord') !== null) {
            if (! $voices->addToChord($note, $reading->marks())) {
                throw new BadInput($this->at($element).'a chord note has no note before it to join.');
            }

            return;
        }
        $clef = $this->clefs[$staff] ?? ($staff === 2 ? Clef::Bass : Clef::Treble);
        $voices->add($staff, $voice, $clef, $length, $note === null ? [] : [$note], $reading->marks(), $reading->lyric());
    }

    private function noteLength(\DOMElement $element): Duration
    {
        if (Xml::one($element, 'duration') !== null) {
            return $this->length($element, 'note');
        }
        $type = Xml::text($element, 'type') ?? throw new BadInput($this->at($element).'a note has neither a duration nor a type.');

        return Duration::ofNote($type, min(2, count(Xml::all($element, 'dot'))));
    }

    private function length(\DOMElement $element, string $of): Duration
    {
        $text = Xml::text($element, 'duration') ?? '';
        if (preg_match('/^\d{1,9}(\.0*)?$/', $text) !== 1) {
            throw new BadInput($this->at($element)."the duration '{$text}' of a {$of} is not a number above zero.");
        }

        return Duration::of((int) $text, 4 * $this->divisions);
    }

    private function direction(\DOMElement $element, MeasureVoices $voices): void
    {
        $staff = max(1, (int) (Xml::text($element, 'staff') ?? 1));
        foreach (Xml::all($element, 'direction-type') as $type) {
            foreach (Xml::children($type) as $child) {
                switch ($child->localName) {
                    case 'dynamics':
                        foreach (Xml::children($child) as $dynamic) {
                            $voices->dynamic($staff, $dynamic->localName === 'other-dynamics' ? trim($dynamic->textContent) : (string) $dynamic->localName);
                        }
                        break;
                    case 'words':
                        $this->words(trim($child->textContent));
                        break;
                    case 'metronome':
                        $this->metronome($child);
                        break;
                    default:
                        $this->notRead(Xml::word($child));
                }
            }
        }
        foreach (Xml::all($element, 'sound') as $sound) {
            $this->sound($sound);
        }
    }

    private function words(string $words): void
    {
        if ($words === '') {
            return;
        }
        if ($this->builder->count() === 0 && $this->builder->tempoWords === null) {
            $this->builder->tempoWords = $words;

            return;
        }
        $this->notRead("words '{$words}'");
    }

    private function metronome(\DOMElement $element): void
    {
        $unit = Xml::text($element, 'beat-unit');
        if ($unit === null || preg_match('/(\d{1,3})(?:\s*[-–]\s*(\d{1,3}))?/u', Xml::text($element, 'per-minute') ?? '', $found) !== 1) {
            $this->notRead('metronome mark');

            return;
        }
        $quarters = Duration::ofNote($unit, min(2, count(Xml::all($element, 'beat-unit-dot'))))->whole->times(Fraction::of(4));
        $marks = array_map(
            static fn (string $mark): int => $quarters->times(Fraction::of((int) $mark))->floor(),
            array_slice($found, 1),
        );
        $this->builder->tempo ??= $marks[1] ?? $marks[0];
        $this->builder->tempoFrom ??= isset($marks[1]) ? $marks[0] : null;
    }

    private function sound(\DOMElement $element): void
    {
        $tempo = $element->getAttribute('tempo');
        if ($this->builder->tempo === null && preg_match('/^\d{1,3}(\.\d+)?$/', $tempo) === 1 && (int) $tempo > 0) {
            $this->builder->tempo = (int) round((float) $tempo);
        }
        foreach (['dacapo' => 'D.C.', 'dalsegno' => 'D.S.', 'fine' => 'Fine', 'tocoda' => 'To Coda'] as $attribute => $word) {
            if ($element->hasAttribute($attribute)) {
                $this->notRead($word);
            }
        }
    }

    /** @param list<\DOMElement> $elements */
    private function barlines(array $elements): void
    {
        $stops = false;
        foreach ($elements as $element) {
            $repeat = Xml::one($element, 'repeat')?->getAttribute('direction');
            if ($repeat === 'forward') {
                $this->builder->repeatStart();
            } elseif ($repeat === 'backward') {
                $this->builder->repeatEnd();
            }
            $ending = Xml::one($element, 'ending');
            if ($ending?->getAttribute('type') === 'start') {
                preg_match_all('/\d{1,2}/', $ending->getAttribute('number'), $found);
                $this->ending = array_map(intval(...), $found[0]);
            }
            $stops = $stops || ($ending !== null && $ending->getAttribute('type') !== 'start');
        }
        $this->builder->endings($this->ending);
        if ($stops) {
            $this->ending = [];
        }
    }

    private function whole(\DOMElement $element, string $what, int $least, int $most): int
    {
        $text = trim($element->textContent);
        if (preg_match('/^-?\d{1,7}$/', $text) !== 1 || (int) $text < $least || (int) $text > $most) {
            throw new BadInput($this->at($element)."{$what} is '".mb_substr($text, 0, 20)."', not a whole number from {$least} to {$most}.");
        }

        return (int) $text;
    }

    private function notRead(string $what): void
    {
        $noted = [$this->builder->count(), 'not_read', "Bar {$this->bar}: {$what} is not read."];
        if (end($this->noted) !== $noted) {
            $this->noted[] = $noted;
        }
    }

    private function at(\DOMElement $element): string
    {
        return "Bar {$this->bar} (line {$element->getLineNo()}): ";
    }
}

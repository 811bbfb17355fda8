<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Notation;

/** Reads clefs, keys, time signatures and divisions. */
final readonly class AttributesReading
{
    private const MAX_DIVISIONS = 20_160;

    public function __construct(private FileState $state) {}

    /**
     * @param  list<array{Fraction, Hand, Clef}>  $clefs  of the measure; those found are added
     * @param  list<array{Fraction, Key}>  $keys  inside the measure, likewise
     */
    public function read(\DOMElement $element, Fraction $onset, array &$clefs, array &$keys): void
    {
        $state = $this->state;
        // Staves come after key and time in a file, and clefs after them.
        foreach (Xml::children($element) as $child) {
            switch ($child->localName) {
                case 'divisions':
                    $state->divisions = $state->whole($child, 'divisions', 1, self::MAX_DIVISIONS);
                    break;
                case 'staves':
                    $state->staves = max($state->staves, $state->whole($child, 'staves', 1, 2));
                    break;
                case 'key':
                    $key = $this->key($child);
                    if ($key !== null && ! $onset->isZero()) {
                        $keys[] = [$onset, $key];
                    }
                    $state->key = $key ?? $state->key;
                    break;
                case 'time':
                    if ($onset->isZero()) {
                        $this->time($child);
                    } else {
                        $state->notRead('time signature inside a bar');
                    }
                    break;
                case 'clef':
                    $staff = max(1, (int) $child->getAttribute('number'));
                    $clef = $this->clef($child);
                    $state->onlyHand ??= $clef === Clef::Bass ? Hand::Left : Hand::Right;
                    $clefs[] = [$onset, $state->hand($staff), $clef];
                    break;
                case 'staff-details':
                    if (Xml::text($child, 'staff-lines') === '0' && $state->builder->notation === Notation::Staff) {
                        $state->builder->notation = Notation::Fingers;
                    }
                    break;
                case 'measure-style':
                    if (Xml::one($child, 'multiple-rest') === null) {
                        $state->notRead(Xml::word($child));
                    }
                    break;
                case 'part-symbol':
                case 'instruments':
                    break;
                default:
                    $state->notRead(Xml::word($child));
            }
        }
    }

    private function key(\DOMElement $element): ?Key
    {
        $fifths = Xml::one($element, 'fifths');
        if ($fifths === null || ($element->getAttribute('number') !== '' && $element->getAttribute('number') !== '1')) {
            $this->state->notRead($fifths === null ? 'key signature of single signs' : 'key signature of one staff alone');

            return null;
        }
        $mode = Xml::text($element, 'mode');
        if (! in_array($mode, [null, 'major', 'minor', 'none'], true)) {
            $this->state->notRead("mode '{$mode}'");
        }

        return new Key($this->state->whole($fifths, 'fifths', -7, 7), $mode === 'minor');
    }

    private function time(\DOMElement $element): void
    {
        $beats = Xml::all($element, 'beats');
        $units = Xml::all($element, 'beat-type');
        if ($beats === [] || $units === []) {
            $this->state->notRead('music without a time signature');

            return;
        }
        $unit = $this->state->whole($units[0], 'beat-type', 1, 32);
        $groups = [];
        foreach ($beats as $i => $given) {
            $text = trim($given->textContent);
            if (preg_match('/^\d{1,2}(\s*\+\s*\d{1,2})*$/', $text) !== 1) {
                throw new BadInput($this->state->at($element)."'{$text}' is not a number of beats.");
            }
            if (isset($units[$i]) && $this->state->whole($units[$i], 'beat-type', 1, 32) !== $unit) {
                throw new BadInput($this->state->at($element).'a time signature of two different note values cannot be read.');
            }
            array_push($groups, ...array_map(intval(...), explode('+', $text)));
        }
        $symbol = $element->getAttribute('symbol');
        $this->state->meter = new Meter(array_sum($groups), $unit, in_array($symbol, ['common', 'cut'], true) ? $symbol : '', count($groups) > 1 ? $groups : []);
    }

    private function clef(\DOMElement $element): Clef
    {
        $sign = Xml::text($element, 'sign') ?? '';
        $line = Xml::text($element, 'line') ?? ['G' => '2', 'F' => '4'][$sign] ?? '';
        $octave = (int) Xml::text($element, 'clef-octave-change');

        return match (true) {
            $sign === 'G' && $line === '2' && $octave === 0 => Clef::Treble,
            $sign === 'F' && $line === '4' && $octave === 0 => Clef::Bass,
            default => throw new BadInput($this->state->at($element)."the clef {$sign} on line {$line} cannot be read; a student's page has treble and bass clefs."),
        };
    }
}

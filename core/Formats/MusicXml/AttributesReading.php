<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Limits;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Notation;

/** Reads clefs, keys, time signatures and divisions. */
final readonly class AttributesReading
{
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
                    $state->divisions = $state->number($child, 'divisions', 1, Limits::DIVISIONS);
                    break;
                case 'staves':
                    $staves = $state->number($child, 'staves', 1, 99);
                    if ($staves > 2) {
                        $state->notRead($staves === 3 ? 'the third staff' : "staff 3 to {$staves}");
                    }
                    $state->staves = max($state->staves, min(2, $staves));
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
                    if ($staff > 2) {
                        break;
                    }
                    $clef = $this->clef($child);
                    $state->onlyHand ??= $clef->isLow() ? Hand::Left : Hand::Right;
                    $clefs[] = [$onset, $state->hand($staff), $clef];
                    break;
                case 'staff-details':
                    if (Xml::text($child, 'staff-lines') === '0' && $state->builder->notation === Notation::Staff) {
                        $state->builder->notation = Notation::Fingers;
                    }
                    break;
                case 'measure-style':
                    $this->style($child);
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

        return new Key($this->state->number($fifths, 'fifths', -7, 7), $mode === 'minor', modeKnown: $mode !== null);
    }

    private function time(\DOMElement $element): void
    {
        $beats = Xml::all($element, 'beats');
        $units = Xml::all($element, 'beat-type');
        if ($beats === [] || $units === []) {
            $this->state->notRead('music without a time signature');

            return;
        }
        $unit = $this->state->number($units[0], 'beat-type', 1, 32);
        $groups = [];
        foreach ($beats as $i => $given) {
            $text = trim($given->textContent);
            if (preg_match('/^\d{1,2}(\s*\+\s*\d{1,2})*$/', $text) !== 1) {
                throw BadMusicXml::noNumberOfBeats($this->state->at($element), $text);
            }
            if (isset($units[$i]) && $this->state->number($units[$i], 'beat-type', 1, 32) !== $unit) {
                throw BadMusicXml::mixedTimeSignature($this->state->at($element));
            }
            array_push($groups, ...array_map(intval(...), explode('+', $text)));
        }
        $symbol = $element->getAttribute('symbol');
        $this->state->timed = true;
        $this->state->meter = new Meter(array_sum($groups), $unit, in_array($symbol, ['common', 'cut'], true) ? $symbol : '', count($groups) > 1 ? $groups : []);
    }

    /** Whole measures that are printed as a sign which says that they are the one before again. */
    private function style(\DOMElement $element): void
    {
        $repeat = Xml::one($element, 'measure-repeat');
        if ($repeat === null) {
            if (Xml::one($element, 'multiple-rest') === null) {
                $this->state->notRead(Xml::word($element));
            }

            return;
        }
        if ($repeat->getAttribute('type') === 'stop') {
            $this->state->repeating = 0;

            return;
        }
        $bars = trim($repeat->textContent) === '' ? 1 : $this->state->number($repeat, 'measure-repeat', 1, 16);
        $this->state->repeating = $bars;
    }

    private function clef(\DOMElement $element): Clef
    {
        $sign = mb_substr(Xml::text($element, 'sign') ?? '', 0, 20);
        $line = Xml::text($element, 'line') ?? ['G' => '2', 'F' => '4', 'C' => '3'][$sign] ?? '';
        $octave = Xml::text($element, 'clef-octave-change') ?? '0';
        $clef = preg_match('/^[1-5]$/', $line) === 1 && preg_match('/^[+-]?[012]$/', $octave) === 1 ? Clef::printed($sign, (int) $line, (int) $octave) : null;

        return $clef ?? throw BadMusicXml::unreadableClef($this->state->at($element), $sign, $line);
    }
}

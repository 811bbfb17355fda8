<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Sign;

/** Chord symbols as MusicXML has them, root, kind and bass apart, and as a page prints them: `Am7`, `D/F#`. */
final readonly class ChordSymbol
{
    /** What is printed after the root, by kind. */
    private const KINDS = [
        'major' => '', 'minor' => 'm', 'augmented' => 'aug', 'diminished' => 'dim', 'dominant' => '7', 'major-seventh' => 'maj7', 'minor-seventh' => 'm7',
        'diminished-seventh' => 'dim7', 'augmented-seventh' => 'aug7', 'half-diminished' => 'm7b5', 'major-minor' => 'm(maj7)', 'major-sixth' => '6', 'minor-sixth' => 'm6',
        'dominant-ninth' => '9', 'major-ninth' => 'maj9', 'minor-ninth' => 'm9', 'suspended-second' => 'sus2', 'suspended-fourth' => 'sus4', 'power' => '5', 'none' => 'N.C.',
    ];

    private const ALTERS = [-1 => 'b', 0 => '', 1 => '#'];

    /** @return string|null null when it cannot be printed in this way */
    public static function read(\DOMElement $harmony): ?string
    {
        $kind = Xml::one($harmony, 'kind');
        $word = trim($kind->textContent ?? '');
        if ($word === 'none') {
            return self::KINDS['none'];
        }
        $root = self::tone($harmony, 'root');
        if ($root === null || $kind === null) {
            return null;
        }
        $printed = $kind->getAttribute('text');
        $suffix = self::KINDS[$word] ?? ($printed !== '' && preg_match('/^[A-Za-z0-9#+()°-]{1,12}$/u', $printed) === 1 ? $printed : null);
        $bass = Xml::one($harmony, 'bass') === null ? '' : '/'.self::tone($harmony, 'bass');

        return $suffix === null || $bass === '/' || Xml::one($harmony, 'degree') !== null ? null : $root.$suffix.$bass;
    }

    public static function write(XmlPen $xml, Sign $sign): void
    {
        $xml->open('harmony', ['placement' => $sign->above ? 'above' : 'below']);
        if (preg_match('~^([A-G])([#b]?)([^/]*)(?:/([A-G])([#b]?))?$~', $sign->text, $found) !== 1) {
            $xml->open('root');
            $xml->leaf('root-step', 'C', ['text' => '']);
            $xml->close();
            $xml->leaf('kind', 'none', ['text' => $sign->text]);
        } else {
            self::tones($xml, 'root', $found[1], $found[2]);
            $kind = array_search($found[3], self::KINDS, true);
            $xml->leaf('kind', $kind === false ? 'other' : $kind, ['text' => $found[3]]);
            if (($found[4] ?? '') !== '') {
                self::tones($xml, 'bass', $found[4], $found[5] ?? '');
            }
        }
        $xml->leaf('staff', $sign->staff === Hand::Right ? '1' : '2');
        $xml->close();
    }

    private static function tone(\DOMElement $harmony, string $part): ?string
    {
        $step = Xml::text($harmony, $part, "{$part}-step");
        $alter = (int) (Xml::text($harmony, $part, "{$part}-alter") ?? 0);

        return $step === null || preg_match('/^[A-G]$/', $step) !== 1 || ! isset(self::ALTERS[$alter]) ? null : $step.self::ALTERS[$alter];
    }

    private static function tones(XmlPen $xml, string $part, string $step, string $sign): void
    {
        $xml->open($part);
        $xml->leaf("{$part}-step", $step);
        if ($sign !== '') {
            $xml->leaf("{$part}-alter", $sign === '#' ? '1' : '-1');
        }
        $xml->close();
    }
}

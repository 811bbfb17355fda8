<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Formats\NavigationWords;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\MeasureDraft;
use Nasturtium\Core\Score\Metronome;
use Nasturtium\Core\Score\Navigation;
use Nasturtium\Core\Score\PieceBuilder;
use Nasturtium\Core\Score\Sign;
use Nasturtium\Core\Score\SignKind;

/** Reads MusicXML directions: dynamics, hairpins, words, tempo, ottava lines, pedal, and where the player is sent. */
final readonly class SignReading
{
    /** @param \Closure(string): void $notRead told what is not understood */
    public function __construct(private PieceBuilder $builder, private MeasureDraft $measure, private \Closure $notRead) {}

    public function direction(\DOMElement $element, Hand $staff, Fraction $onset): void
    {
        $above = ['above' => true, 'below' => false][$element->getAttribute('placement')] ?? null;
        foreach (Xml::all($element, 'direction-type') as $type) {
            foreach (Xml::children($type) as $child) {
                $this->type($child, $staff, $onset, $above);
            }
        }
        foreach (Xml::all($element, 'sound') as $sound) {
            $this->sound($sound);
        }
    }

    public function sound(\DOMElement $element): void
    {
        $tempo = $element->getAttribute('tempo');
        if ($this->builder->metronome === null && preg_match('/^\d{1,3}(\.\d+)?$/', $tempo) === 1 && (int) $tempo > 0) {
            $this->builder->metronome = new Metronome((int) round((float) $tempo), null, Duration::ofNote('quarter'));
        }
        NavigationWords::sound($element, $this->measure);
    }

    /** A chord symbol, such as `Am7` or `D/F#`. */
    public function harmony(\DOMElement $element, Hand $staff, Fraction $onset): void
    {
        $symbol = ChordSymbol::read($element);
        if ($symbol === null) {
            ($this->notRead)('chord symbol');

            return;
        }
        $this->add(SignKind::Chord, $staff, $onset, $symbol);
    }

    public function dynamic(string $dynamic, Hand $staff, Fraction $onset, ?bool $above = null): void
    {
        $this->add(SignKind::Dynamic, $staff, $onset, $dynamic, $above);
    }

    private function type(\DOMElement $element, Hand $staff, Fraction $onset, ?bool $above): void
    {
        $kind = $element->getAttribute('type');
        switch ($element->localName) {
            case 'dynamics':
                foreach (Xml::children($element) as $dynamic) {
                    $this->dynamic($dynamic->localName === 'other-dynamics' ? mb_substr(Xml::line($dynamic), 0, 40) : (string) $dynamic->localName, $staff, $onset, $above);
                }
                break;
            case 'words':
            case 'rehearsal':
                $this->words(Xml::line($element), $staff, $onset, $above);
                break;
            case 'metronome':
                $this->metronome($element, $staff, $onset);
                break;
            case 'wedge':
                $this->line(['crescendo' => SignKind::Crescendo, 'diminuendo' => SignKind::Diminuendo, 'stop' => SignKind::HairpinEnd], $element, $staff, $onset, '', $above);
                break;
            case 'octave-shift':
                $size = $element->getAttribute('size');
                if (! in_array($size, ['', '8', '15'], true)) {
                    ($this->notRead)("octave shift of {$size}");
                    break;
                }
                $this->line(['down' => SignKind::OttavaAbove, 'up' => SignKind::OttavaBelow, 'stop' => SignKind::OttavaEnd], $element, $staff, $onset, $kind === 'stop' || $size !== '15' ? '' : '15', $kind === 'down');
                break;
            case 'pedal':
                if ($kind === 'change') {
                    $this->add(SignKind::PedalEnd, $staff, $onset);
                    $this->add(SignKind::Pedal, $staff, $onset);
                    break;
                }
                $this->line(['start' => SignKind::Pedal, 'stop' => SignKind::PedalEnd], $element, $staff, $onset);
                break;
            case 'segno':
                $this->measure->navigate(Navigation::Segno);
                break;
            case 'coda':
                $this->measure->navigate(Navigation::Coda);
                break;
            default:
                ($this->notRead)(Xml::word($element));
        }
    }

    /** @param array<string, SignKind> $kinds by the type attribute */
    private function line(array $kinds, \DOMElement $element, Hand $staff, Fraction $onset, string $text = '', ?bool $above = null): void
    {
        $type = $element->getAttribute('type');
        if (isset($kinds[$type])) {
            $this->add($kinds[$type], $staff, $onset, $text, $kinds[$type]->isEnd() ? false : $above);
        } elseif ($type !== 'continue') {
            ($this->notRead)(Xml::word($element)." '{$type}'");
        }
    }

    private function words(string $words, Hand $staff, Fraction $onset, ?bool $above): void
    {
        if ($words === '') {
            return;
        }
        $navigation = NavigationWords::in($words);
        if ($navigation !== null) {
            $this->measure->navigate($navigation);
        } else {
            $this->add(SignKind::Words, $staff, $onset, mb_substr($words, 0, 200), $above);
        }
    }

    private function metronome(\DOMElement $element, Hand $staff, Fraction $onset): void
    {
        $unit = Xml::text($element, 'beat-unit');
        if ($unit === null || preg_match('/(\d{1,3})(?:\s*[-–]\s*(\d{1,3}))?/u', Xml::text($element, 'per-minute') ?? '', $found) !== 1) {
            ($this->notRead)('metronome mark');

            return;
        }
        try {
            $range = isset($found[2]);
            $mark = new Metronome((int) ($range ? $found[2] : $found[1]), $range ? (int) $found[1] : null, Duration::ofNote($unit, min(2, count(Xml::all($element, 'beat-unit-dot')))));
        } catch (InvalidScore) {
            ($this->notRead)('metronome mark');

            return;
        }
        if ($this->builder->count() === 1 && $onset->isZero()) {
            $this->builder->metronome ??= $mark;
        } else {
            $this->measure->signs[] = new Sign(SignKind::Tempo, $staff, $onset, '', true, $mark);
        }
    }

    private function add(SignKind $kind, Hand $staff, Fraction $onset, string $text = '', ?bool $above = null): void
    {
        $this->measure->signs[] = new Sign($kind, $staff, $onset, $text, $above ?? $kind->standsAbove($staff));
    }
}

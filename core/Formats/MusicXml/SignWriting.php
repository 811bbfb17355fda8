<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Metronome;
use Nasturtium\Core\Score\Navigation;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Sign;
use Nasturtium\Core\Score\SignKind;

/** Writes what stands between and along the staves as MusicXML directions. */
final readonly class SignWriting
{
    private const DYNAMICS = '/^(p{1,6}|f{1,6}|m[pf]|sf|sfp|sfpp|fp|rf|rfz|sfz|sffz|fz)$/';

    public function __construct(private XmlPen $xml) {}

    /** The tempo at the head of the piece. */
    public function tempo(Piece $piece): void
    {
        if ($piece->tempoWords === null && $piece->metronome === null) {
            return;
        }
        $this->xml->open('direction', ['placement' => 'above']);
        if ($piece->tempoWords !== null) {
            $this->xml->open('direction-type');
            $this->xml->leaf('words', $piece->tempoWords);
            $this->xml->close();
        }
        if ($piece->metronome !== null) {
            $this->metronome($piece->metronome);
        }
        $this->xml->leaf('staff', '1');
        $this->xml->close();
    }

    public function sign(Sign $sign): void
    {
        if ($sign->kind === SignKind::Chord) {
            ChordSymbol::write($this->xml, $sign);

            return;
        }
        $this->xml->open('direction', ['placement' => $sign->above ? 'above' : 'below']);
        if ($sign->metronome !== null) {
            $this->metronome($sign->metronome);
        } else {
            $this->xml->open('direction-type');
            $this->type($sign);
            $this->xml->close();
        }
        $this->xml->leaf('staff', $sign->staff === Hand::Right ? '1' : '2');
        $this->xml->close();
    }

    /** A sign that sends the player elsewhere, in print and for playback. */
    public function navigation(Navigation $sign): void
    {
        $this->xml->open('direction', ['placement' => 'above']);
        $this->xml->open('direction-type');
        match ($sign) {
            Navigation::Segno => $this->xml->leaf('segno'),
            Navigation::Coda => $this->xml->leaf('coda'),
            default => $this->xml->leaf('words', $sign->value),
        };
        $this->xml->close();
        $this->xml->leaf('staff', '1');
        $this->xml->leaf('sound', '', match (true) {
            $sign->isDaCapo() => ['dacapo' => 'yes'],
            $sign->isDalSegno() => ['dalsegno' => 'segno'],
            $sign === Navigation::Fine => ['fine' => 'yes'],
            $sign === Navigation::ToCoda => ['tocoda' => 'coda'],
            $sign === Navigation::Segno => ['segno' => 'segno'],
            default => ['coda' => 'coda'],
        });
        $this->xml->close();
    }

    private function type(Sign $sign): void
    {
        $number = $sign->staff === Hand::Right ? '1' : '2';
        $size = $sign->text === '15' ? '15' : '8';
        match ($sign->kind) {
            SignKind::Dynamic => $this->dynamic($sign->text),
            SignKind::Words, SignKind::Tempo, SignKind::Chord => $this->xml->leaf('words', $sign->text),
            SignKind::Crescendo => $this->xml->leaf('wedge', '', ['type' => 'crescendo', 'number' => $number]),
            SignKind::Diminuendo => $this->xml->leaf('wedge', '', ['type' => 'diminuendo', 'number' => $number]),
            SignKind::HairpinEnd => $this->xml->leaf('wedge', '', ['type' => 'stop', 'number' => $number]),
            SignKind::OttavaAbove => $this->xml->leaf('octave-shift', '', ['type' => 'down', 'number' => $number, 'size' => $size]),
            SignKind::OttavaBelow => $this->xml->leaf('octave-shift', '', ['type' => 'up', 'number' => $number, 'size' => $size]),
            SignKind::OttavaEnd => $this->xml->leaf('octave-shift', '', ['type' => 'stop', 'number' => $number]),
            SignKind::Pedal => $this->xml->leaf('pedal', '', ['type' => 'start', 'line' => 'yes']),
            SignKind::PedalEnd => $this->xml->leaf('pedal', '', ['type' => 'stop', 'line' => 'yes']),
        };
    }

    private function dynamic(string $dynamic): void
    {
        $known = preg_match(self::DYNAMICS, $dynamic) === 1;
        $this->xml->open('dynamics');
        $this->xml->leaf($known ? $dynamic : 'other-dynamics', $known ? '' : $dynamic);
        $this->xml->close();
    }

    private function metronome(Metronome $mark): void
    {
        [$value, $dots] = $mark->unit->asNote() ?? ['quarter', 0];
        $this->xml->open('direction-type');
        $this->xml->open('metronome');
        $this->xml->leaf('beat-unit', $value);
        for ($dot = 0; $dot < $dots; $dot++) {
            $this->xml->leaf('beat-unit-dot');
        }
        $this->xml->leaf('per-minute', ($mark->from === null ? '' : "{$mark->from}-").$mark->goal);
        $this->xml->close(2);
    }
}

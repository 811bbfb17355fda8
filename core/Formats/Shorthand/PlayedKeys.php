<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Score\PrintedAccidentals;

/** The token that means the keys that were struck, where the cursor stands in the text. */
final readonly class PlayedKeys
{
    /**
     * @param  string  $before  the text up to the cursor
     * @param  non-empty-list<int>  $keys  as MIDI numbers; several are a chord
     *
     * @throws BadShorthand when the cursor stands in no line of music, or the keys are not on the keyboard
     */
    public static function typed(string $before, array $keys): string
    {
        $voice = ShorthandReader::voiceAt($before) ?? throw BadShorthand::outsideTheMusic();
        $writing = new ToneWriting($voice->hand, $voice->tones);
        $key = $voice->frame->keyAt(...$voice->here());
        if ($voice->here()[1]->isZero()) {
            $voice->tones->forget();
        }
        $tokens = [];
        sort($keys);
        foreach (array_unique($keys) as $midi) {
            $pitch = self::spelled($midi, $key, $voice->tones->accidentals($key, $voice->crossed));
            $tokens[] = $writing->note(new Note($pitch), $key, $voice->crossed, $voice->tiedKeys())
                ?? throw BadShorthand::offTheKeyboard($pitch->name());
        }

        return count($tokens) === 1 ? $tokens[0] : '('.implode(' ', $tokens).')';
    }

    /** The name that needs no sign here, else the key's own. */
    private static function spelled(int $midi, Key $key, PrintedAccidentals $inForce): Pitch
    {
        foreach ([-1, 1, 0] as $step) {
            $pitch = Pitch::ofMidi($midi, $key);
            $other = Pitch::ofDiatonic($pitch->diatonic() + $step);
            $alter = $midi - $other->midi();
            if (abs($alter) <= 1 && $inForce->at($other->diatonic()) === $alter) {
                return Pitch::ofDiatonic($other->diatonic(), $alter);
            }
        }

        return Pitch::ofMidi($midi, $key);
    }
}

import type { Api } from '../api';
import type { Take } from '../shared/midi/standIn';
import { t } from '../text';

/** A quarter of the stand-in, in milliseconds. */
const BEAT = 300;

/** The part of its length that a key is held. */
const HELD = 0.9;

/** The bars as they are written, and with two slips: the second key another one, the fourth left out. */
export function standInTakes(sounds: readonly Api['SoundResource'][]): Take[] {
    const first = Math.min(...sounds.map((sound) => sound.at));
    const strikes = sounds.map((sound) => ({
        at: Math.round((sound.at - first) * BEAT),
        keys: sound.keys,
        held: Math.round(HELD * Math.max(...sound.held) * BEAT),
    }));
    return [
        { name: t('As it is written'), strikes },
        {
            name: t('With two slips'),
            strikes: strikes.flatMap((strike, i) => {
                if (i === 3) return [];
                return [i === 1 ? { ...strike, keys: strike.keys.map((key) => key + 1) } : strike];
            }),
        },
    ];
}

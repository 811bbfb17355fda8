import { listed } from '../shared/words';
import { t } from '../text';
import type { SessionRun } from './run';
import type { Deck } from './useSession';

/** `C4` of a card that is named `name treble:C4`; nothing of others. */
const noteOf = (card: string) => card.split(':')[1] ?? '';

/** What a session brought, in one sentence. */
export function gained({ kind }: Deck, run: SessionRun): string {
    const isOfNotes = kind === 'name' || kind === 'find' || kind === 'place';
    const notes = (cards: string[]) => listed([...new Set(cards.map(noteOf))]);
    if (run.gained.length > 0) {
        if (isOfNotes) return t('You are sure of {{notes}} now.', { notes: notes(run.gained) });
        return run.gained.length === 1
            ? t('You are sure of one more card now.')
            : t('You are sure of {{count}} more cards now.', { count: run.gained.length });
    }
    if (run.met.length > 0 && isOfNotes) return t('You met {{notes}} today.', { notes: notes(run.met) });
    if (run.met.length > 0) return t('You met something new today.');
    return t('That was good practice.');
}

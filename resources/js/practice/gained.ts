import { listed } from '../shared/words';
import { t } from '../text';
import type { SessionRun } from './run';
import type { Deck } from './useSession';

/** What a session brought, in one sentence. */
export function gained({ cards }: Deck, run: SessionRun): string {
    const notes = (ids: string[]) =>
        listed([...new Set(ids.flatMap((id) => cards.find((card) => card.id === id)?.letter ?? []))]);
    if (run.gained.length > 0) {
        if (notes(run.gained) !== '') return t('You are sure of {{notes}} now.', { notes: notes(run.gained) });
        return run.gained.length === 1
            ? t('You are sure of one more card now.')
            : t('You are sure of {{count}} more cards now.', { count: run.gained.length });
    }
    if (run.met.length === 0) return t('That was good practice.');
    return notes(run.met) === ''
        ? t('You met something new today.')
        : t('You met {{notes}} today.', { notes: notes(run.met) });
}

import { useEffect, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { LENSES, type Lens } from './findings/findings';
import { SAYINGS, type Saying } from './marks';

/** The lenses that an address names, the upper one first; without one, looking over. */
export function lensesIn(given: string | null): Lens[] {
    const named = (given ?? '').split(',');
    const found = LENSES.map((one) => one.name).filter((name) => named.includes(name));
    // In the order they were laid on the desk.
    return found.length === 0 ? ['look over'] : found.sort((a, b) => named.indexOf(a) - named.indexOf(b));
}

/** What the notes are called in an address; without it, letters. */
export const sayingIn = (given: string | null): Saying =>
    SAYINGS.find((one) => one.value === given)?.value ?? 'letters';

/** The lens that the music is looked at through, and a second one beside it; both stand in the address. */
export function useLenses() {
    const [search, setSearch] = useSearchParams();
    const [[lens = 'look over', also = null], setLenses] = useState<readonly Lens[]>(() =>
        lensesIn(search.get('lens')).slice(0, 2),
    );
    const [saying, setSaying] = useState(() => sayingIn(search.get('say')));
    const lenses = useMemo(() => (also === null ? [lens] : [lens, also]), [lens, also]);
    const named = lenses.join(',');
    useEffect(() => {
        if (named === lensesIn(search.get('lens')).join(',') && saying === sayingIn(search.get('say'))) return;
        const next = new URLSearchParams(search);
        next.set('lens', named);
        next.set('say', saying);
        setSearch(next, { replace: true });
    }, [named, saying, search, setSearch]);
    return {
        lens,
        also,
        lenses,
        saying,
        setSaying,
        /** The second lens stays beside the new one, unless it is the same. */
        look: (next: Lens) => setLenses(also === null || also === next ? [next] : [next, also]),
        /** Two lenses together; the same one again puts the second away. */
        lookWith: (next: Lens) => setLenses(next === lens || next === also ? [lens] : [lens, next]),
    };
}

import type { Key } from '../shared/keys';
import { lengthNames } from '../shared/words';
import { t } from '../text';
import { type Correction, type Cursor, type ReadPage, staffAt } from './doubts';
import type { Looking } from './useLook';

export interface Change extends Key {
    /** What stands on its button. */
    label: string;
    /** Buttons of one kind stand together. */
    group: 'length' | 'pitch' | 'finger' | 'sign';
}

/** Lengths by the letters that they are typed with. */
const LENGTHS = ['w', 'h', 'q', 'v', 'x'] as const;

/** What can be changed at a sign, one key each: the letters are those that a page is typed with. */
export function useChanges(look: Looking, page: ReadPage, at: Cursor, setAt: (at: Cursor) => void): Change[] {
    const here = staffAt(page, at);
    const signs = here?.signs.length ?? 0;
    const change = (what: Correction['change'], value: number | null = null) => {
        const { piece, bar, staff, sign, head } = at;
        look.correct({ change: what, piece, bar, staff, sign, head, value });
    };
    return [
        ...LENGTHS.map((key, i) => ({
            key,
            label: lengthNames[i] ?? key,
            does: lengthNames[i] ?? key,
            group: 'length' as const,
            run: () => change('length', 2 ** i),
        })),
        { key: '.', label: t('dot'), does: t('dot'), group: 'length', run: () => change('dot') },
        { key: '~', label: t('tie'), does: t('tied to the next note'), group: 'pitch', run: () => change('tie') },
        { key: 'r', label: t('rest'), does: t('rest or note'), group: 'length', run: () => change('rest') },
        { key: 'ArrowUp', label: t('higher'), does: t('a step higher'), group: 'pitch', run: () => change('step', 1) },
        { key: 'ArrowDown', label: t('lower'), does: t('a step lower'), group: 'pitch', run: () => change('step', -1) },
        { key: '+', label: t('sharp'), does: t('sharp'), group: 'pitch', run: () => change('accidental', 1) },
        { key: '-', label: t('flat'), does: t('flat'), group: 'pitch', run: () => change('accidental', -1) },
        { key: '=', label: t('natural'), does: t('natural'), group: 'pitch', run: () => change('accidental', 0) },
        ...[1, 2, 3, 4, 5].map((finger) => ({
            key: String(finger),
            label: String(finger),
            does: t('finger {{finger}}', { finger }),
            group: 'finger' as const,
            run: () => change('finger', finger),
        })),
        { key: '0', label: t('none'), does: t('no finger'), group: 'finger', run: () => change('finger') },
        {
            key: 'a',
            label: t('add a note'),
            does: t('add a note after this one'),
            group: 'sign',
            run: () => {
                change('add');
                setAt({ ...at, sign: at.sign + 1, head: 0 });
            },
        },
        {
            key: 'Delete',
            label: t('remove'),
            does: t('remove this note'),
            group: 'sign',
            run: () => {
                change('remove');
                setAt({ ...at, sign: Math.max(0, Math.min(at.sign, signs - 2)), head: 0 });
            },
        },
        ...ofBar(change, here?.other === true),
        { key: 'u', label: t('undo'), does: t('undo'), group: 'sign', run: look.undo },
    ];
}

/** What is changed of the bar: its lines, and which of two readings it is. */
function ofBar(change: (what: Correction['change']) => void, hasOther: boolean): Change[] {
    const one = (key: string, label: string, does: string, what: Correction['change']): Change => ({
        key,
        label,
        does,
        group: 'sign',
        run: () => change(what),
    });
    return [
        one('|', t('bar line'), t('a bar line before this note'), 'split'),
        one('j', t('no bar line'), t('no bar line at the end of this bar'), 'join'),
        ...(hasOther ? [one('i', t('other reading'), t('as it was read the other time'), 'other')] : []),
    ];
}

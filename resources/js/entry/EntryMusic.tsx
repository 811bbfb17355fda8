import { Text } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { type Ref, useMemo, useState } from 'react';
import { ask } from '../api';
import { Score } from '../shared/score/Score';
import { Player } from '../shared/sound/Player';
import { useStable } from '../shared/useStable';
import { t } from '../text';
import styles from './EntryMusic.module.css';
import { spansAt } from './lines';
import type { Preview } from './usePreview';

interface Props {
    text: string;
    preview: Preview | null;
    /** The text that the preview belongs to. */
    of: string;
    cursor: readonly [number, number];
    /** Notes that a finding speaks of, by id. */
    checked: string[];
    player: Ref<HTMLDivElement>;
    onNote: (id: string) => void;
}

/** The engraving of what is typed: the note at the cursor is lit, a selection can be heard alone. */
export function EntryMusic({ text, preview, of, cursor, checked, player, onNote }: Props) {
    const [sounding, setSounding] = useState<ReadonlyMap<string, 'yes' | 'left'>>(new Map());
    // Typing goes line by line; once the hand rests, curves that cross from line to line are drawn too.
    const [still] = useDebouncedValue(preview, 350);
    const here = useMemo(
        () => (of === text ? spansAt(text, preview?.spans ?? [], cursor[0], cursor[1]) : []),
        [of, text, preview, cursor],
    );
    const bars = useMemo((): [number, number] | null => {
        if (cursor[0] === cursor[1] || here.length === 0) return null;
        const all = here.map((span) => span.bar);
        return [Math.min(...all), Math.max(...all)];
    }, [here, cursor]);
    const lit = useMemo(() => {
        if (sounding.size > 0) return sounding;
        const ids = checked.length > 0 ? checked : here.map((span) => span.id);
        return new Map(ids.map((id) => [id, id.startsWith('L') ? ('left' as const) : ('yes' as const)]));
    }, [sounding, checked, here]);
    const listen = useStable(() =>
        ask('post', '/shorthand/playback', {
            body: { shorthand: text, ...(bars === null ? {} : { first: bars[0], last: bars[1] }) },
        }),
    );
    if (preview?.music == null) return <Text className="faint">{t('The music grows here as you type.')}</Text>;
    return (
        <>
            <Score
                music={preview.crossing && still === preview ? preview.music : preview.lines}
                title={t('The engraving, {{measures}} bars', { measures: preview.measures })}
                scale={38}
                lit={lit}
                onNote={onNote}
                stamp={of}
            />
            <div ref={player} className={styles.player}>
                <Player
                    playback={listen}
                    tempo={80}
                    hand={null}
                    onLit={setSounding}
                    what={bars === null ? undefined : t('the selection')}
                />
            </div>
        </>
    );
}

import { SegmentedControl } from '@mantine/core';
import { useMemo, useState } from 'react';
import type { Api } from '../api';
import { Marks, type NoteMark } from '../shared/score/Marks';
import { Score } from '../shared/score/Score';
import { Player } from '../shared/sound/Player';
import { t } from '../text';
import styles from './HomeMusic.module.css';

type Lens = 'bare' | 'fingers' | 'counts' | 'name';

const LENSES = [
    { value: 'bare', label: t('Bare') },
    { value: 'fingers', label: t('Fingers') },
    { value: 'counts', label: t('Counts') },
    { value: 'name', label: t('Names') },
];

interface Props {
    task: Api['HomeTaskResource'];
    music: Api['HomeMusicResource'];
    tempo: number;
    setTempo: (tempo: number) => void;
}

/** The bars of a task, with what is to be seen at the notes, and how they sound: first the beat alone, then to compare. */
export function HomeMusic({ task, music, tempo, setTempo }: Props) {
    const [part, setPart] = useState(0);
    const [lens, setLens] = useState<Lens>('bare');
    const [lit, setLit] = useState<ReadonlyMap<string, 'yes' | 'left'>>(new Map());
    const marks = useMemo(() => marksFor(music.notes, lens), [music.notes, lens]);
    const shown = music.parts[part];
    if (shown === undefined || music.music === null) return null;
    const rows = { above: lens === 'fingers' ? 1 : 0, below: lens === 'counts' || lens === 'name' ? 1 : 0 };
    return (
        <>
            {music.parts.length > 1 && (
                <SegmentedControl
                    fullWidth
                    aria-label={t('Which bars')}
                    value={String(part)}
                    onChange={(value) => setPart(Number(value))}
                    data={music.parts.map((one, i) => ({ value: String(i), label: one.bars.label }))}
                />
            )}
            <SegmentedControl
                fullWidth
                aria-label={t('At the notes')}
                value={lens}
                onChange={(value) => setLens(value as Lens)}
                data={LENSES}
            />
            <div className={`sheet ${styles.music}`}>
                <Score
                    music={music.music}
                    title={`${task.piece}, ${shown.bars.label}`}
                    scale={46}
                    lines="free"
                    rows={rows}
                    hideFingers={lens === 'fingers'}
                    range={[shown.bars.first, shown.bars.last]}
                    lit={lit}
                    overlay={(places) => <Marks places={places} marks={marks} />}
                    words={music.words}
                />
            </div>
            <Player
                key={part}
                playback={shown.playback}
                tempo={tempo}
                hand={task.hand}
                rungs={music.rungs}
                tryFirst
                onTempo={setTempo}
                onLit={setLit}
                large
            />
        </>
    );
}

/** What a lens writes at each note; the counts are below, as they are said. */
export function marksFor(notes: Api['HomeNoteResource'][], lens: Lens): NoteMark[] {
    if (lens === 'bare') return [];
    return notes.flatMap((note) =>
        note[lens] === ''
            ? []
            : [
                  {
                      id: note.id,
                      hand: note.hand as NoteMark['hand'],
                      from: undefined,
                      row: lens === 'fingers' ? ('above' as const) : ('below' as const),
                      texts: [note[lens]],
                  },
              ],
    );
}

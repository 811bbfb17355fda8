import { SegmentedControl } from '@mantine/core';
import { useMemo, useState } from 'react';
import type { Api } from '../api';
import { Listen } from '../listening/Listen';
import type { Hear, TakeHeard } from '../listening/take';
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
    /** Judges what is played; null where nothing is listened to. */
    hear: Hear | null;
    /** Told of what was heard: whether it was as it is written, once through. */
    onHeard: (clean: boolean) => void;
}

/** The bars of a task, with what is to be seen at the notes, and how they sound: first the beat alone, then to compare. */
export function HomeMusic({ task, music, tempo, setTempo, hear, onHeard }: Props) {
    const [part, setPart] = useState(0);
    const [lens, setLens] = useState<Lens>('bare');
    const [lit, setLit] = useState<ReadonlyMap<string, 'yes' | 'left'>>(new Map());
    const [heard, setHeard] = useState<TakeHeard | null>(null);
    const tell = (one: TakeHeard | null) => {
        setHeard(one);
        if (one !== null) onHeard(one.clean);
    };
    const marks = useMemo(() => [...marksFor(music.notes, lens), ...marksOf(heard)], [music.notes, lens, heard]);
    const shown = music.parts[part];
    if (shown === undefined || music.music === null) return null;
    const rows = {
        above: lens === 'fingers' || heard !== null ? 1 : 0,
        below: lens === 'counts' || lens === 'name' ? 1 : 0,
    };
    return (
        <>
            <WhatIsShown
                {...{ music, part, lens, setLens }}
                setPart={(next) => {
                    setPart(next);
                    setHeard(null);
                }}
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
            {hear !== null && (
                <Listen
                    key={`listen ${part}`}
                    {...{ part, hear, heard, tempo }}
                    playback={shown.playback}
                    hand={task.hand}
                    told={tell}
                    keeps={task.id}
                    onLit={setLit}
                />
            )}
        </>
    );
}

interface ShownProps {
    music: Props['music'];
    part: number;
    setPart: (part: number) => void;
    lens: Lens;
    setLens: (lens: Lens) => void;
}

/** Which bars, and what stands at their notes. */
function WhatIsShown({ music, part, setPart, lens, setLens }: ShownProps) {
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
        </>
    );
}

/** Keys that were another one, and keys that were missed, as two shapes over their notes. */
function marksOf(heard: TakeHeard | null): NoteMark[] {
    return (heard?.notes ?? []).map((note) => ({
        id: note.id,
        hand: note.hand,
        from: undefined,
        row: 'above',
        texts: [note.status === 'missed' ? '○' : '×'],
    }));
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

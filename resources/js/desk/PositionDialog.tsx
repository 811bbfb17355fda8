import { Button, Group, SegmentedControl, Select, Text } from '@mantine/core';
import { useState } from 'react';
import { type Api, api } from '../api';
import { forStudent } from '../shared/breakdown';
import { Dialog } from '../shared/Dialog';
import { Trouble, Waiting } from '../shared/Notes';
import { Score } from '../shared/score/Score';
import { handWords, keyWords, listed } from '../shared/words';
import { capital } from './findings/finding';

const MAJOR = ['C', 'Db', 'D', 'Eb', 'E', 'F', 'F#', 'G', 'Ab', 'A', 'Bb', 'B'];
const MINOR = ['C', 'C#', 'D', 'Eb', 'E', 'F', 'F#', 'G', 'G#', 'A', 'Bb', 'B'];

interface Props {
    piece: Api['PieceResource'];
    student: string | null;
    /** The key it is in: `C major`. */
    keyName: string;
}

/** Opens the piece in another five-finger position. */
export function PositionButton(props: Props) {
    const [open, setOpen] = useState(false);
    return (
        <>
            <Button size="compact-sm" variant="default" m={6} onClick={() => setOpen(true)}>
                In another position…
            </Button>
            <Dialog
                opened={open}
                onClose={() => setOpen(false)}
                title={`${props.piece.title} in another position`}
                size="xl"
            >
                {open && <OtherPosition {...props} />}
            </Dialog>
        </>
    );
}

const WAYS = [
    { value: '-1', label: 'Down', direction: -1 },
    { value: '0', label: 'Nearest', direction: 0 },
    { value: '1', label: 'Up', direction: 1 },
] as const;

/** The moved piece as a file. */
function keep(title: string, moved: Api['PositionResource']): void {
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([moved.music], { type: 'application/vnd.recordare.musicxml+xml' }));
    link.download = `${title} in ${moved.key}.musicxml`;
    link.click();
    URL.revokeObjectURL(link.href);
}

function OtherPosition({ piece, student, keyName }: Props) {
    const minor = keyName.endsWith('minor');
    const [key, setKey] = useState(minor ? 'D' : 'G');
    const [direction, setDirection] = useState<-1 | 0 | 1>(0);
    const moved = api.useQuery(
        'get',
        '/pieces/{piece}/position',
        {
            params: {
                path: { piece: piece.id },
                query: { key: minor ? `${key} minor` : key, direction, ...forStudent(student) },
            },
        },
        { placeholderData: (before) => before },
    );
    return (
        <>
            <Group align="flex-end" mb="sm">
                <Select
                    label="To"
                    w={110}
                    allowDeselect={false}
                    value={key}
                    onChange={(to) => setKey(to ?? key)}
                    data={(minor ? MINOR : MAJOR).map((name) => ({
                        value: name,
                        label: `${keyWords(name)} ${minor ? 'minor' : 'major'}`,
                    }))}
                />
                <SegmentedControl
                    aria-label="Which way"
                    value={String(direction)}
                    onChange={(way) => setDirection(WAYS.find((one) => one.value === way)?.direction ?? 0)}
                    data={[...WAYS]}
                />
            </Group>
            <Trouble error={moved.error} />
            {moved.isPending && <Waiting what="Moving the hands…" />}
            {moved.data !== undefined && <Moved piece={piece} moved={moved.data} />}
        </>
    );
}

/** Where the hands lie then, and the music as it is written there. */
function Moved({ piece, moved }: { piece: Props['piece']; moved: Api['PositionResource'] }) {
    return (
        <>
            {moved.starts.map((start) => (
                <Text key={start.hand} size="sm" className={start.hand === 'R' ? 'right-hand' : 'left-hand'}>
                    <b>{capital(handWords(start.hand))}</b> begins on {start.pitches.join(' and ')} ({start.keys[0]})
                    with finger {start.fingers.join(' and ')}; the thumb lies on {start.thumb}.
                </Text>
            ))}
            <Text size="sm" mb="xs">
                {moved.accidentals.length === 0
                    ? 'White keys only.'
                    : `Played sharp or flat: ${listed(moved.accidentals)}.`}{' '}
                Everything else by the same moves.
            </Text>
            <Button size="compact-sm" variant="default" mb="xs" onClick={() => keep(piece.title, moved)}>
                Keep it as MusicXML
            </Button>
            <Score music={moved.music} title={`${piece.title} in ${moved.key}`} scale={38} />
        </>
    );
}

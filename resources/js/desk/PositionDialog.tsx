import { Button, Group, SegmentedControl, Select, Text } from '@mantine/core';
import { useState } from 'react';
import { type Api, api } from '../api';
import { forStudent } from '../shared/breakdown';
import { Dialog } from '../shared/Dialog';
import { Trouble, Waiting } from '../shared/Notes';
import { Score } from '../shared/score/Score';
import { handWords, keyWords, listed } from '../shared/words';
import { t } from '../text';
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
                {t('In another position…')}
            </Button>
            <Dialog
                opened={open}
                onClose={() => setOpen(false)}
                title={t('{{title}} in another position', { title: props.piece.title })}
                size="xl"
            >
                {open && <OtherPosition {...props} />}
            </Dialog>
        </>
    );
}

const WAYS = [
    { value: '-1', label: t('Down'), direction: -1 },
    { value: '0', label: t('Nearest'), direction: 0 },
    { value: '1', label: t('Up'), direction: 1 },
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
                    label={t('To')}
                    w={110}
                    allowDeselect={false}
                    value={key}
                    onChange={(to) => setKey(to ?? key)}
                    data={(minor ? MINOR : MAJOR).map((name) => ({
                        value: name,
                        label: `${keyWords(name)} ${minor ? t('minor') : t('major')}`,
                    }))}
                />
                <SegmentedControl
                    aria-label={t('Which way')}
                    value={String(direction)}
                    onChange={(way) => setDirection(WAYS.find((one) => one.value === way)?.direction ?? 0)}
                    data={[...WAYS]}
                />
            </Group>
            <Trouble error={moved.error} />
            {moved.isPending && <Waiting what={t('Moving the hands…')} />}
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
                    <b>{capital(handWords(start.hand))}</b>{' '}
                    {t('begins on {{pitches}} ({{keys}}) with finger {{fingers}}; the thumb lies on {{thumb}}.', {
                        pitches: start.pitches.join(t(' and ')),
                        keys: start.keys[0],
                        fingers: start.fingers.join(t(' and ')),
                        thumb: start.thumb,
                    })}
                </Text>
            ))}
            <Text size="sm" mb="xs">
                {moved.accidentals.length === 0
                    ? t('White keys only. Everything else by the same moves.')
                    : t('Played sharp or flat: {{listed}}. Everything else by the same moves.', {
                          listed: listed(moved.accidentals),
                      })}
            </Text>
            <Button size="compact-sm" variant="default" mb="xs" onClick={() => keep(piece.title, moved)}>
                {t('Keep it as MusicXML')}
            </Button>
            <Score
                music={moved.music}
                title={t('{{title}} in {{key}}', { title: piece.title, key: moved.key })}
                scale={38}
            />
        </>
    );
}

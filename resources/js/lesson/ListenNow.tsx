import { Button, SegmentedControl } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ApiError, ask, at, keyOf, type LessonTask } from '../api';
import { Listen } from '../listening/Listen';
import type { TakeHeard, TakeRequest } from '../listening/take';
import { useKeys } from '../shared/keys';
import { Trouble } from '../shared/Notes';
import { t } from '../text';

interface Props {
    lesson: number;
    student: number;
    pieceId: number;
    task: LessonTask;
}

/** At the lesson itself the task on the board is played, and heard by keyboard or microphone. */
export function ListenNow({ lesson, student, pieceId, task }: Props) {
    const [isOpen, setOpen] = useState(false);
    useKeys([{ key: 'i', does: t('hear the student play'), run: () => setOpen(!isOpen) }]);
    return (
        <div>
            <Button variant="default" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
                {isOpen ? t('Close (i)') : t('Listen now (i)')}
            </Button>
            {isOpen && <Bars {...{ lesson, student, pieceId, task }} />}
        </div>
    );
}

function Bars({ lesson, student, pieceId, task }: Props) {
    const client = useQueryClient();
    const [part, setPart] = useState(0);
    const [heard, setHeard] = useState<TakeHeard | null>(null);
    const bars = task.bars[part];
    const playback = useQuery({
        queryKey: ['lesson-playback', pieceId, student, bars?.first, bars?.last],
        queryFn: () =>
            ask('get', '/pieces/{piece}/playback', {
                params: {
                    path: { piece: pieceId },
                    query: { first: bars?.first ?? 0, last: bars?.last ?? 0, student },
                },
            }),
        enabled: bars !== undefined,
    });
    const hear = async (body: TakeRequest): Promise<TakeHeard | null> => {
        try {
            const told = await ask('put', '/tasks/{task}/takes', { ...at({ task: task.id }), body });
            client.invalidateQueries({ queryKey: keyOf('/lessons/{lesson}/takes', at({ lesson })) });
            return told;
        } catch (error) {
            if (error instanceof ApiError) throw error;
            return null;
        }
    };
    return (
        <>
            {task.bars.length > 1 && (
                <SegmentedControl
                    aria-label={t('Which bars')}
                    value={String(part)}
                    onChange={(value) => {
                        setPart(Number(value));
                        setHeard(null);
                    }}
                    data={task.bars.map((one, i) => ({ value: String(i), label: one.label }))}
                />
            )}
            <Trouble error={playback.error} again={() => playback.refetch()} />
            {playback.data !== undefined && (
                <Listen
                    key={part}
                    {...{ part, hear, heard }}
                    playback={playback.data}
                    hand={task.hand}
                    tempo={task.tempo ?? 60}
                    told={setHeard}
                    verb={t('Listen')}
                />
            )}
        </>
    );
}

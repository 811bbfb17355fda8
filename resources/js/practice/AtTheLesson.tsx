import { Button, Text } from '@mantine/core';
import { useCallback, useState } from 'react';
import { api, ask, at, deferred } from '../api';
import type { TakeRequest } from '../listening/take';
import { Trouble, Waiting } from '../shared/Notes';
import { enqueue, sendSteps, waitingSteps } from '../shared/queue';
import { sent, useResend } from '../shared/resend';
import { t } from '../text';
import styles from './Practice.module.css';
import { PracticeRoom } from './PracticeRoom';
import type { Went } from './SightLine';
import type { Answers } from './useSession';

interface Props {
    student: number;
    leave: () => void;
}

/** The practice room of a student on the teacher’s screen. */
export function AtTheLesson({ student, leave }: Props) {
    const room = api.useQuery('get', '/students/{student}/room', at({ student }));
    const { put, waiting } = useQueue(student, room.refetch);
    const save = useCallback(
        (body: Answers) => put(deferred('post', '/students/{student}/answers', { ...at({ student }), body })),
        [put, student],
    );
    const back = (
        <Button variant="default" onClick={leave}>
            ← {t('What was trained')}
        </Button>
    );
    if (room.data === undefined) {
        return (
            <>
                {back}
                {room.error ? (
                    <Trouble error={room.error} again={() => room.refetch()} />
                ) : (
                    <Waiting what={t('One moment…')} />
                )}
            </>
        );
    }
    const { date } = room.data;
    const tell = (went: Went) =>
        put(
            deferred('put', '/students/{student}/sight', {
                ...at({ student }),
                body: { studentId: student, date, went },
            }),
        );
    const hear = (take: TakeRequest) =>
        ask('put', '/students/{student}/sight/take', {
            ...at({ student }),
            body: { ...take, studentId: student, date },
        });
    return (
        <div className={styles.room}>
            {waiting > 0 && (
                <Text size="sm" className="faint" role="status">
                    {t('Not saved yet; kept until there is a connection.')}
                </Text>
            )}
            <PracticeRoom room={room.data} date={date} save={save} tell={tell} hear={hear} back={back} />
        </div>
    );
}

/** What was done is kept in the browser and sent in its order; it goes on also when this screen is left. */
function useQueue(student: number, done: () => void) {
    const place = `room.${student}`;
    const [waiting, setWaiting] = useState(() => waitingSteps(place).length);
    const send = useCallback(async () => {
        await sendSteps(place, (step) => sent(step));
        setWaiting(waitingSteps(place).length);
        done();
    }, [place, done]);
    const isWaiting = useCallback(() => waitingSteps(place).length > 0, [place]);
    useResend(isWaiting, send);
    const put = useCallback(
        (step: Parameters<typeof enqueue>[1]) => {
            enqueue(place, step);
            send();
        },
        [place, send],
    );
    return { put, waiting };
}

import { Button } from '@mantine/core';
import { useCallback, useState } from 'react';
import { api, ask, at } from '../api';
import { Trouble, Waiting } from '../shared/Notes';
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
    const { save, error, again } = useSave(student);
    const sight = api.useMutation('put', '/students/{student}/sight');
    const date = room.data?.date ?? '';
    const tell = (went: Went) => sight.mutate({ ...at({ student }), body: { studentId: student, date, went } });
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
    return (
        <div className={styles.room}>
            <Trouble error={error} again={again} />
            <Trouble error={sight.error} />
            <PracticeRoom room={room.data} date={room.data.date} save={save} tell={tell} back={back} />
        </div>
    );
}

/** Sends what was answered; what could not be sent is sent again when she says so. */
function useSave(student: number) {
    const [unsent, setUnsent] = useState<Answers[]>([]);
    const [error, setError] = useState<unknown>(null);
    const save = useCallback(
        async (answers: Answers) => {
            try {
                await ask('post', '/students/{student}/answers', { ...at({ student }), body: answers });
            } catch (reason) {
                setUnsent((before) => [...before, answers]);
                setError(reason);
            }
        },
        [student],
    );
    const again = () => {
        const all = unsent;
        setUnsent([]);
        setError(null);
        for (const one of all) save(one);
    };
    return { save, error, again };
}

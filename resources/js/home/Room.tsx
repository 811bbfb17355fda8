import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { ask, authorized } from '../api';
import { PracticeRoom } from '../practice/PracticeRoom';
import type { Went } from '../practice/SightLine';
import type { Answers } from '../practice/useSession';
import { Trouble, Waiting } from '../shared/Notes';
import { t } from '../text';
import styles from './Home.module.css';
import { useAwake } from './useAwake';
import { type HomeTaskData, roomOf } from './useHome';

interface Props {
    token: string;
    child: number | null;
    today: string;
    save: (answers: Answers) => void;
    tell: (student: number, date: string, went: Went) => void;
    /** A task of the week that is done here. */
    task: HomeTaskData | undefined;
    /** Ticks a task of the week. */
    done: (which: (task: HomeTaskData) => boolean) => void;
    leave: () => void;
}

/** The practice room at home; what is answered without a connection is sent later. */
export function Room({ token, child, today, save, tell, task, done, leave }: Props) {
    const room = useQuery(roomOf(token, child));
    useAwake();
    const back = (
        <Button variant="default" size="md" onClick={leave}>
            ← {t('Today')}
        </Button>
    );
    return (
        <main className={styles.home}>
            {room.data === undefined && back}
            <Trouble error={room.error} again={() => room.refetch()} />
            {room.data === undefined && room.error === null && <Waiting what={t('One moment…')} />}
            {room.data !== undefined && (
                <PracticeRoom
                    room={room.data}
                    date={today}
                    hear={(take) =>
                        ask('put', '/home/sight/take', {
                            body: { ...take, studentId: room.data.studentId, date: today },
                            ...authorized(token),
                        })
                    }
                    tell={(went) => {
                        tell(room.data.studentId, today, went);
                        done((one) => one.kind === 'sight');
                    }}
                    // After the notes of a remedy its bars are still to be played.
                    onEnd={(id) => done((one) => one.id === id && one.kind === 'drill')}
                    task={task?.kind === 'sight' ? undefined : task?.id}
                    sight={task?.kind === 'sight'}
                    {...{ save, back }}
                />
            )}
        </main>
    );
}

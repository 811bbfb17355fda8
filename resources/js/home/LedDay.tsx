import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { Api } from '../api';
import { Lead } from '../lead/Lead';
import type { Run } from '../lead/steps';
import type { TakeHeard } from '../listening/take';
import { Trouble, Waiting } from '../shared/Notes';
import { t } from '../text';
import styles from './Home.module.css';
import { useAwake } from './useAwake';
import { leadOf } from './useHome';

interface Props {
    token: string;
    child: number | null;
    hear: (taskId: number, take: Api['TakeRequest']) => Promise<TakeHeard | null>;
    /** Opens the practice room for a task that is done there; null for others. */
    opens: (taskId: number) => (() => void) | null;
    /** Ticks a task of today, with how often it was played. */
    tick: (taskId: number, plays: number) => void;
    leave: () => void;
}

/** The tasks of today, led one after the other. */
export function LedDay({ token, child, hear, opens, tick, leave }: Props) {
    const lead = useQuery({ ...leadOf(token, child), refetchOnWindowFocus: false });
    // What is ticked on the way does not change the run under the child’s hands.
    const [run, setRun] = useState<Run | null>(null);
    useEffect(() => {
        if (lead.data !== undefined && !lead.isFetching) setRun((before) => before ?? lead.data);
    }, [lead.data, lead.isFetching]);
    useAwake();
    return (
        <main className={styles.home}>
            <Trouble error={run === null ? lead.error : null} again={() => lead.refetch()} />
            {run === null && lead.error === null && <Waiting what={t('One moment…')} />}
            {run !== null && (
                <Lead
                    run={run}
                    hear={(step) => (take) =>
                        hear(step.taskId ?? 0, { ...take, first: step.first ?? 0, last: step.last ?? 0 })
                    }
                    opens={(step) => (step.taskId === null ? null : opens(step.taskId))}
                    done={(step, plays) => step.taskId !== null && tick(step.taskId, plays)}
                    leave={leave}
                />
            )}
        </main>
    );
}

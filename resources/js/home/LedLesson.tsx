import { useQuery } from '@tanstack/react-query';
import { type Api, ask, at, authorized } from '../api';
import { Lead } from '../lead/Lead';
import type { Step } from '../lead/steps';
import type { TakeHeard } from '../listening/take';
import { Trouble, Waiting } from '../shared/Notes';
import { t } from '../text';
import styles from './Home.module.css';
import { useAwake } from './useAwake';

interface Props {
    token: string;
    lesson: number;
    hear: (stepId: number, take: Api['TakeRequest']) => Promise<TakeHeard | null>;
    /** It was done to its end. */
    done: () => void;
    leave: () => void;
}

/** A lesson that the teacher put together in the place of one that was missed. */
export function LedLesson({ token, lesson, hear, done, leave }: Props) {
    const run = useQuery({
        queryKey: ['home-led', token, lesson],
        queryFn: () =>
            ask('get', '/home/led-lessons/{ledLesson}', { ...at({ ledLesson: lesson }), ...authorized(token) }),
        networkMode: 'always',
        staleTime: Number.POSITIVE_INFINITY,
    });
    useAwake();
    const voiceOf = async (step: Step) => {
        if (step.stepId === null) return null;
        const told = await ask('get', '/home/led-steps/{ledStep}/voice', {
            ...at({ ledStep: step.stepId }),
            ...authorized(token),
        });
        return told.voice === null ? null : new Audio(told.voice);
    };
    return (
        <main className={styles.home}>
            <Trouble error={run.error} again={() => run.refetch()} />
            {run.isPending && run.error === null && <Waiting what={t('One moment…')} />}
            {run.data !== undefined && (
                <Lead
                    run={run.data}
                    hear={(step) => (take) =>
                        hear(step.stepId ?? 0, { ...take, first: step.first ?? 0, last: step.last ?? 0 })
                    }
                    done={() => undefined}
                    voiceOf={voiceOf}
                    over={() => {
                        done();
                        leave();
                    }}
                    leave={leave}
                />
            )}
        </main>
    );
}

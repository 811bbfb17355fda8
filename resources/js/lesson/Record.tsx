import { Group, NumberInput, Textarea } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { t } from '../text';
import styles from './Record.module.css';
import type { LessonData, LessonInHand } from './useLesson';

/** How long nothing is typed before a note is kept, in milliseconds. */
const PAUSE = 600;

type Notes = Pick<LessonData, 'privateNote' | 'sharedNote'>;

/** The lesson's record: how long it was, a note for the teacher, one for the family. Kept as it is typed. */
export function Record({ data, record }: { data: LessonData; record: LessonInHand['record'] }) {
    const [notes, set] = useNotes(data, record);
    return (
        <section className="sheet" aria-label={t('Record')}>
            <Group align="flex-start" grow preventGrowOverflow={false}>
                <Textarea
                    label={t('For the family')}
                    autosize
                    minRows={2}
                    maxLength={4000}
                    value={notes.sharedNote}
                    onChange={(event) => set({ ...notes, sharedNote: event.currentTarget.value })}
                />
                <Textarea
                    label={t('For you alone')}
                    autosize
                    minRows={2}
                    maxLength={4000}
                    value={notes.privateNote}
                    onChange={(event) => set({ ...notes, privateNote: event.currentTarget.value })}
                />
                <NumberInput
                    label={t('Minutes')}
                    min={5}
                    max={240}
                    step={5}
                    w={110}
                    className={styles.short}
                    value={data.minutes}
                    onChange={(minutes) => typeof minutes === 'number' && minutes >= 5 && record({ minutes })}
                />
            </Group>
        </section>
    );
}

/** What is typed goes into the queue of the lesson after a pause, and at once when the screen is left. */
function useNotes(data: LessonData, record: LessonInHand['record']) {
    const [notes, setNotes] = useState<Notes>({ privateNote: data.privateNote, sharedNote: data.sharedNote });
    const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
    const keep = useRef(() => {});
    keep.current = () => {
        timer.current = null;
        record(notes);
    };
    useEffect(() => {
        const now = () => timer.current !== null && keep.current();
        window.addEventListener('pagehide', now);
        return () => {
            window.removeEventListener('pagehide', now);
            now();
        };
    }, []);
    const set = (next: Notes) => {
        setNotes(next);
        if (timer.current !== null) clearTimeout(timer.current);
        timer.current = setTimeout(() => keep.current(), PAUSE);
    };
    return [notes, set] as const;
}

import { Group, NumberInput, Textarea } from '@mantine/core';
import { useState } from 'react';
import styles from './Record.module.css';
import type { LessonData, LessonInHand } from './useLesson';

/** The lesson's record: how long it was, a note for the teacher, one for the family. Kept when the hand leaves the field. */
export function Record({ data, record }: { data: LessonData; record: LessonInHand['record'] }) {
    const [notes, setNotes] = useState({ privateNote: data.privateNote, sharedNote: data.sharedNote });
    return (
        <section className="sheet" aria-label="Record">
            <Group align="flex-start" grow preventGrowOverflow={false}>
                <Textarea
                    label="For the family"
                    autosize
                    minRows={2}
                    maxLength={4000}
                    value={notes.sharedNote}
                    onChange={(event) => setNotes({ ...notes, sharedNote: event.currentTarget.value })}
                    onBlur={() => notes.sharedNote !== data.sharedNote && record({ sharedNote: notes.sharedNote })}
                />
                <Textarea
                    label="For you alone"
                    autosize
                    minRows={2}
                    maxLength={4000}
                    value={notes.privateNote}
                    onChange={(event) => setNotes({ ...notes, privateNote: event.currentTarget.value })}
                    onBlur={() => notes.privateNote !== data.privateNote && record({ privateNote: notes.privateNote })}
                />
                <NumberInput
                    label="Minutes"
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

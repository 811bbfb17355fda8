import { Anchor, Button, Group, Text, Title } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { type Api, api } from '../api';
import styles from './FirstSteps.module.css';

const PUT_AWAY = 'nasturtium.first-steps';

/** Shows the first steps again, where they were put away. */
export const showFirstSteps = () => localStorage.removeItem(PUT_AWAY);

interface Step {
    title: string;
    words: string;
    to: string;
    verb: string;
    done: boolean;
}

/** From an empty studio to the first plan that is sent, in four steps; each can wait, and all of it can be put away. */
export function FirstSteps({ rows }: { rows: readonly Api['ThisWeekResource'][] }) {
    const books = api.useQuery('get', '/books');
    const [away, setAway] = useState(() => localStorage.getItem(PUT_AWAY) !== null);
    if (away || books.data === undefined) return null;
    const steps = stepsOf(books.data, rows);
    if (steps.every((step) => step.done)) return null;
    const next = steps.find((step) => !step.done);
    return (
        <section className="sheet" aria-label="First steps">
            <Group justify="space-between">
                <Title order={2} fz="lg">
                    First steps
                </Title>
                <Button
                    size="compact-sm"
                    variant="subtle"
                    c="var(--ink)"
                    onClick={() => {
                        localStorage.setItem(PUT_AWAY, 'yes');
                        setAway(true);
                    }}
                >
                    Not now
                </Button>
            </Group>
            <ol className={`plain-list ${styles.steps}`}>
                {steps.map((step) => (
                    <li key={step.title} className={styles.step} data-done={step.done ? 'yes' : undefined}>
                        <Text fw={700}>
                            {step.done ? '✓ ' : ''}
                            {step.title}
                        </Text>
                        <Text size="sm">{step.words}</Text>
                        {!step.done && (
                            <Anchor component={Link} to={step.to} fw={step === next ? 700 : 400} c="var(--ink)">
                                {step.verb}
                            </Anchor>
                        )}
                    </li>
                ))}
            </ol>
        </section>
    );
}

function stepsOf(books: readonly Api['BookResource'][], rows: readonly Api['ThisWeekResource'][]): Step[] {
    const first = rows[0];
    const student = first === undefined ? '/students' : `/students/${first.studentId}`;
    const planned = rows.find((row) => row.weekId !== null);
    return [
        {
            title: 'A page',
            words: 'Make a book, and type or read in the first page of it.',
            to: '/books',
            verb: 'To the books',
            done: books.some((book) => book.pages.some((page) => page.pieces.length > 0)),
        },
        {
            title: 'A student',
            words: 'Lesson day, and the minutes at home.',
            to: '/students',
            verb: 'Add a student',
            done: first !== undefined,
        },
        {
            title: 'A plan',
            words: 'Open the page for the student; the first plan is proposed from it.',
            to: student,
            verb: first === undefined ? 'To the students' : `To ${first.student}`,
            done: planned !== undefined,
        },
        {
            title: 'Sent',
            words: 'Look it over and send it. The family sees it by their link.',
            to: planned === undefined ? student : `/weeks/${planned.weekId}`,
            verb: planned === undefined ? 'After the plan' : 'To the plan',
            done: rows.some((row) => row.sent),
        },
    ];
}

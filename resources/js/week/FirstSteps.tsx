import { Anchor, Button, Group, Text, Title } from '@mantine/core';
import { useCallback, useEffect, useState } from 'react';
import { Link } from 'react-router';
import { type Api, api } from '../api';
import { t } from '../text';
import styles from './FirstSteps.module.css';

const KEPT = 'nasturtium.first-steps';

/** Whether they were put away, or are wanted though all of them are done; else they show until all are. */
const kept = () => localStorage.getItem(KEPT) as 'yes' | 'wanted' | null;

/** Shows the first steps again, where they were put away. */
export const showFirstSteps = () => localStorage.setItem(KEPT, 'wanted');

interface Step {
    title: string;
    words: string;
    to: string;
    verb: string;
    done: boolean;
}

/** From an empty studio to the first plan that is sent, in four steps; each can wait, and all of it can be put away. */
export function FirstSteps({ rows }: { rows: readonly Api['ThisWeekResource'][] }) {
    const [state, setState] = useState(kept);
    const had = api.useQuery('get', '/first-steps', undefined, { enabled: state !== 'yes' });
    const putAway = useCallback(() => {
        localStorage.setItem(KEPT, 'yes');
        setState('yes');
    }, []);
    const steps = had.data === undefined ? [] : stepsOf(had.data, rows);
    const isOver = had.data !== undefined && state !== 'wanted' && steps.every((step) => step.done);
    useEffect(() => {
        if (isOver) putAway();
    }, [isOver, putAway]);
    if (state === 'yes' || isOver || had.data === undefined) return null;
    const next = steps.find((step) => !step.done);
    return (
        <section className="sheet" aria-label={t('First steps')}>
            <Group justify="space-between">
                <Title order={2} fz="lg">
                    {t('First steps')}
                </Title>
                <Button size="compact-sm" variant="subtle" c="var(--ink)" onClick={putAway}>
                    {next === undefined ? t('Close') : t('Not now')}
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

function stepsOf(had: Api['FirstStepsResource'], rows: readonly Api['ThisWeekResource'][]): Step[] {
    const first = rows[0];
    const student = first === undefined ? '/students' : `/students/${first.studentId}`;
    const planned = rows.find((row) => row.weekId !== null);
    return [
        {
            title: t('A page'),
            words: t('Make a book, and type or read in the first page of it.'),
            to: '/books',
            verb: t('To the books'),
            done: had.page,
        },
        {
            title: t('A student'),
            words: t('Lesson day, and the minutes at home.'),
            to: '/students',
            verb: t('Add a student'),
            done: had.student,
        },
        {
            title: t('A plan'),
            words: t('Open the page for the student; the first plan is proposed from it.'),
            to: student,
            verb: first === undefined ? t('To the students') : t('To {{student}}', { student: first.student }),
            done: had.plan,
        },
        {
            title: t('Sent'),
            words: t('Look it over and send it. The family sees it by their link.'),
            to: planned === undefined ? student : `/weeks/${planned.weekId}`,
            verb: planned === undefined ? t('After the plan') : t('To the plan'),
            done: had.sent,
        },
    ];
}

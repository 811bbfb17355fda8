import { Anchor, Text, Title } from '@mantine/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { type Api, api } from '../api';
import { Leaf } from '../shared/Leaf';
import { Empty, Trouble, Waiting } from '../shared/Notes';
import { useSession, useTeaches } from '../shared/Shell';
import { t } from '../text';
import styles from './Overview.module.css';

type Row = Api['ThisWeekResource'];

/** The whole studio at a glance: who practised, who is stuck, whose plan does not fit, whose review is due. */
export function Overview() {
    const today = useSession().data?.studio.today;
    const isTeacher = useTeaches();
    const rows = api.useQuery('get', '/this-week');
    if (rows.isPending) return <Waiting what={t('Looking over the studio…')} />;
    if (rows.error) return <Trouble error={rows.error} again={() => rows.refetch()} />;
    const head = (
        <Title order={1} fz={28} mb="md">
            {t('Progress')}
        </Title>
    );
    if (rows.data.length === 0) {
        return (
            <>
                {head}
                <Empty part title={t('No students yet')}>
                    <Text>{t('Add the first one, and everybody’s progress stands here.')}</Text>
                </Empty>
            </>
        );
    }
    const practised = [...rows.data].sort((a, b) => share(b, today) - share(a, today));
    return (
        <>
            {head}
            <div className={styles.columns}>
                <Column title={t('Practised this week')} none={t('Nobody has a week under way.')}>
                    {practised
                        .filter((row) => row.leaf.length > 0)
                        .map((row) => (
                            <Line key={row.studentId} row={row}>
                                <span className={styles.row}>
                                    <Leaf days={row.leaf} today={today} size={40} />
                                    {daysWords(row, today)}
                                </span>
                            </Line>
                        ))}
                </Column>
                <WhatIsWrong rows={rows.data} />
            </div>
            {isTeacher && <Thorns />}
        </>
    );
}

function Column({ title, none, children }: { title: string; none: string; children: ReactNode[] }) {
    return (
        <section className="sheet" aria-label={title}>
            <Title order={2} fz="lg" mb={6}>
                {title}
            </Title>
            {children.length === 0 ? (
                <Text className="faint">{none}</Text>
            ) : (
                <ul className={`plain-list ${styles.list}`}>{children}</ul>
            )}
        </section>
    );
}

function Line({ row, children }: { row: Row; children: ReactNode }) {
    return (
        <li>
            <Anchor component={Link} to={`/students/${row.studentId}/progress`} fw={700} c="var(--ink)">
                {row.student}
            </Anchor>
            <Text size="sm" component="div">
                {children}
            </Text>
        </li>
    );
}

/** Whether the thorns of the desk stand where it goes wrong at lessons. */
function Thorns() {
    const thorns = api.useQuery('get', '/progress/thorns');
    if (thorns.error) return <Trouble error={thorns.error} again={() => thorns.refetch()} />;
    if (thorns.isPending) return null;
    return (
        <section className={`sheet ${styles.thorns}`} aria-label={t('Trouble spots')}>
            <Title order={2} fz="lg" mb={6}>
                {t('Trouble spots')}
            </Title>
            <Text>{thorns.data.words}</Text>
            <Text size="sm" className="faint">
                {t('Of the last twelve months, per bar that was heard.')}
            </Text>
        </section>
    );
}

/** Days that were practised, of those planned up to today. */
export function daysOf(row: Pick<Row, 'leaf'>, today = ''): { planned: number; practised: number } {
    const until = row.leaf.filter((day) => day.date <= today);
    return {
        planned: until.filter((day) => day.planned > 0).length,
        practised: until.filter((day) => day.practised > 0).length,
    };
}

function share(row: Row, today: string | undefined): number {
    const { planned, practised } = daysOf(row, today);
    return planned === 0 ? 0 : practised / planned;
}

function daysWords(row: Row, today: string | undefined): string {
    const { planned, practised } = daysOf(row, today);
    return planned === 0
        ? t('the week has just begun')
        : planned === 1
          ? t('{{practised}} of {{planned}} day so far', { practised, planned })
          : t('{{practised}} of {{planned}} days so far', { practised, planned });
}

/** Who is stuck, whose plan does not fit, whose review is due. */
function WhatIsWrong({ rows }: { rows: readonly Row[] }) {
    return (
        <>
            <Column title={t('Stuck')} none={t('Nobody.')}>
                {rows
                    .filter((row) => row.stuck.length > 0)
                    .map((row) => (
                        <Line key={row.studentId} row={row}>
                            {row.stuck.join('; ')}
                        </Line>
                    ))}
            </Column>
            <Column title={t('The plan does not fit')} none={t('Every plan fits.')}>
                {rows
                    .filter((row) => row.left.length > 0)
                    .map((row) => (
                        <Line key={row.studentId} row={row}>
                            {row.left.join('; ')}
                        </Line>
                    ))}
            </Column>
            <Column title={t('Review is due')} none={t('Nothing.')}>
                {rows
                    .filter((row) => row.reviewsDue.length > 0)
                    .map((row) => (
                        <Line key={row.studentId} row={row}>
                            {row.reviewsDue.join(', ')}
                        </Line>
                    ))}
            </Column>
        </>
    );
}

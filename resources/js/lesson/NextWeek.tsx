import { Button, Group, Kbd, Stack, Text, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type Api, ask, at, keyOf } from '../api';
import { HandMark } from '../shared/HandMark';
import { Trouble } from '../shared/Notes';
import { QUIET } from '../shared/quiet';
import { minutes, tempoWords } from '../shared/words';
import { t } from '../text';
import styles from './NextWeek.module.css';
import type { LessonData } from './useLesson';

export type NextPage = Api['NextPageResource'];

interface Relieved {
    stuck: Api['StuckResource'];
    relief: Api['ReliefResource'];
}

/** What next week will have from this lesson: remedies with their reasons, what is stuck, and the pages that come next. */
export function NextWeek({ data, openPage }: { data: LessonData; openPage: (next: NextPage) => void }) {
    return (
        <section className="sheet" aria-label={t('Next week')}>
            <Title order={2} fz="lg" mb={4}>
                {t('Next week')}
            </Title>
            {data.remedies.length === 0 && (
                <Text size="sm" className="faint">
                    {t('What did not pass comes again, what passed moves on. A slip brings its remedy.')}
                </Text>
            )}
            <ul className={`plain-list ${styles.remedies}`} aria-label={t('Remedies')}>
                {data.remedies.map((remedy) => (
                    <li key={`${remedy.piece} ${remedy.why}`}>
                        <Text size="sm">
                            <b>{remedy.title}</b>: {remedy.piece}, {remedy.place} <HandMark hand={remedy.hand} />{' '}
                            {remedy.instruction} {tempoWords(remedy.tempo)}, {minutes(remedy.minutes)}.
                        </Text>
                        <Text size="xs" className="faint">
                            {t('Because: {{why}}.', { why: remedy.why })}
                        </Text>
                    </li>
                ))}
            </ul>
            <Stuck data={data} />
            <NextPages data={data} openPage={openPage} />
        </section>
    );
}

const useFresh = (lesson: number) => {
    const client = useQueryClient();
    return () => client.invalidateQueries({ queryKey: keyOf('/lessons/{lesson}', at({ lesson })) });
};

/** Stages that are stuck, each with ways out; one that was chosen can be taken back, the last one first. */
function Stuck({ data }: { data: LessonData }) {
    const fresh = useFresh(data.id);
    const [relieved, setRelieved] = useState<Relieved[]>([]);
    const relieve = useMutation({
        mutationFn: ({ stuck, relief }: Relieved) =>
            ask('post', '/stages/{stage}/relief', { ...at({ stage: stuck.stageId }), body: { relief: relief.relief } }),
        onSuccess: (_, chosen) => {
            setRelieved((all) => [...all, chosen]);
            fresh();
        },
    });
    const takeBack = useMutation({
        mutationFn: ({ stuck }: Relieved) => ask('delete', '/stages/{stage}/relief', at({ stage: stuck.stageId })),
        onSuccess: () => {
            setRelieved((all) => all.slice(0, -1));
            fresh();
        },
    });
    const last = relieved.at(-1);
    return (
        <>
            {data.stuck.map((stuck) => (
                <div key={stuck.stageId} className={styles.stuck}>
                    <Text size="sm" className="thorn">
                        {t('{{piece}}, {{stage}}: {{lessons}} lessons without a pass. Shall it be', {
                            piece: stuck.piece,
                            stage: stuck.stage,
                            lessons: stuck.lessons,
                        })}
                    </Text>
                    <Group gap={6} mt={4}>
                        {stuck.reliefs.map((relief) => (
                            <Button
                                key={relief.relief}
                                size="compact-sm"
                                variant="default"
                                onClick={() => relieve.mutate({ stuck, relief })}
                            >
                                {relief.words}
                            </Button>
                        ))}
                    </Group>
                </div>
            ))}
            {last && (
                <Group gap="xs" mt={8} role="status">
                    <Text size="sm">
                        {last.stuck.piece}, {last.stuck.stage}: {last.relief.words}.
                    </Text>
                    <Button {...QUIET} onClick={() => takeBack.mutate(last)}>
                        {t('take it back')}
                    </Button>
                </Group>
            )}
            <Trouble error={relieve.error ?? takeBack.error} />
        </>
    );
}

/** The pages that come next: opened, or left out and put back. */
function NextPages({ data, openPage }: { data: LessonData; openPage: (next: NextPage) => void }) {
    const fresh = useFresh(data.id);
    const [leftOut, setLeftOut] = useState<NextPage | null>(null);
    const skip = useMutation({
        mutationFn: ({ page, out }: { page: NextPage; out: boolean }) =>
            ask(
                out ? 'put' : 'delete',
                '/students/{student}/skipped/{page}',
                at({ student: data.studentId, page: page.pageId }),
            ),
        onSuccess: (_, { page, out }) => {
            setLeftOut(out ? page : null);
            fresh();
        },
    });
    return (
        <Stack gap={4} mt={10}>
            {data.nextPages.map((next, i) => (
                <Group key={next.pageId} gap="xs">
                    <Button
                        size="compact-sm"
                        variant="default"
                        leftSection={i === 0 ? <Kbd>o</Kbd> : undefined}
                        onClick={() => openPage(next)}
                    >
                        {t('Open {{title}}', { title: next.title })}
                    </Button>
                    <Text size="sm" className="faint">
                        {next.page}
                    </Text>
                    <Button
                        {...QUIET}
                        aria-label={t('Leave out {{title}}, {{page}}', { title: next.title, page: next.page })}
                        onClick={() => skip.mutate({ page: next, out: true })}
                    >
                        {t('leave it out')}
                    </Button>
                </Group>
            ))}
            {leftOut !== null && (
                <Group gap="xs" role="status">
                    <Text size="sm">{t('{{title}} is left out.', { title: leftOut.title })}</Text>
                    <Button {...QUIET} onClick={() => skip.mutate({ page: leftOut, out: false })}>
                        {t('put it back')}
                    </Button>
                </Group>
            )}
            <Trouble error={skip.error} />
        </Stack>
    );
}

/** The student goes on to a page, broken into stages at once. */
export function useNextPage(data: LessonData | undefined) {
    const client = useQueryClient();
    return useMutation({
        mutationFn: ({ pieceId, pageId }: NextPage) =>
            ask('post', '/students/{student}/learnings', {
                ...at({ student: data?.studentId ?? 0 }),
                body: pieceId === null ? { pageId } : { pieceId },
            }),
        onSuccess: () =>
            client.invalidateQueries({ queryKey: keyOf('/lessons/{lesson}', at({ lesson: data?.id ?? 0 })) }),
    });
}

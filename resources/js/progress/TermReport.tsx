import { Button, Group, Stack, Text, Textarea, TextInput, Title } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { type Api, ask, at } from '../api';
import { Trouble, Waiting } from '../shared/Notes';
import { useSession } from '../shared/Shell';
import { NoteMap } from '../shared/score/NoteMap';
import { shortDate } from '../shared/words';
import { t } from '../text';
import { PracticeChart } from './Charts';
import { TERM, useProgress, weeksBefore } from './StudentProgress';
import styles from './TermReport.module.css';

/** A term on a sheet: sentences to be changed, pictures under them, to print. */
export function TermReport() {
    const id = Number(useParams().student);
    const [query] = useSearchParams();
    const today = useSession().data?.studio.today ?? '';
    const to = query.get('to') ?? today;
    const progress = useProgress(id, query.get('from') ?? (to === '' ? '' : weeksBefore(to, TERM)), to);
    if (progress.isPending) return <Waiting what={t('Writing the report…')} />;
    if (progress.error) return <Trouble error={progress.error} again={() => progress.refetch()} />;
    return <Report key={progress.data.from} data={progress.data} />;
}

function Report({ data }: { data: Api['ProgressResource'] }) {
    const session = useSession();
    const [title, setTitle] = useState(`${data.student}, ${shortDate(data.from)} to ${shortDate(data.to)}`);
    const [words, setWords] = useState(data.words.join('\n'));
    const send = useMutation({
        mutationFn: () =>
            ask('post', '/students/{student}/report', { ...at({ student: data.studentId }), body: { title, words } }),
    });
    return (
        <main className={`print-page ${styles.page}`}>
            <Group className="no-print" mb="md">
                <Button onClick={() => window.print()}>{t('Print')}</Button>
                <Button variant="default" onClick={() => send.mutate()} loading={send.isPending}>
                    {t('Send to the family')}
                </Button>
                <Button variant="default" onClick={() => window.history.back()}>
                    {t('Back')}
                </Button>
                <Text size="sm" className="faint">
                    {send.isSuccess ? t('Sent.') : t('Change the words as you like; they go out as they stand.')}
                </Text>
            </Group>
            <Trouble error={send.error} />
            <Stack gap="md" className="no-print">
                <TextInput label={t('Title')} value={title} onChange={(event) => setTitle(event.currentTarget.value)} />
                <Textarea
                    label={t('Sentences')}
                    autosize
                    minRows={4}
                    value={words}
                    onChange={(event) => setWords(event.currentTarget.value)}
                />
            </Stack>
            <Written title={title} words={words} studio={session.data?.studio.name} data={data} />
        </main>
    );
}

/** The report as it is printed. */
function Written({
    title,
    words,
    studio,
    data,
}: {
    title: string;
    words: string;
    studio: string | undefined;
    data: Api['ProgressResource'];
}) {
    return (
        <article aria-label={t('The report')} className={styles.report}>
            <Title order={1} fz={28}>
                {title}
            </Title>
            <Text className="faint">{studio}</Text>
            {words
                .split('\n')
                .filter((line) => line.trim() !== '')
                .map((line) => (
                    <Text key={line} mt={8}>
                        {line}
                    </Text>
                ))}
            {data.weeks.length > 0 && (
                <>
                    <Title order={2} fz="lg" mt="lg">
                        {t('Practised and planned')}
                    </Title>
                    <PracticeChart weeks={data.weeks} />
                </>
            )}
            {data.notes.length > 0 && (
                <>
                    <Title order={2} fz="lg" mt="lg">
                        {t('Notes')}
                    </Title>
                    <NoteMap notes={data.notes} chart={data.chart} />
                </>
            )}
        </article>
    );
}

import { Anchor, Button, Group, Select, Stack, Text, Title } from '@mantine/core';
import { type ReactNode, useState } from 'react';
import { Link, useParams } from 'react-router';
import { type Api, api } from '../api';
import { Empty, Trouble, Waiting } from '../shared/Notes';
import { useSession } from '../shared/Shell';
import { NoteMap } from '../shared/score/NoteMap';
import { dayFrom, shortDate } from '../shared/words';
import { t } from '../text';
import { HeardChart, KnowledgeChart, PracticeChart, TempoChart } from './Charts';
import styles from './StudentProgress.module.css';

type Progress = Api['ProgressResource'];

/** Weeks that are looked back on unless others are chosen. */
export const TERM = 12;

const TIMES = [
    { value: String(TERM), label: t('the last 12 weeks') },
    { value: '26', label: t('the last half year') },
    { value: '52', label: t('the last year') },
];

export function useProgress(student: number, from: string, to: string) {
    return api.useQuery(
        'get',
        '/students/{student}/progress',
        { params: { path: { student }, query: { from, to } } },
        { enabled: to !== '' },
    );
}

/** The same day of the week, so many weeks before; a day that nobody can read stays as it is, and the server says so. */
export function weeksBefore(day: string, weeks: number) {
    return Number.isNaN(Date.parse(day)) ? day : dayFrom(day, -7 * weeks);
}

/** What the weeks of a student tell: in sentences, in pictures, and behind each the numbers. */
export function StudentProgress() {
    const id = Number(useParams().student);
    const today = useSession().data?.studio.today ?? '';
    const [weeks, setWeeks] = useState(String(TERM));
    const progress = useProgress(id, today === '' ? '' : weeksBefore(today, Number(weeks)), today);
    if (progress.isPending) return <Waiting what={t('Looking back…')} />;
    if (progress.error) return <Trouble error={progress.error} again={() => progress.refetch()} />;
    const data = progress.data;
    return (
        <Stack maw={1200} gap="md">
            <ProgressHead data={data} weeks={weeks} setWeeks={setWeeks} />
            {data.weeks.length === 0 ? (
                <Empty part title={t('No week in this time')}>
                    <Text>{t('Plan a week, and what is practised shows here.')}</Text>
                </Empty>
            ) : (
                <Pictures data={data} />
            )}
        </Stack>
    );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
    return (
        <section className="sheet" aria-label={title}>
            <Title order={2} fz="lg" mb={6}>
                {title}
            </Title>
            {children}
        </section>
    );
}

function Slips({ data }: { data: Progress }) {
    if (data.slips.length === 0) return <Text className="faint">{t('Nothing was noted.')}</Text>;
    return (
        <>
            <ul className={`plain-list ${styles.list}`}>
                {data.slips.map((slip) => (
                    <li key={slip.kind}>
                        {slip.recent < slip.before ? '↘' : slip.recent > slip.before ? '↗' : '→'} {slip.words}:{' '}
                        <span className="faint">
                            {t('{{before}} before, {{recent}} lately', { before: slip.before, recent: slip.recent })}
                        </span>
                    </li>
                ))}
            </ul>
            {data.places.length > 0 && (
                <Text size="sm" mt={8}>
                    {t('Again and again:')}{' '}
                    {data.places
                        .map((place) =>
                            t('{{piece}}, {{place}} ({{said}}, {{times}} times)', {
                                piece: place.piece,
                                place: place.place,
                                said: place.words,
                                times: place.times,
                            }),
                        )
                        .join('; ')}
                    .
                </Text>
            )}
        </>
    );
}

function Pace({ data }: { data: Progress }) {
    const sum = (name: 'proposed' | 'added' | 'removed' | 'kept') =>
        data.weeks.reduce((total, week) => total + week[name], 0);
    return (
        <>
            {data.pace.map((pace) => (
                <Text key={pace.book} mb={6}>
                    <b>{pace.book}</b>
                    {pace.perWeek === '1'
                        ? t(': {{perWeek}} page a lesson week, {{left}} left. {{endWords}}', {
                              perWeek: pace.perWeek,
                              left: pace.left,
                              endWords: endWords(pace),
                          })
                        : t(': {{perWeek}} pages a lesson week, {{left}} left. {{endWords}}', {
                              perWeek: pace.perWeek,
                              left: pace.left,
                              endWords: endWords(pace),
                          })}
                </Text>
            ))}
            <Text size="sm" className="faint">
                {t(
                    'Of {{sum}} tasks that were proposed you removed {{sum2}} and added {{sum3}} of your own; {{sum4}} times you set the day.',
                    { sum: sum('proposed'), sum2: sum('removed'), sum3: sum('added'), sum4: sum('kept') },
                )}
            </Text>
        </>
    );
}

function endWords(pace: Api['PaceResource']): string {
    if (pace.left === 0) return t('The book is done.');
    if (pace.from === null) return t('At this pace it does not end yet.');
    const from = `${shortDate(pace.from)} ${pace.from.slice(0, 4)}`;
    return pace.to === null
        ? t('At the earliest {{from}}.', { from })
        : t('It ends between {{from}} and {{shortDate}} {{to}}.', {
              from,
              shortDate: shortDate(pace.to),
              to: pace.to.slice(0, 4),
          });
}

/** Sentences first, then a picture for each, with the numbers behind it. */
function Pictures({ data }: { data: Api['ProgressResource'] }) {
    return (
        <>
            <ul className={`sheet ${styles.words}`}>
                {data.words.map((sentence) => (
                    <li key={sentence}>{sentence}</li>
                ))}
            </ul>
            <div className={styles.parts}>
                <Part title={t('Practised and planned')}>
                    <PracticeChart weeks={data.weeks} />
                </Part>
                <Part title={t('Notes')}>
                    <NoteMap notes={data.notes} chart={data.chart} />
                </Part>
                <Part title={t('Tempo')}>
                    {data.tempi.length === 0 ? (
                        <Text className="faint">{t('Nothing was played at a tempo yet.')}</Text>
                    ) : (
                        <TempoChart tempi={data.tempi} />
                    )}
                </Part>
                {data.takes.length > 0 && (
                    <Part title={t('What was heard')}>
                        <HeardChart takes={data.takes} />
                    </Part>
                )}
                <Part title={t('Notes over the weeks')}>
                    <KnowledgeChart weeks={data.weeks} />
                </Part>
                <Part title={t('What went wrong')}>
                    <Slips data={data} />
                </Part>
                <Part title={t('Pace and plan')}>
                    <Pace data={data} />
                </Part>
            </div>
        </>
    );
}

/** Whose progress, how far back, and the report of it. */
function ProgressHead({
    data,
    weeks,
    setWeeks,
}: {
    data: Api['ProgressResource'];
    weeks: string;
    setWeeks: (weeks: string) => void;
}) {
    return (
        <Group justify="space-between">
            <Title order={1} fz={28}>
                <Anchor component={Link} to={`/students/${data.studentId}`} inherit c="inherit">
                    {data.student}
                </Anchor>
                {t(': progress')}
            </Title>
            <Group gap="xs">
                <Select
                    aria-label={t('How far back')}
                    allowDeselect={false}
                    value={weeks}
                    onChange={(value) => setWeeks(value ?? String(TERM))}
                    data={TIMES}
                />
                <Button component={Link} to={`/students/${data.studentId}/report?from=${data.from}&to=${data.to}`}>
                    {t('Term report')}
                </Button>
            </Group>
        </Group>
    );
}

import { Button, Group, SimpleGrid, Stack, Table, Text, Title } from '@mantine/core';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { type Api, api, at, choices } from '../api';
import { useKeys } from '../shared/keys';
import { Empty, Trouble, Waiting } from '../shared/Notes';
import { useTeaches } from '../shared/Shell';
import { NoteMap } from '../shared/score/NoteMap';
import { shortDate } from '../shared/words';
import { t } from '../text';
import { AtTheLesson } from './AtTheLesson';
import { TrainingSettings } from './TrainingSettings';
import { TwoSides } from './TwoSides';

type Data = Api['TrainingResource'];

/** What a student trains in the practice room: notes, speed, confusions, and what is set; and the room itself, at the lesson. */
export function Training() {
    const student = Number(useParams().student);
    const [doing, setDoing] = useState<'look' | 'alone' | 'two'>('look');
    const training = api.useQuery('get', '/students/{student}/training', at({ student }));
    const back = () => {
        setDoing('look');
        training.refetch();
    };
    if (training.data === undefined) {
        return training.error ? (
            <Trouble error={training.error} again={() => training.refetch()} />
        ) : (
            <Waiting what={t('One moment…')} />
        );
    }
    if (doing === 'alone') return <AtTheLesson student={student} leave={back} />;
    if (doing === 'two') return <TwoSides student={student} name={training.data.student} leave={back} />;
    return (
        <Stack gap="lg">
            <div>
                <Button variant="default" component={Link} to={`/students/${student}`}>
                    ← {training.data.student}
                </Button>
                <Title order={1}>{t('Practice room')}</Title>
                <Doing student={student} doing={setDoing} />
            </div>
            <Found data={training.data} />
            <TrainingSettings
                key={JSON.stringify(training.data.settings)}
                student={student}
                settings={training.data.settings}
                saved={() => training.refetch()}
            />
        </Stack>
    );
}

/** What can be done here, each by a key. */
function Doing({ student, doing }: { student: number; doing: (what: 'alone' | 'two') => void }) {
    const isTeacher = useTeaches();
    const navigate = useNavigate();
    const sheets = `/worksheets?student=${student}`;
    useKeys([
        { key: 't', does: t('train now'), run: () => doing('alone') },
        { key: 's', does: t('two sides'), run: () => doing('two') },
        ...(isTeacher ? [{ key: 'w', does: t('worksheets'), run: () => navigate(sheets) }] : []),
    ]);
    return (
        <Group mt="xs">
            <Button onClick={() => doing('alone')}>{t('Train now (t)')}</Button>
            <Button variant="default" onClick={() => doing('two')}>
                {t('Two sides (s)')}
            </Button>
            {isTeacher && (
                <Button variant="default" component={Link} to={sheets}>
                    {t('Worksheets (w)')}
                </Button>
            )}
        </Group>
    );
}

/** What the answers tell. */
function Found({ data }: { data: Data }) {
    if (data.notes.length === 0 && data.sessions.length === 0) {
        return (
            <Empty part title={t('Nothing trained yet')}>
                <Text>{t('Open a page, or train now. What is answered at home is seen here.')}</Text>
            </Empty>
        );
    }
    return (
        <>
            {data.notes.length > 0 && (
                <section className="sheet" aria-label={t('Notes')}>
                    <Title order={2} fz="lg">
                        {t('Notes')}
                    </Title>
                    <NoteMap notes={data.notes.map(({ note }) => note)} chart={data.chart} />
                    <Slowest notes={data.notes} />
                </section>
            )}
            <SimpleGrid cols={{ base: 1, md: 2 }}>
                <Weeks weeks={data.weeks} />
                <Sessions data={data} />
                <Confused data={data} />
            </SimpleGrid>
        </>
    );
}

const SHOWN = 4;

const clefWords = (clef: Data['notes'][number]['note']['clef']) => (clef === 'bass' ? t('bass') : t('treble'));

const seconds = (milliseconds: number) => (milliseconds / 1_000).toFixed(1);

/** What takes longest, or is wrong most often. */
function Slowest({ notes }: { notes: Data['notes'] }) {
    const asked = notes.filter((note) => note.median !== null);
    const slow = [...asked].sort((a, b) => (b.median ?? 0) - (a.median ?? 0)).slice(0, SHOWN);
    if (slow.length === 0) return null;
    return (
        <Text>
            {t('Slowest:')}{' '}
            {slow
                .map(({ note, ...of }) =>
                    t('{{pitch}} ({{clef}}) {{seconds}} s, {{right}} of {{answers}} right', {
                        pitch: note.pitch,
                        clef: clefWords(note.clef),
                        seconds: seconds(of.median ?? 0),
                        right: of.right,
                        answers: of.answers,
                    }),
                )
                .join('; ')}
        </Text>
    );
}

function Confused({ data }: { data: Data }) {
    if (data.confused.length === 0) return null;
    return (
        <section className="sheet" aria-label={t('Taken for one another')}>
            <Title order={2} fz="lg">
                {t('Taken for one another')}
            </Title>
            <ul>
                {data.confused.map((pair) => (
                    <li key={`${pair.clef} ${pair.words}`}>
                        {pair.words} <span className="faint">{t('({{times}} times)', { times: pair.times })}</span>
                    </li>
                ))}
            </ul>
        </section>
    );
}

/** How fast right answers come, week by week. */
function Weeks({ weeks }: { weeks: Data['weeks'] }) {
    if (weeks.every((week) => week.answers === 0)) return null;
    return (
        <section className="sheet" aria-label={t('Speed over the weeks')}>
            <Title order={2} fz="lg">
                {t('Speed over the weeks')}
            </Title>
            <Table>
                <Table.Thead>
                    <Table.Tr>
                        <Table.Th>{t('Week from')}</Table.Th>
                        <Table.Th>{t('Answers')}</Table.Th>
                        <Table.Th>{t('Right')}</Table.Th>
                        <Table.Th>{t('Seconds for one')}</Table.Th>
                    </Table.Tr>
                </Table.Thead>
                <Table.Tbody>
                    {weeks
                        .filter((week) => week.answers > 0)
                        .map((week) => (
                            <Table.Tr key={week.from}>
                                <Table.Td>{shortDate(week.from)}</Table.Td>
                                <Table.Td>{week.answers}</Table.Td>
                                <Table.Td>{week.right}</Table.Td>
                                <Table.Td>{week.median === null ? '–' : seconds(week.median)}</Table.Td>
                            </Table.Tr>
                        ))}
                </Table.Tbody>
            </Table>
        </section>
    );
}

function Sessions({ data }: { data: Data }) {
    if (data.sessions.length === 0) return null;
    return (
        <section className="sheet" aria-label={t('What was trained')}>
            <Title order={2} fz="lg">
                {t('What was trained')}
            </Title>
            <ul>
                {data.sessions.map((session, i) => (
                    // biome-ignore lint/suspicious/noArrayIndexKey: two sessions of a day may be alike
                    <li key={i}>
                        {session.kind === 'race'
                            ? t('{{day}}: {{kind}}', { day: shortDate(session.date), kind: labelOf(session.kind) })
                            : t('{{day}}: {{kind}}, {{right}} of {{answers}} right', {
                                  day: shortDate(session.date),
                                  kind: labelOf(session.kind),
                                  right: session.right,
                                  answers: session.answers,
                              })}
                    </li>
                ))}
            </ul>
            {data.best > 0 && <Text>{t('Best key race: {{best}} keys', { best: data.best })}</Text>}
        </section>
    );
}

const labelOf = (kind: Data['sessions'][number]['kind']) =>
    choices.DrillKind.find((one) => one.value === kind)?.label ?? '';

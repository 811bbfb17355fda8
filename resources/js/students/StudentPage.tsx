import { Button, Group, Stack, Text, Title } from '@mantine/core';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { type Api, api, at } from '../api';
import { MakeUps } from '../lead/MakeUps';
import { Dialog } from '../shared/Dialog';
import { useKeys } from '../shared/keys';
import { Trouble, Waiting } from '../shared/Notes';
import { useTeaches } from '../shared/Shell';
import { clockTime, dayName, fullDate } from '../shared/words';
import { t } from '../text';
import { Consent } from './Consent';
import { FamilyLinks } from './FamilyLinks';
import { LearningCard } from './LearningCard';
import { OpenPage } from './OpenPage';
import { Performances } from './Performances';
import { StudentBooks } from './StudentBooks';
import { StudentForm } from './StudentForm';
import styles from './StudentPage.module.css';
import { TeacherOf } from './TeacherOf';
import { Timetable } from './Timetable';
import { type StudentInHand, useStudent } from './useStudent';

type Detail = Api['StudentDetailResource'];
type Opened = 'edit' | 'erase' | 'open' | null;

export function StudentPage() {
    const id = Number(useParams().student);
    const navigate = useNavigate();
    const [dialog, setDialog] = useState<Opened>(null);
    const hand = useStudent(id, () => setDialog(null));
    const { query } = hand;
    const isTeacher = useTeaches();
    useKeys([
        { key: 'o', does: t('open a page for this student'), run: () => setDialog('open') },
        { key: 'm', does: t('put a make-up lesson together'), run: () => navigate(`/students/${id}/make-up`) },
        { key: 'g', does: t('go to the practice room'), run: () => navigate(`/students/${id}/practice`) },
        { key: 'e', does: t('change the student'), run: () => isTeacher && setDialog('edit') },
    ]);
    if (query.isPending) return <Waiting what={t('Fetching the student…')} />;
    if (query.error) return <Trouble error={query.error} again={() => query.refetch()} />;
    const { student, learnings, links, lessons, holidays, books, performances, opened } = query.data;
    return (
        <Stack maw={1150}>
            <Head of={query.data} hand={hand} open={setDialog} isTeacher={isTeacher} />
            <Trouble error={hand.plan.error ?? hand.leave.error ?? hand.open.error} />
            {student.leftOn !== null && (
                <Group className="sheet" role="status" justify="space-between">
                    <Text>
                        {t(
                            '{{firstName}} left on {{fullDate}}. Everything is kept; home links and calendars are closed.',
                            { firstName: student.firstName, fullDate: fullDate(student.leftOn) },
                        )}
                    </Text>
                    <Button variant="light" onClick={() => hand.leave.mutate(false)} loading={hand.leave.isPending}>
                        {t('Comes back')}
                    </Button>
                </Group>
            )}
            {learnings.length === 0 && (
                <Text className="sheet">
                    {t('No page is open yet. Open the first one: it is broken into stages at once.')}
                </Text>
            )}
            <Pages of={query.data} />
            <StudentBooks studentId={id} books={books} open={(body) => hand.open.mutate(body)} />
            <Timetable studentId={id} lessons={lessons} holidays={holidays} />
            <MakeUps studentId={id} />
            <Performances studentId={id} performances={performances} pieces={opened} />
            {isTeacher && (
                <>
                    <FamilyLinks studentId={id} links={links} />
                    <TeacherOf student={student} />
                    <Consent student={student} />
                </>
            )}
            <Dialogs of={query.data} hand={hand} opened={dialog} close={() => setDialog(null)} />
        </Stack>
    );
}

/** The open pages and the newest that are signed off; those of years before when they are wanted. */
function Pages({ of: { student, learnings, opened } }: { of: Detail }) {
    const [all, setAll] = useState(false);
    const whole = api.useQuery('get', '/students/{student}/signed-off', at({ student: student.id }), { enabled: all });
    const open = learnings.filter((learning) => learning.state !== 'finished');
    const signedOff = opened.filter((one) => one.signedOff).length;
    const newest = learnings.filter((learning) => learning.state === 'finished');
    return (
        <>
            <div className={styles.pages}>
                {[...open, ...(whole.data ?? newest)].map((learning) => (
                    <LearningCard key={learning.id} learning={learning} studentId={student.id} />
                ))}
            </div>
            <Trouble error={whole.error} again={() => whole.refetch()} />
            {signedOff > newest.length && whole.data === undefined && (
                <Group>
                    <Button variant="default" onClick={() => setAll(true)} loading={all && whole.isPending}>
                        {t('Show all {{signedOff}} pages that are signed off', { signedOff })}
                    </Button>
                </Group>
            )}
        </>
    );
}

interface HeadProps {
    of: Detail;
    hand: StudentInHand;
    open: (dialog: Opened) => void;
    isTeacher: boolean;
}

function Head({ of: { student, weekId, measuredPace }, hand, open, isTeacher }: HeadProps) {
    const { plan } = hand;
    return (
        <Group justify="space-between">
            <div>
                <Title order={1} fz={30}>
                    {student.name}
                </Title>
                <Text className="faint">
                    {t('{{age}} years · {{dayName}} {{lessonTime}}', {
                        age: student.age,
                        dayName: dayName(student.lessonWeekday),
                        lessonTime: clockTime(student.lessonTime),
                    })}
                    {student.secondWeekday !== null &&
                        t(' and {{dayName}} {{secondTime}}', {
                            dayName: dayName(student.secondWeekday),
                            secondTime: clockTime(student.secondTime ?? ''),
                        })}
                    {paceWords(student.pace, measuredPace)}
                </Text>
            </div>
            <Group gap="xs">
                <Button onClick={() => open('open')}>{t('Open a page (o)')}</Button>
                {weekId === null ? (
                    <Button variant="default" onClick={() => plan.mutate()} loading={plan.isPending}>
                        {t('Plan a week')}
                    </Button>
                ) : (
                    <Button variant="default" component={Link} to={`/weeks/${weekId}`}>
                        {t('The week')}
                    </Button>
                )}
                <Button variant="default" component={Link} to={`/students/${student.id}/progress`}>
                    {t('Progress')}
                </Button>
                <Button variant="default" component={Link} to={`/students/${student.id}/practice`}>
                    {t('Practice room (g)')}
                </Button>
                {isTeacher && <ForTeachers student={student} leave={hand.leave} open={open} />}
            </Group>
        </Group>
    );
}

/** What changes who the student is, or takes everything along. */
function ForTeachers({
    student,
    leave,
    open,
}: {
    student: Detail['student'];
    leave: StudentInHand['leave'];
    open: HeadProps['open'];
}) {
    return (
        <>
            <Button variant="default" onClick={() => open('edit')}>
                {t('Change (e)')}
            </Button>
            <Button variant="subtle" c="var(--ink)" component="a" href={`/api/students/${student.id}/export`} download>
                {t('Export')}
            </Button>
            {student.leftOn === null && (
                <Button variant="subtle" c="var(--ink)" onClick={() => leave.mutate(true)} loading={leave.isPending}>
                    {t('Has left')}
                </Button>
            )}
            <Button variant="subtle" c="var(--thorn)" onClick={() => open('erase')}>
                {t('Erase')}
            </Button>
        </>
    );
}

interface DialogsProps {
    of: Detail;
    hand: StudentInHand;
    opened: Opened;
    close: () => void;
}

function Dialogs({ of: { student, opened: known, books, measuredPace }, hand, opened, close }: DialogsProps) {
    const { save, erase } = hand;
    return (
        <>
            <Dialog
                opened={opened === 'edit'}
                onClose={close}
                title={t('Change {{name}}', { name: student.name })}
                size="lg"
            >
                <StudentForm
                    start={student}
                    save={(draft) => save.mutate(draft)}
                    saving={save.isPending}
                    error={save.error}
                    verb={t('Save')}
                    measuredPace={measuredPace}
                />
            </Dialog>
            <Dialog opened={opened === 'open'} onClose={close} title={t('Open pages')}>
                <OpenPage
                    studentId={student.id}
                    open={known.map((one) => one.pieceId)}
                    books={books.map((book) => book.bookId)}
                    done={hand.fresh}
                />
            </Dialog>
            <Dialog opened={opened === 'erase'} onClose={close} title={t('Erase {{name}}?', { name: student.name })}>
                <Text>
                    {t(
                        'All weeks, practice, marks, links and mails of this student go, also templates and drafts with their name. This cannot be undone. If they only stop for a while, choose “Has left”: then everything is kept.',
                    )}
                </Text>
                <Trouble error={erase.error} />
                <Group mt="md">
                    <Button color="red" onClick={() => erase.mutate()} loading={erase.isPending}>
                        {t('Erase everything')}
                    </Button>
                    <Button variant="default" onClick={close}>
                        {t('Keep')}
                    </Button>
                </Group>
            </Dialog>
        </>
    );
}

/** ` · needs 120 % of the estimated time`, where anybody knows. */
function paceWords(own: number | null, measured: number | null): string {
    const pace = own ?? measured;
    if (pace === null) return '';
    return own === null
        ? t(' · needs {{pace}} % of the estimated time (measured at home)', { pace })
        : t(' · needs {{pace}} % of the estimated time', { pace });
}

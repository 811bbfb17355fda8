import { Button, Group, Select, Text, Title } from '@mantine/core';
import { Link, useParams, useSearchParams } from 'react-router';
import { type Api, ApiError, api } from '../api';
import { studentIn } from '../shared/breakdown';
import { Empty, Trouble, Waiting } from '../shared/Notes';
import { useTeaches } from '../shared/Shell';
import { Score } from '../shared/score/Score';
import { isHere } from '../shared/students';
import { t } from '../text';
import styles from './Desk.module.css';
import { DeskMusic } from './DeskMusic';
import { DeskPane } from './DeskPane';
import { LensBar } from './LensBar';
import { PieceFiles } from './PieceFiles';
import { useBreakdown } from './useBreakdown';
import { useDesk } from './useDesk';
import { useDeskKeys } from './useDeskKeys';

export function Desk() {
    const id = Number(useParams().piece);
    const [search, setSearch] = useSearchParams();
    const student = search.get('student');
    const breakdown = useBreakdown(id, studentIn(search));
    const students = api.useQuery('get', '/students');
    if (breakdown.isPending) return <Waiting what={t('Reading the page…')} />;
    if (breakdown.error instanceof ApiError && breakdown.error.status === 422) {
        return (
            <Empty title={t('Nothing to break down')}>
                <Text>{breakdown.error.message}</Text>
                <Button component={Link} to={`/pieces/${id}/entry`}>
                    {t('Type the music')}
                </Button>
            </Empty>
        );
    }
    if (breakdown.error) return <Trouble error={breakdown.error} again={() => breakdown.refetch()} />;
    return (
        <Page
            key={id}
            data={breakdown.data}
            student={student}
            chooser={
                <Select
                    aria-label={t('For which student')}
                    placeholder={t('For a student')}
                    clearable
                    w={150}
                    value={student}
                    onChange={(chosen) => setSearch(withStudent(search, chosen), { replace: true })}
                    data={
                        students.data?.filter(isHere).map((one) => ({ value: String(one.id), label: one.name })) ?? []
                    }
                />
            }
        />
    );
}

/** The same address for another student, or for none. */
function withStudent(search: URLSearchParams, student: string | null): URLSearchParams {
    const next = new URLSearchParams(search);
    if (student === null) next.delete('student');
    else next.set('student', student);
    return next;
}

interface Props {
    data: Api['BreakdownResource'];
    student: string | null;
    chooser: React.ReactNode;
}

function Page({ data, student, chooser }: Props) {
    const { piece } = data;
    const isTeacher = useTeaches();
    const desk = useDesk(data.report);
    const lenses = `lens=${encodeURIComponent(desk.lenses.join(','))}&say=${desk.saying}`;
    const sheet = `/pieces/${piece.id}/sheet?${lenses}${student === null ? '' : `&student=${student}`}`;
    useDeskKeys(desk, piece.id, sheet);
    return (
        <>
            <Group justify="space-between" mb={6} wrap="nowrap">
                <Group gap="sm" align="baseline" wrap="nowrap">
                    <Title order={1} fz={24}>
                        {piece.title}
                    </Title>
                    <Text size="sm" className="faint">
                        {piece.book}, p. {piece.page}
                        {piece.label}
                    </Text>
                </Group>
                <Group gap="xs" wrap="nowrap">
                    {chooser}
                    <Button variant="default" component={Link} to={sheet}>
                        {t('Print (w)')}
                    </Button>
                    <PieceFiles pieceId={piece.id} />
                    {isTeacher && (
                        <Button variant="default" component={Link} to={`/pieces/${piece.id}/entry`}>
                            {t('Edit (e)')}
                        </Button>
                    )}
                </Group>
            </Group>
            <LensBar desk={desk} />
            <div className={styles.desk}>
                <div>
                    <DeskMusic data={data} desk={desk} student={student} />
                    {piece.duet !== null && <DuetPart music={piece.duet} />}
                </div>
                <DeskPane data={data} desk={desk} student={student} />
            </div>
        </>
    );
}

/** What the teacher plays with it. */
function DuetPart({ music }: { music: string }) {
    return (
        <details className={`sheet ${styles.teacher}`}>
            <summary className={styles.summary}>{t('The teacher’s part')}</summary>
            <Score music={music} title={t('The teacher’s part, engraved')} scale={36} />
        </details>
    );
}

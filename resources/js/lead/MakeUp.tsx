import { Button, Group, Stack, Text, TextInput, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type Dispatch, type SetStateAction, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask, at } from '../api';
import { useKeys } from '../shared/keys';
import { Trouble, Waiting } from '../shared/Notes';
import { t } from '../text';
import { AddStep } from './AddStep';
import styles from './MakeUp.module.css';
import { MakeUpStep } from './MakeUpStep';
import { type DraftStep, draftOf, type Learning, type LedLesson, moved, requestOf } from './makeUp';
import { Reported } from './Reported';

/** A lesson in the place of one that was missed: put together, sent by the home link, and what was heard. */
export function MakeUp() {
    const { student: studentId = '', lesson: lessonId } = useParams();
    const student = api.useQuery('get', '/students/{student}', at({ student: Number(studentId) }));
    const lessons = api.useQuery('get', '/students/{student}/led-lessons', at({ student: Number(studentId) }));
    const error = student.error ?? lessons.error;
    if (error) return <Trouble error={error} again={() => [student.refetch(), lessons.refetch()]} />;
    if (student.data === undefined || lessons.data === undefined) return <Waiting what={t('Fetching the lesson…')} />;
    const lesson = lessons.data.find((one) => one.id === Number(lessonId)) ?? null;
    const { name } = student.data.student;
    return (
        <Stack maw={900}>
            <div>
                <Button variant="default" size="compact-sm" component={Link} to={`/students/${studentId}`}>
                    ← {name}
                </Button>
                <Title order={1} fz={30}>
                    {lesson === null ? t('A make-up lesson for {{name}}', { name }) : lesson.title}
                </Title>
                <Text className="faint">
                    {t(
                        'Put together what you would do. Home is led through it step by step, and you see what was heard.',
                    )}
                </Text>
            </div>
            {lesson !== null && <Reported lesson={lesson} />}
            <Builder
                // Steps that were saved have numbers of their own from then on.
                key={`${lesson?.id} ${lesson?.steps.map((step) => step.id).join()}`}
                studentId={Number(studentId)}
                lesson={lesson}
                learnings={student.data.learnings.filter((one) => one.state !== 'finished')}
            />
        </Stack>
    );
}

interface BuilderProps {
    studentId: number;
    lesson: LedLesson | null;
    learnings: readonly Learning[];
}

function Builder({ studentId, lesson, learnings }: BuilderProps) {
    const [title, setTitle] = useState(lesson?.title ?? t('Instead of our lesson'));
    const [steps, setSteps] = useState<DraftStep[]>(() => (lesson === null ? [] : draftOf(lesson)));
    const { save, send, remove } = useSaving(studentId, lesson);
    const add = (step: DraftStep) => setSteps((before) => [...before, step]);
    const minutes = steps.reduce((sum, step) => sum + step.halfMinutes, 0) / 2;
    const draft = { title, steps };
    const isReady = steps.length > 0 && title.trim() !== '' && steps.every((step) => step.words.trim() !== '');
    const isBusy = save.isPending || send.isPending;
    useKeys([{ key: 's', does: t('save the lesson'), run: () => isReady && !isBusy && save.mutate(draft) }]);
    return (
        <>
            <TextInput
                label={t('Its title at home')}
                maxLength={80}
                value={title}
                onChange={(event) => setTitle(event.currentTarget.value)}
            />
            <StepList steps={steps} setSteps={setSteps} />
            {steps.length === 0 && (
                <Text className="sheet">{t('No step yet. Add one from a page, or say it in your own words.')}</Text>
            )}
            <AddStep learnings={learnings} add={add} isFull={steps.length >= 20} />
            <Trouble error={save.error ?? send.error ?? remove.error} />
            <Group justify="space-between" align="center">
                <Text>{t('About {{minutes}} min in all.', { minutes })}</Text>
                <Group>
                    {lesson !== null && (
                        <Button variant="subtle" color="red" onClick={() => remove.mutate()} loading={remove.isPending}>
                            {t('Delete')}
                        </Button>
                    )}
                    <Button
                        variant="default"
                        disabled={!isReady}
                        loading={save.isPending}
                        onClick={() => save.mutate(draft)}
                    >
                        {t('Save (s)')}
                    </Button>
                    <Button disabled={!isReady} loading={send.isPending} onClick={() => send.mutate(draft)}>
                        {lesson?.sentAt == null ? t('Save and send') : t('Save; home sees it')}
                    </Button>
                </Group>
            </Group>
            {save.isSuccess && !isBusy && <Text role="status">{t('Saved.')}</Text>}
        </>
    );
}

interface ListProps {
    steps: readonly DraftStep[];
    /** What a recording brings comes when others have been typed in meanwhile. */
    setSteps: Dispatch<SetStateAction<DraftStep[]>>;
}

/** The steps in their order; one that was removed can be brought back. */
function StepList({ steps, setSteps }: ListProps) {
    const [removed, setRemoved] = useState<{ step: DraftStep; at: number } | null>(null);
    const change = (key: string, of: Partial<DraftStep>) =>
        setSteps((before) => before.map((step) => (step.key === key ? { ...step, ...of } : step)));
    const undo = () => {
        if (removed !== null) setSteps((before) => before.toSpliced(removed.at, 0, removed.step));
        setRemoved(null);
    };
    return (
        <>
            <ol className={`plain-list ${styles.steps}`} aria-label={t('Steps')}>
                {steps.map((step, i) => (
                    <MakeUpStep
                        key={step.key}
                        nth={i + 1}
                        of={steps.length}
                        step={step}
                        change={(of) => change(step.key, of)}
                        move={(by) => setSteps((before) => moved(before, i, by))}
                        remove={() => {
                            setSteps((before) => before.filter((one) => one.key !== step.key));
                            setRemoved({ step, at: i });
                        }}
                    />
                ))}
            </ol>
            {removed !== null && (
                <Group className="sheet" role="status" justify="space-between">
                    <Text size="sm">{t('A step was removed.')}</Text>
                    <Button size="compact-sm" variant="default" onClick={undo}>
                        {t('Undo')}
                    </Button>
                </Group>
            )}
        </>
    );
}

/** Saves the steps, then the voices of those that have a new one. */
function useSaving(studentId: number, lesson: LedLesson | null) {
    const client = useQueryClient();
    const navigate = useNavigate();
    const keep = async ({ title, steps }: { title: string; steps: DraftStep[] }) => {
        const body = requestOf(title, steps);
        const saved =
            lesson === null
                ? await ask('post', '/students/{student}/led-lessons', { ...at({ student: studentId }), body })
                : await ask('put', '/led-lessons/{ledLesson}', { ...at({ ledLesson: lesson.id }), body });
        for (const [i, { voice }] of steps.entries()) {
            const step = saved.steps[i];
            if (voice === undefined || step === undefined) continue;
            await ask('put', '/led-steps/{ledStep}/voice', { ...at({ ledStep: step.id }), body: { voice } });
        }
        return saved;
    };
    const fresh = async (saved: LedLesson) => {
        await client.invalidateQueries();
        navigate(`/students/${studentId}/make-up/${saved.id}`, { replace: true });
    };
    const save = useMutation({ mutationFn: keep, onSuccess: fresh });
    const send = useMutation({
        mutationFn: async (draft: Parameters<typeof keep>[0]) => {
            const saved = await keep(draft);
            return ask('put', '/led-lessons/{ledLesson}/sent', at({ ledLesson: saved.id }));
        },
        onSuccess: fresh,
    });
    const remove = useMutation({
        mutationFn: () => ask('delete', '/led-lessons/{ledLesson}', at({ ledLesson: lesson?.id ?? 0 })),
        onSuccess: async () => {
            await client.invalidateQueries();
            navigate(`/students/${studentId}`);
        },
    });
    return { save, send, remove };
}

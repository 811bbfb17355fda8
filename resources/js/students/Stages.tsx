import { Badge, Checkbox, Group, Text } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type Api, api, ask, at, keyOf } from '../api';
import { HandMark } from '../shared/HandMark';
import { Trouble, Waiting } from '../shared/Notes';
import { type PathChoice, PathSelect } from '../shared/PathSelect';
import { tempoWords } from '../shared/words';
import { t } from '../text';
import styles from './Stages.module.css';

type Learning = Api['LearningResource'];

/** After a page was changed it is fetched anew, and so is the student's room. */
export function useFresh(learning: Learning, studentId: number) {
    const client = useQueryClient();
    return () => {
        client.invalidateQueries({ queryKey: keyOf('/learnings/{learning}', at({ learning: learning.id })) });
        client.invalidateQueries({ queryKey: keyOf('/students/{student}', at({ student: studentId })) });
    };
}

/** The stages of a page that is signed off, fetched when they are wanted. */
export function FinishedStages({ learning, studentId }: { learning: Learning; studentId: number }) {
    const whole = api.useQuery('get', '/learnings/{learning}', at({ learning: learning.id }));
    if (whole.isPending) return <Waiting what={t('Fetching the stages…')} />;
    if (whole.error) return <Trouble error={whole.error} again={() => whole.refetch()} />;
    return <Stages learning={whole.data} studentId={studentId} />;
}

/** The path of a page and its stages, which can be ticked by hand. */
export function Stages({ learning, studentId }: { learning: Learning; studentId: number }) {
    const fresh = useFresh(learning, studentId);
    const tick = useMutation({
        mutationFn: ({ id, passed }: { id: number; passed: boolean }) =>
            ask('patch', '/stages/{stage}', { ...at({ stage: id }), body: { passed } }),
        onSuccess: fresh,
    });
    const follow = useMutation({
        mutationFn: (choice: PathChoice) =>
            ask('put', '/learnings/{learning}/path', { ...at({ learning: learning.id }), body: choice }),
        onSuccess: fresh,
    });
    return (
        <>
            <PathSelect
                size="xs"
                mt={6}
                aria-label={t('Path of {{title}}', { title: learning.title })}
                value={{ path: learning.path, pathId: learning.pathId ?? null }}
                onChange={(choice) => follow.mutate(choice)}
            />
            <Trouble error={tick.error ?? follow.error} />
            <ol className={`plain-list ${styles.stages}`}>
                {learning.stages.map((stage) => (
                    <li key={stage.id} className={styles.stage}>
                        <Group gap="xs" wrap="nowrap">
                            <Checkbox
                                size="sm"
                                label={stage.name}
                                checked={stage.passedOn !== null}
                                onChange={(event) => tick.mutate({ id: stage.id, passed: event.currentTarget.checked })}
                            />
                            {stage.hand !== null && <HandMark hand={stage.hand} />}
                            {stage.tempo !== null && (
                                <Text size="xs" className="faint">
                                    {tempoWords(stage.tempo)}
                                </Text>
                            )}
                            {stage.misses > 0 && stage.passedOn === null && (
                                <Badge size="sm" variant="light" color="flower" tt="none" c="var(--ink)">
                                    {stage.misses === 1
                                        ? t('again once')
                                        : t('again {{misses}} times', { misses: stage.misses })}
                                </Badge>
                            )}
                        </Group>
                    </li>
                ))}
            </ol>
        </>
    );
}

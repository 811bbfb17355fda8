import { Text } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, ask, at, keyOf } from '../api';
import { Trouble } from '../shared/Notes';
import { type PathChoice, PathSelect } from '../shared/PathSelect';
import { shortDate } from '../shared/words';
import { t } from '../text';
import styles from './Desk.module.css';

interface Props {
    pieceId: number;
    /** The path whose stages are listed, by name. */
    path: string;
    student: string | null;
}

/** The path of this page: the student’s, unless the teacher chooses another for this page alone. */
export function PagePath({ pieceId, path, student }: Props) {
    const client = useQueryClient();
    const of = api.useQuery('get', '/students/{student}', at({ student: Number(student) }), {
        enabled: student !== null,
    });
    const opened = of.data?.opened.find((one) => one.pieceId === pieceId);
    const place = at({ learning: opened?.id ?? 0 });
    const learning = api.useQuery('get', '/learnings/{learning}', place, { enabled: opened !== undefined }).data;
    const save = useMutation({
        mutationFn: (choice: PathChoice) => ask('put', '/learnings/{learning}/path', { ...place, body: choice }),
        onSuccess: () =>
            Promise.all([
                client.invalidateQueries({ queryKey: keyOf('/pieces/{piece}/breakdown', at({ piece: pieceId })) }),
                client.invalidateQueries({ queryKey: keyOf('/students/{student}', at({ student: Number(student) })) }),
                client.invalidateQueries({ queryKey: keyOf('/learnings/{learning}', place) }),
            ]),
    });
    if (learning === undefined) {
        return (
            <Text size="sm" className={styles.part}>
                {t('On the path “{{path}}”.', { path })}{' '}
                <span className="faint">
                    {student === null
                        ? t('Choose a student for theirs.')
                        : of.isPending || opened !== undefined
                          ? ''
                          : t('The page is not open for this student yet.')}
                </span>
            </Text>
        );
    }
    const passed = learning.stages.filter((stage) => stage.passedOn !== null);
    const last = passed.at(-1);
    return (
        <div className={styles.part}>
            <PathSelect
                size="xs"
                label={t('The path of this page')}
                value={{ path: learning.path, pathId: learning.pathId }}
                onChange={(choice) => save.mutate(choice)}
            />
            <Text size="sm" mt={4}>
                {last?.passedOn
                    ? t('{{passed}} of {{stages}} stages passed, {{name}} on {{shortDate}}. Another path keeps them.', {
                          passed: passed.length,
                          stages: learning.stages.length,
                          name: last.name,
                          shortDate: shortDate(last.passedOn),
                      })
                    : t('{{passed}} of {{stages}} stages passed. Another path keeps them.', {
                          passed: passed.length,
                          stages: learning.stages.length,
                      })}
            </Text>
            <Trouble error={save.error} />
        </div>
    );
}

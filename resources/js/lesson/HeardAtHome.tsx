import { Button, Group, Text } from '@mantine/core';
import { type Api, api, at } from '../api';
import { heardWords } from '../listening/words';
import { useKeys } from '../shared/keys';
import { QUIET } from '../shared/quiet';
import { shortDate } from '../shared/words';
import { t } from '../text';
import type { Slip } from './useLesson';

type Take = Api['TakeResource'];
type Proposed = Api['ProposedSlipResource'];

interface Props {
    lesson: number;
    /** The tasks of the page that is shown. */
    tasks: readonly { id: number }[];
    /** Slips that are noted already. */
    noted: readonly Pick<Slip, 'kind' | 'measure'>[];
    /** Notes a slip of a task at a bar, by its index. */
    note: (task: number, kind: Proposed['kind'], measure: number) => void;
}

/** The takes that home has sent for a page: what was heard, and the slips that they propose. */
export function HeardAtHome({ lesson, tasks, noted, note }: Props) {
    const all = api.useQuery('get', '/lessons/{lesson}/takes', at({ lesson }), { staleTime: 60_000 });
    const takes = (all.data ?? []).filter((take) => tasks.some((task) => task.id === take.taskId));
    const proposed = proposedBy(takes).filter(
        ({ slip }) => !noted.some((one) => one.kind === slip.kind && one.measure === slip.measure),
    );
    const [first] = proposed;
    useKeys(
        first === undefined
            ? []
            : [
                  {
                      key: 'n',
                      does: t('note the next slip that was heard'),
                      run: () => note(first.taskId, first.slip.kind, first.slip.measure),
                  },
              ],
    );
    if (takes.length === 0) return null;
    return (
        <section className="sheet" aria-label={t('What was heard')}>
            <Text fw={700}>{t('What was heard')}</Text>
            <Often takes={takes} />
            <ol className="plain-list">
                {takes.map((take) => (
                    <li key={take.id}>
                        <Text size="sm">
                            {shortDate(take.onDate)}: {heardWords(take)}
                        </Text>
                    </li>
                ))}
            </ol>
            {proposed.map(({ slip, taskId, times }) => (
                <Group key={nameOf(slip)} gap="xs" mt={4}>
                    <Text size="sm">
                        {t('Bar {{bar}}: {{words}}', { bar: slip.bar, words: slip.words })}{' '}
                        <span className="faint">
                            {slip.why}
                            {times > 1 && t(', {{times}} times', { times })}
                        </span>
                    </Text>
                    <Button
                        {...QUIET}
                        aria-label={t('Note it: {{words}}, bar {{bar}}', { words: slip.words, bar: slip.bar })}
                        onClick={() => note(taskId, slip.kind, slip.measure)}
                    >
                        {slip === first?.slip ? t('note it (n)') : t('note it')}
                    </Button>
                </Group>
            ))}
        </section>
    );
}

const nameOf = (slip: Proposed) => `${slip.kind} ${slip.measure} ${slip.hand ?? ''}`;

interface Told {
    slip: Proposed;
    taskId: number;
    times: number;
}

/** Each slip once, what several takes propose first. */
function proposedBy(takes: readonly Take[]): Told[] {
    const found = new Map<string, Told>();
    for (const { slips, taskId } of takes) {
        if (taskId === null) continue;
        for (const slip of slips) {
            const before = found.get(nameOf(slip)) ?? { slip, taskId, times: 0 };
            found.set(nameOf(slip), { ...before, times: before.times + 1 });
        }
    }
    return [...found.values()].sort((a, b) => b.times - a.times || a.slip.measure - b.slip.measure);
}

/** Which bars went wrong in how many takes. */
function Often({ takes }: { takes: readonly Take[] }) {
    const times = new Map<number, number>();
    for (const bar of takes.flatMap((take) => take.bars)) times.set(bar, (times.get(bar) ?? 0) + 1);
    if (times.size === 0) return null;
    const bars = [...times].sort(([a], [b]) => a - b);
    const isOne = takes.length === 1;
    const said = bars.map(([bar, of]) => (isOne ? t('bar {{bar}}', { bar }) : t('bar {{bar}} in {{of}}', { bar, of })));
    return (
        <Text size="sm">
            {isOne
                ? t('Went wrong: {{said}}.', { said: said.join(', ') })
                : t('Of {{takes}} takes went wrong: {{said}}.', { takes: takes.length, said: said.join(', ') })}
        </Text>
    );
}

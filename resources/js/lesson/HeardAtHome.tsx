import { Button, Group, Text } from '@mantine/core';
import { type Api, api, at, type LessonTask } from '../api';
import { useKeys } from '../shared/keys';
import { QUIET } from '../shared/quiet';
import { shortDate } from '../shared/words';
import { t } from '../text';
import type { Slip } from './useLesson';

type Take = Api['TakeResource'];
type Proposed = Api['ProposedSlipResource'];

interface Props {
    task: LessonTask;
    /** Slips that are noted already. */
    noted: readonly Pick<Slip, 'kind' | 'measure'>[];
    /** Notes a slip at a bar, by its index. */
    note: (kind: Proposed['kind'], measure: number) => void;
}

/** The takes that home has sent for a task: what was heard, and the slips that they propose. */
export function HeardAtHome({ task, noted, note }: Props) {
    const takes = api.useQuery('get', '/tasks/{task}/takes', at({ task: task.id }), {
        enabled: task.bars.length > 0,
        staleTime: 60_000,
    });
    const proposed = proposedBy(takes.data ?? []).filter(
        ({ slip }) => !noted.some((one) => one.kind === slip.kind && one.measure === slip.measure),
    );
    const [first] = proposed;
    useKeys(
        first === undefined
            ? []
            : [
                  {
                      key: 'n',
                      does: t('note the next slip heard at home'),
                      run: () => note(first.slip.kind, first.slip.measure),
                  },
              ],
    );
    if (takes.data === undefined || takes.data.length === 0) return null;
    return (
        <section className="sheet" aria-label={t('Heard at home')}>
            <Text fw={700}>{t('Heard at home')}</Text>
            <Often takes={takes.data} />
            <ol className="plain-list">
                {takes.data.map((take) => (
                    <li key={take.id}>
                        <Text size="sm">
                            {shortDate(take.onDate)}: {heardWords(take)}
                        </Text>
                    </li>
                ))}
            </ol>
            {proposed.map(({ slip, times }) => (
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
                        onClick={() => note(slip.kind, slip.measure)}
                    >
                        {slip === first?.slip ? t('note it (n)') : t('note it')}
                    </Button>
                </Group>
            ))}
        </section>
    );
}

const nameOf = (slip: Proposed) => `${slip.kind} ${slip.measure} ${slip.hand ?? ''}`;

/** Each slip once, what several takes propose first. */
function proposedBy(takes: readonly Take[]): { slip: Proposed; times: number }[] {
    const found = new Map<string, { slip: Proposed; times: number }>();
    for (const slip of takes.flatMap((take) => take.slips)) {
        const before = found.get(nameOf(slip));
        found.set(nameOf(slip), { slip: before?.slip ?? slip, times: (before?.times ?? 0) + 1 });
    }
    return [...found.values()].sort((a, b) => b.times - a.times || a.slip.measure - b.slip.measure);
}

/** Which bars went wrong in how many takes. */
function Often({ takes }: { takes: readonly Take[] }) {
    const times = new Map<number, number>();
    for (const bar of takes.flatMap((take) => take.bars)) times.set(bar, (times.get(bar) ?? 0) + 1);
    if (times.size === 0) return null;
    const said = [...times].sort(([a], [b]) => a - b).map(([bar, of]) => t('bar {{bar}} in {{of}}', { bar, of }));
    return (
        <Text size="sm">
            {t('Of {{takes}} takes went wrong: {{said}}.', { takes: takes.length, said: said.join(', ') })}
        </Text>
    );
}

function heardWords(take: Take): string {
    const said = [
        take.clean ? t('clean') : t('{{faults}} wrong or missed', { faults: take.faults }),
        ...(take.stalls > 0
            ? [take.stalls === 1 ? t('stood still once') : t('stood still {{stalls}} times', { stalls: take.stalls })]
            : []),
        ...(take.restarts > 0
            ? [
                  take.restarts === 1
                      ? t('began again once')
                      : t('began again {{restarts}} times', { restarts: take.restarts }),
              ]
            : []),
        ...(take.tempo === null ? [] : [`♩ = ${take.tempo}`]),
        ...(take.steady === null ? [] : [t('steady in {{steady}} of 100 beats', { steady: take.steady })]),
    ];
    return said.join(', ');
}

import { Button, Group, Select } from '@mantine/core';
import { useState } from 'react';
import { t } from '../text';
import { type DraftStep, type Learning, ownWords, stepOf } from './makeUp';

interface Props {
    learnings: readonly Learning[];
    add: (step: DraftStep) => void;
    isFull: boolean;
}

const ALL = 'all';

/** A step from a stage of an open page, or the teacher’s own words. */
export function AddStep({ learnings, add, isFull }: Props) {
    const [page, setPage] = useState<string | null>(String(learnings[0]?.id ?? ''));
    const learning = learnings.find((one) => String(one.id) === page);
    const [stageId, setStage] = useState<string | null>(null);
    const stages = learning?.stages ?? [];
    // The next stage that is not passed is the likeliest.
    const stage =
        stages.find((one) => String(one.id) === stageId) ?? stages.find((one) => one.passedOn === null) ?? stages[0];
    const [part, setPart] = useState<string>(ALL);
    const bars = stage?.bars ?? [];
    const isPart = part !== ALL && bars[Number(part)] !== undefined;
    return (
        <section className="sheet" aria-label={t('Add a step')}>
            <Group align="flex-end">
                <Select
                    label={t('Page')}
                    value={page}
                    allowDeselect={false}
                    onChange={(value) => {
                        setPage(value);
                        setStage(null);
                        setPart(ALL);
                    }}
                    data={learnings.map((one) => ({ value: String(one.id), label: one.title }))}
                    nothingFoundMessage={t('No page is open.')}
                />
                <Select
                    label={t('Stage')}
                    value={stage === undefined ? null : String(stage.id)}
                    allowDeselect={false}
                    onChange={(value) => {
                        setStage(value);
                        setPart(ALL);
                    }}
                    data={stages.map((one) => ({ value: String(one.id), label: one.name }))}
                />
                <WhichBars bars={bars} part={isPart ? part : ALL} setPart={setPart} />
                <Button
                    variant="default"
                    disabled={learning === undefined || stage === undefined || isFull}
                    onClick={() =>
                        learning !== undefined &&
                        stage !== undefined &&
                        add(stepOf(learning, stage, isPart ? Number(part) : null))
                    }
                >
                    {t('Add this step')}
                </Button>
                <Button variant="default" disabled={isFull} onClick={() => add(ownWords())}>
                    {t('Add my own words')}
                </Button>
            </Group>
        </section>
    );
}

interface BarsProps {
    bars: Learning['stages'][number]['bars'];
    part: string;
    setPart: (part: string) => void;
}

/** All bars of a stage, or some of them. */
function WhichBars({ bars, part, setPart }: BarsProps) {
    if (bars.length < 2) return null;
    return (
        <Select
            label={t('Bars')}
            value={part}
            allowDeselect={false}
            onChange={(value) => setPart(value ?? ALL)}
            data={[
                { value: ALL, label: t('all of them') },
                ...bars.map((one, i) => ({ value: String(i), label: one.label })),
            ]}
        />
    );
}

import { Button, Group, NumberInput, SegmentedControl, Stack, Text } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { type Api, api, ask, at, keyOf } from '../api';
import { Trouble, Waiting } from '../shared/Notes';
import { t } from '../text';

type Ladder = Api['LadderResource'];

const HANDS: { value: Api['LadderResource']['hand']; label: string }[] = [
    { value: '', label: t('Both') },
    { value: 'R', label: t('Right') },
    { value: 'L', label: t('Left') },
];

/** The tempo ladders of a student on a piece: that of the page, or the teacher's, for both hands or for one. */
export function Ladders({ learningId }: { learningId: number }) {
    const client = useQueryClient();
    const place = at({ learning: learningId });
    const [hand, setHand] = useState<Api['LadderResource']['hand']>('');
    const ladders = api.useQuery('get', '/learnings/{learning}/ladders', place);
    const save = useMutation({
        mutationFn: (body: Omit<Api['LadderRequest'], 'hand'>) =>
            ask('put', '/learnings/{learning}/ladders', { ...place, body: { hand: hand || null, ...body } }),
        onSuccess: (answer) => client.setQueryData(keyOf('/learnings/{learning}/ladders', place), answer),
    });
    const ladder = ladders.data?.find((one) => one.hand === hand);
    if (ladders.error) return <Trouble error={ladders.error} again={() => ladders.refetch()} />;
    if (ladder === undefined) return <Waiting what={t('Fetching the ladders…')} />;
    return (
        <Stack gap="sm">
            <SegmentedControl
                aria-label={t('Hands')}
                value={hand}
                onChange={(of) => setHand(HANDS.find((one) => one.value === of)?.value ?? '')}
                data={HANDS}
            />
            <Text size="sm">
                {ladder.rungs.join(' · ')}
                <span className="faint"> {ladder.own ? '' : t(', as the page has it')}</span>
            </Text>
            <LadderForm
                key={`${hand} ${ladder.rungs.join()}`}
                ladder={ladder}
                saving={save.isPending}
                save={(start, goal, step) => save.mutate({ start, goal, step })}
                remove={() => save.mutate({ start: null, goal: null, step: null })}
            />
            <Trouble error={save.error} />
        </Stack>
    );
}

interface Props {
    ladder: Ladder;
    saving: boolean;
    save: (start: number, goal: number, step: number | null) => void;
    remove: () => void;
}

function LadderForm({ ladder, saving, save, remove }: Props) {
    const [start, setStart] = useState(ladder.rungs[0] ?? 60);
    const [goal, setGoal] = useState(ladder.rungs.at(-1) ?? 100);
    const [step, setStep] = useState(ladder.step);
    const submit = (event: FormEvent) => {
        event.preventDefault();
        save(start, goal, step);
    };
    return (
        <form onSubmit={submit}>
            <Group grow align="flex-start">
                <NumberInput
                    label={t('From')}
                    min={20}
                    max={400}
                    value={start}
                    onChange={(value) => setStart(Number(value))}
                />
                <NumberInput
                    label={t('To')}
                    min={20}
                    max={400}
                    value={goal}
                    onChange={(value) => setGoal(Number(value))}
                />
                <NumberInput
                    label={t('By')}
                    placeholder={t('the metronome’s marks')}
                    min={1}
                    max={60}
                    value={step ?? ''}
                    onChange={(value) => setStep(value === '' ? null : Number(value))}
                />
            </Group>
            <Group mt="sm">
                <Button type="submit" loading={saving}>
                    {t('Save')}
                </Button>
                {ladder.own && (
                    <Button variant="default" onClick={remove}>
                        {t('As the page has it')}
                    </Button>
                )}
            </Group>
        </form>
    );
}

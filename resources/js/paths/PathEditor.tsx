import { Button, Group, Select, Text, TextInput, Title } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { type KeyboardEvent, useRef, useState } from 'react';
import { type Api, ask, at } from '../api';
import { Trouble } from '../shared/Notes';
import { t } from '../text';
import { OwnStage } from './OwnStage';
import styles from './PathEditor.module.css';
import type { Step } from './steps';
import { type StepsInHand, useSteps } from './useSteps';

type Path = Api['PathResource'];

interface Props {
    start: Path;
    all: readonly Path[];
    done: () => void;
    leave: () => void;
}

/** A path as a list to be put in order, by buttons or with Alt and the arrows. */
export function PathEditor({ start, all, done, leave }: Props) {
    const [name, setName] = useState(start.name);
    const hand = useSteps(start.steps);
    const { steps } = hand;
    const [own, setOwn] = useState<Step | 'new' | null>(null);
    const save = useMutation({
        mutationFn: () =>
            start.id === null
                ? ask('post', '/paths', { body: { name, steps } })
                : ask('put', '/paths/{path}', { ...at({ path: start.id }), body: { name, steps } }),
        onSuccess: done,
    });
    return (
        <>
            <Title order={1} fz={28} mb="sm">
                {start.id === null ? t('A path of your own') : t('The path “{{name}}”', { name: start.name })}
            </Title>
            <div className={styles.editor}>
                <TextInput
                    label={t('Name')}
                    required
                    value={name}
                    onChange={(event) => setName(event.currentTarget.value)}
                />
                <Text size="sm" className="faint" mt="sm">
                    {t('Alt with ↑ or ↓ moves a stage. Stages that do not apply to a page drop out by themselves.')}
                </Text>
                <StepList hand={hand} change={setOwn} />
                {steps.length === 0 && <Text role="status">{t('No stage is left. Add one.')}</Text>}
                <AddStage hand={hand} all={all} addOwn={() => setOwn('new')} />
                <Trouble error={save.error} />
                <Group>
                    <Button loading={save.isPending} onClick={() => save.mutate()}>
                        {t('Save the path')}
                    </Button>
                    <Button variant="default" onClick={leave}>
                        {t('Leave it as it was')}
                    </Button>
                </Group>
            </div>
            {own !== null && (
                <OwnStage
                    start={own === 'new' ? null : own}
                    close={() => setOwn(null)}
                    keep={(step) => {
                        own === 'new' ? hand.add(step) : hand.replace(own, step);
                        setOwn(null);
                    }}
                />
            )}
        </>
    );
}

function StepList({ hand, change }: { hand: StepsInHand; change: (step: Step) => void }) {
    const list = useRef<HTMLOListElement>(null);
    const move = (from: number, by: number) => {
        hand.move(from, by);
        requestAnimationFrame(() =>
            list.current?.children[from + by]?.querySelector<HTMLElement>('[data-handle]')?.focus(),
        );
    };
    return (
        <ol ref={list} className={`plain-list ${styles.steps}`} aria-label={t('Stages in order')}>
            {hand.steps.map((step, place) => (
                <StepRow
                    key={step.name}
                    step={step}
                    place={place}
                    isLast={place === hand.steps.length - 1}
                    move={(by) => move(place, by)}
                    change={() => change(step)}
                    leaveOut={() => hand.leaveOut(step)}
                />
            ))}
        </ol>
    );
}

interface RowProps {
    step: Step;
    /** From 0. */
    place: number;
    isLast: boolean;
    move: (by: number) => void;
    change: () => void;
    leaveOut: () => void;
}

function StepRow({ step, place, isLast, move, change, leaveOut }: RowProps) {
    const onKey = (event: KeyboardEvent) => {
        const by = event.altKey ? ({ ArrowUp: -1, ArrowDown: 1 }[event.key] ?? 0) : 0;
        if (by === 0) return;
        event.preventDefault();
        move(by);
    };
    const small = { size: 'compact-xs', variant: 'default' } as const;
    return (
        <li className={styles.step}>
            <button type="button" data-handle className={styles.handle} onKeyDown={onKey}>
                {place + 1}. <b>{step.name}</b> <span className="faint">{step.sentence}</span>
            </button>
            <Group gap={4} wrap="nowrap">
                {step.kind === 'own' && (
                    <Button {...small} onClick={change}>
                        {t('Change')}
                    </Button>
                )}
                <Button
                    {...small}
                    aria-label={t('{{name}} earlier', { name: step.name })}
                    disabled={place === 0}
                    onClick={() => move(-1)}
                >
                    ↑
                </Button>
                <Button
                    {...small}
                    aria-label={t('{{name}} later', { name: step.name })}
                    disabled={isLast}
                    onClick={() => move(1)}
                >
                    ↓
                </Button>
                <Button {...small} onClick={leaveOut}>
                    {t('Leave out')}
                </Button>
            </Group>
        </li>
    );
}

interface AddProps {
    hand: StepsInHand;
    all: readonly Path[];
    addOwn: () => void;
}

/** Stages of the trade that are not on the path yet, or one of her own. */
function AddStage({ hand, all, addOwn }: AddProps) {
    const trade = all.flatMap((path) => path.steps).filter((step) => step.kind !== 'own');
    const free = [...new Map(trade.map((step) => [step.kind, step])).values()].filter(
        (step) => !hand.steps.some((one) => one.kind === step.kind),
    );
    return (
        <Group align="flex-end" mb="md">
            <Select
                label={t('Add a stage')}
                placeholder={free.length === 0 ? t('all are on it') : t('choose one')}
                w={260}
                value={null}
                disabled={free.length === 0}
                data={free.map((step) => step.kind)}
                onChange={(kind) => {
                    const step = free.find((one) => one.kind === kind);
                    if (step !== undefined) hand.add(step);
                }}
            />
            <Button variant="default" onClick={addOwn}>
                {t('Add one of your own')}
            </Button>
            <Button variant="subtle" disabled={!hand.canUndo} onClick={hand.undo}>
                {t('Undo')}
            </Button>
        </Group>
    );
}

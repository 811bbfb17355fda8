import { Button, Group, Select, Text, TextInput, Title } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { type KeyboardEvent, useRef, useState } from 'react';
import { type Api, ask, at } from '../api';
import { Trouble } from '../shared/Notes';
import { OwnStage } from './OwnStage';
import { moved, type Step } from './steps';

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
    const [steps, setSteps] = useState<Step[]>(start.steps);
    const [past, setPast] = useState<Step[][]>([]);
    const [own, setOwn] = useState<Step | 'new' | null>(null);
    const list = useRef<HTMLOListElement>(null);
    const save = useMutation({
        mutationFn: () =>
            start.id === null
                ? ask('post', '/paths', { body: { name, steps } })
                : ask('put', '/paths/{path}', { ...at({ path: start.id }), body: { name, steps } }),
        onSuccess: done,
    });
    const change = (next: Step[]) => {
        setPast([...past, steps]);
        setSteps(next);
    };
    const move = (at: number, by: number) => {
        change(moved(steps, at, by));
        requestAnimationFrame(() =>
            list.current?.children[at + by]?.querySelector<HTMLElement>('[data-handle]')?.focus(),
        );
    };
    const onKey = (event: KeyboardEvent, at: number) => {
        const by = event.altKey ? ({ ArrowUp: -1, ArrowDown: 1 }[event.key] ?? 0) : 0;
        if (by === 0) return;
        event.preventDefault();
        move(at, by);
    };
    const trade = all.flatMap((path) => path.steps).filter((step) => step.kind !== 'own');
    const free = [...new Map(trade.map((step) => [step.kind, step])).values()].filter(
        (step) => !steps.some((one) => one.kind === step.kind),
    );
    return (
        <>
            <Title order={1} fz={28} mb="sm">
                {start.id === null ? 'A path of your own' : `The path “${start.name}”`}
            </Title>
            <div style={{ maxWidth: 780 }}>
                <TextInput
                    label="Name"
                    required
                    value={name}
                    onChange={(event) => setName(event.currentTarget.value)}
                />
                <Text size="sm" className="faint" mt="sm">
                    Alt with ↑ or ↓ moves a stage. Stages that do not apply to a page drop out by themselves.
                </Text>
                <ol ref={list} className="plain-list" aria-label="Stages in order" style={{ margin: '0.4rem 0' }}>
                    {steps.map((step, at) => (
                        <li key={step.name} className="path-step">
                            <button
                                type="button"
                                data-handle
                                className="path-handle"
                                onKeyDown={(event) => onKey(event, at)}
                            >
                                {at + 1}. <b>{step.name}</b> <span className="faint">{step.sentence}</span>
                            </button>
                            <Group gap={4} wrap="nowrap">
                                {step.kind === 'own' && (
                                    <Button size="compact-xs" variant="default" onClick={() => setOwn(step)}>
                                        Change
                                    </Button>
                                )}
                                <Button
                                    size="compact-xs"
                                    variant="default"
                                    aria-label={`${step.name} earlier`}
                                    disabled={at === 0}
                                    onClick={() => move(at, -1)}
                                >
                                    ↑
                                </Button>
                                <Button
                                    size="compact-xs"
                                    variant="default"
                                    aria-label={`${step.name} later`}
                                    disabled={at === steps.length - 1}
                                    onClick={() => move(at, 1)}
                                >
                                    ↓
                                </Button>
                                <Button
                                    size="compact-xs"
                                    variant="default"
                                    onClick={() => change(steps.filter((_, i) => i !== at))}
                                >
                                    Leave out
                                </Button>
                            </Group>
                        </li>
                    ))}
                </ol>
                {steps.length === 0 && <Text role="status">No stage is left. Add one.</Text>}
                <Group align="flex-end" mb="md">
                    <Select
                        label="Add a stage"
                        placeholder={free.length === 0 ? 'all are on it' : 'choose one'}
                        w={260}
                        value={null}
                        disabled={free.length === 0}
                        data={free.map((step) => step.kind)}
                        onChange={(kind) => {
                            const step = free.find((one) => one.kind === kind);
                            if (step !== undefined) change([...steps, step]);
                        }}
                    />
                    <Button variant="default" onClick={() => setOwn('new')}>
                        Add one of your own
                    </Button>
                    <Button
                        variant="subtle"
                        disabled={past.length === 0}
                        onClick={() => {
                            setSteps(past.at(-1) ?? steps);
                            setPast(past.slice(0, -1));
                        }}
                    >
                        Undo
                    </Button>
                </Group>
                <Trouble error={save.error} />
                <Group>
                    <Button loading={save.isPending} onClick={() => save.mutate()}>
                        Save the path
                    </Button>
                    <Button variant="default" onClick={leave}>
                        Leave it as it was
                    </Button>
                </Group>
            </div>
            {own !== null && (
                <OwnStage
                    start={own === 'new' ? null : own}
                    close={() => setOwn(null)}
                    keep={(step) => {
                        change(own === 'new' ? [...steps, step] : steps.map((one) => (one === own ? step : one)));
                        setOwn(null);
                    }}
                />
            )}
        </>
    );
}

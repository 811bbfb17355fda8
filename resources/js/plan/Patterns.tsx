import { ActionIcon, Button, FileButton, Group, Stack, Text, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { type Api, api, ask, at, keyOf, type Week } from '../api';
import { Trouble, Waiting } from '../shared/Notes';
import { minutes } from '../shared/words';
import { t } from '../text';
import styles from './Patterns.module.css';
import type { WeekInHand } from './useWeek';

/** Patterns: tasks that are not tied to a page, kept under a name, given again, and passed on as a file. */
export function Patterns({ week, hand, done }: { week: Week; hand: WeekInHand; done: () => void }) {
    const client = useQueryClient();
    const patterns = api.useQuery('get', '/patterns');
    const again = () => client.invalidateQueries({ queryKey: keyOf('/patterns') });
    const keep = useMutation({
        mutationFn: (body: Api['PatternRequest']) => ask('post', '/patterns', { body }),
        onSuccess: again,
    });
    const drop = useMutation({
        mutationFn: (pattern: number) => ask('delete', '/patterns/{pattern}', at({ pattern })),
        onSuccess: again,
    });
    if (patterns.isPending) return <Waiting what={t('Fetching the templates…')} />;
    return (
        <Stack gap="md">
            {patterns.data?.length === 0 && (
                <Text size="sm">
                    {t('None yet. Keep the tasks of this week that are not tied to a page, under a name.')}
                </Text>
            )}
            <ul className={`plain-list ${styles.list}`} aria-label={t('Templates')}>
                {patterns.data?.map((pattern) => (
                    <PatternRow
                        key={pattern.id}
                        pattern={pattern}
                        give={() => hand.fill.mutate({ pattern: pattern.id }, { onSuccess: done })}
                        drop={() => drop.mutate(pattern.id)}
                    />
                ))}
            </ul>
            <KeepPattern
                keep={(body, kept) => keep.mutate(body, { onSuccess: kept })}
                saving={keep.isPending}
                weekId={week.id}
            />
            <Trouble error={patterns.error ?? keep.error ?? drop.error ?? hand.fill.error} />
        </Stack>
    );
}

/** Keeps the tasks of this week under a name, or takes a colleague’s file. */
function KeepPattern({
    keep,
    saving,
    weekId,
}: {
    keep: (body: Api['PatternRequest'], kept: () => void) => void;
    saving: boolean;
    weekId: number;
}) {
    const [name, setName] = useState('');
    const submit = (event: FormEvent) => {
        event.preventDefault();
        keep({ name, weekId }, () => setName(''));
    };
    const read = async (file: File | null) => {
        if (file === null) return;
        try {
            keep(JSON.parse(await file.text()), () => {});
        } catch {
            keep({ name: file.name, tasks: [] }, () => {});
        }
    };
    return (
        <Group component="form" onSubmit={submit} align="flex-end" gap="xs">
            <TextInput
                label={t('Save as template; not tied to a page')}
                required
                maxLength={60}
                value={name}
                onChange={(event) => setName(event.currentTarget.value)}
                className={styles.name}
            />
            <Button type="submit" variant="default" loading={saving}>
                {t('Keep')}
            </Button>
            <FileButton accept="application/json,.json" onChange={read}>
                {(props) => (
                    <Button variant="subtle" {...props}>
                        {t('A colleague’s file')}
                    </Button>
                )}
            </FileButton>
        </Group>
    );
}

/** What a pattern holds; it is given, passed on or removed. */
function PatternRow({
    pattern,
    give,
    drop,
}: {
    pattern: Api['WeekPatternResource'];
    give: () => void;
    drop: () => void;
}) {
    return (
        <li>
            <Group justify="space-between" wrap="nowrap" gap="xs">
                <div>
                    <Text fw={700}>{pattern.name}</Text>
                    <Text size="sm" className="faint">
                        {pattern.tasks.map((task) => `${task.title}, ${minutes(task.halfMinutes / 2)}`).join(' · ')}
                    </Text>
                </div>
                <Group gap={6} wrap="nowrap">
                    <Button size="compact-sm" onClick={give}>
                        {t('Give')}
                    </Button>
                    <Button
                        size="compact-sm"
                        variant="default"
                        component="a"
                        download={`${pattern.name}.json`}
                        href={`data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify({ name: pattern.name, tasks: pattern.tasks }))}`}
                    >
                        {t('Pass on')}
                    </Button>
                    <ActionIcon
                        variant="subtle"
                        c="var(--thorn)"
                        aria-label={t('Delete the template {{name}}', { name: pattern.name })}
                        onClick={drop}
                    >
                        ✕
                    </ActionIcon>
                </Group>
            </Group>
        </li>
    );
}

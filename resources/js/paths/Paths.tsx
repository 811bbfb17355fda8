import { Anchor, Button, Group, SimpleGrid, Text, Title } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { type Api, ask, at } from '../api';
import { Dialog } from '../shared/Dialog';
import { Trouble, Waiting } from '../shared/Notes';
import { usePaths } from '../shared/PathSelect';
import { t } from '../text';
import { PathEditor } from './PathEditor';
import styles from './Paths.module.css';

type Path = Api['PathResource'];

/** The ways a page is learnt: three that ship, and the studio’s own. */
export function Paths() {
    const paths = usePaths();
    const client = useQueryClient();
    const [edited, setEdited] = useState<Path | null>(null);
    const [doomed, setDoomed] = useState<Path | null>(null);
    const fresh = () => client.invalidateQueries();
    const remove = useMutation({
        mutationFn: (path: number) => ask('delete', '/paths/{path}', at({ path })),
        onSuccess: async () => {
            setDoomed(null);
            await fresh();
        },
    });
    if (paths.isPending) return <Waiting what={t('Fetching the paths…')} />;
    if (paths.error) return <Trouble error={paths.error} again={() => paths.refetch()} />;
    if (edited !== null) {
        return (
            <PathEditor
                start={edited}
                all={paths.data}
                done={async () => {
                    setEdited(null);
                    await fresh();
                }}
                leave={() => setEdited(null)}
            />
        );
    }
    const names = paths.data.map((path) => path.name);
    return (
        <>
            <Intro />
            <SimpleGrid cols={{ base: 1, sm: 2, lg: 3 }}>
                {paths.data.map((path) => (
                    <PathCard
                        key={path.name}
                        path={path}
                        change={() => setEdited(path)}
                        copy={() => setEdited({ ...path, id: null, name: freeName(path.name, names) })}
                        giveUp={() => setDoomed(path)}
                    />
                ))}
            </SimpleGrid>
            <Dialog
                opened={doomed !== null}
                onClose={() => setDoomed(null)}
                title={t('Give up “{{name}}”?', { name: doomed?.name })}
            >
                <Text mb="sm">
                    {t('Students and pages on it go back to the path they had before. What was passed stays passed.')}
                </Text>
                <Trouble error={remove.error} />
                <Button
                    color="flower"
                    loading={remove.isPending}
                    onClick={() => doomed?.id != null && remove.mutate(doomed.id)}
                >
                    {t('Give it up')}
                </Button>
            </Dialog>
        </>
    );
}

interface CardProps {
    path: Path;
    change: () => void;
    copy: () => void;
    giveUp: () => void;
}

function PathCard({ path, change, copy, giveUp }: CardProps) {
    return (
        <section className="sheet" aria-label={path.name}>
            <Text ff="heading" fw={600} fz="lg">
                {path.name}
            </Text>
            <ol className={styles.stages}>
                {path.steps.map((step) => (
                    <li key={step.name}>
                        {step.name}
                        {step.kind === 'own' && <span className="faint"> {t('(your own)')}</span>}
                    </li>
                ))}
            </ol>
            <Group gap="xs">
                {path.id !== null && (
                    <Button size="compact-sm" onClick={change}>
                        {t('Change')}
                    </Button>
                )}
                <Button size="compact-sm" variant="default" onClick={copy}>
                    {t('Copy')}
                </Button>
                {path.id !== null && (
                    <Button size="compact-sm" variant="subtle" c="var(--thorn)" onClick={giveUp}>
                        {t('Give up')}
                    </Button>
                )}
            </Group>
        </section>
    );
}

/** A name that no path has yet: `Beat first, my way`. */
export function freeName(name: string, taken: readonly string[]): string {
    const mine = t('{{name}}, my way', { name }).slice(0, 60);
    for (let count = 2; ; count++) {
        const one = count === 2 ? mine : `${mine.slice(0, 56)} ${count - 1}`;
        if (!taken.includes(one)) return one;
    }
}

/** What a path is, and the way back. */
function Intro() {
    return (
        <>
            <Group justify="space-between" mb="sm">
                <Title order={1} fz={28}>
                    {t('Paths')}
                </Title>
                <Anchor component={Link} to="/studio" c="var(--ink)">
                    {t('Back to the studio')}
                </Anchor>
            </Group>
            <Text mb="md">
                {t(
                    'A path is the order in which a page is learnt. Copy one, move its stages, leave some out, add your own; then choose it for a student, or for one page on the desk.',
                )}
            </Text>
        </>
    );
}

import { Button, Kbd, Text } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { type Api, ask, type Task } from '../shared/api';
import { Trouble, Waiting } from '../shared/Notes';
import { BarButtons } from '../shared/score/BarButtons';
import { Score } from '../shared/score/Score';
import { firstBar, lastBar } from './bars';

interface Props {
    task: Task;
    /** The bar that is pointed at, counted from the task's first. */
    bar: number;
    chooseBar: (bar: number) => void;
    kinds: Api['SlipKindResource'][];
    keys: string[];
    slips: Api['SlipResource'][];
    add: (kind: string) => void;
}

/** The bars of the task, engraved; a bar is pointed at and a slip picked for it. */
export function SlipBoard({ task, bar, chooseBar, kinds, keys, slips, add }: Props) {
    const piece = useQuery({
        queryKey: ['piece', task.pieceId],
        queryFn: () => ask<Api['PieceResource']>('GET', `/pieces/${task.pieceId}`),
        enabled: task.pieceId !== null,
        staleTime: 60_000,
    });
    if (task.pieceId === null || task.bars.length === 0) {
        return (
            <section className="sheet" aria-label={task.title}>
                <Text>{task.instruction}</Text>
            </section>
        );
    }
    if (piece.isPending) return <Waiting what="Fetching the bars…" />;
    if (piece.error) return <Trouble error={piece.error} />;
    const [first, last] = [firstBar(task), lastBar(task)];
    const slipped = new Set(slips.map((slip) => slip.measure - first));
    return (
        <section className="sheet" aria-label={`${task.title}, ${task.piece}`}>
            <Text mb={4}>
                {task.instruction}
                {task.tempo !== null && ` Tempo ${task.tempo}.`}
            </Text>
            <Score
                music={piece.data.music}
                title={`${task.piece}, the bars of this task`}
                scale={38}
                lines={first === 0 && last === piece.data.measures - 1 ? 'printed' : 'free'}
                range={first === 0 && last === piece.data.measures - 1 ? null : [first, last]}
                overlay={(places) => (
                    <BarButtons
                        places={places}
                        label={(i) => `Point at bar ${i + 1} of these${slipped.has(i) ? ', slip noted' : ''}`}
                        state={(i) => (i === bar ? 'chosen' : slipped.has(i) ? 'slip' : 'plain')}
                        choose={chooseBar}
                    />
                )}
            />
            <Text fw={700} mt="sm" mb={4}>
                What went wrong there? <span className="faint">← → point at a bar</span>
            </Text>
            <div style={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(16rem, 1fr))', gap: 4 }}>
                {kinds.map((kind, i) => (
                    <Button
                        key={kind.kind}
                        variant="default"
                        size="compact-md"
                        justify="flex-start"
                        title={kind.remedy}
                        leftSection={<Kbd>{keys[i]}</Kbd>}
                        onClick={() => add(kind.kind)}
                    >
                        {kind.words}
                    </Button>
                ))}
            </div>
        </section>
    );
}

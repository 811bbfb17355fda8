import { useState } from 'react';
import { moved, type Step } from './steps';

/** The stages of a path in their order, each change of which can be taken back. */
export function useSteps(start: Step[]) {
    const [steps, setSteps] = useState(start);
    const [past, setPast] = useState<Step[][]>([]);
    const change = (next: Step[]) => {
        setPast([...past, steps]);
        setSteps(next);
    };
    return {
        steps,
        move: (from: number, by: number) => change(moved(steps, from, by)),
        add: (step: Step) => change([...steps, step]),
        replace: (old: Step, step: Step) => change(steps.map((one) => (one === old ? step : one))),
        leaveOut: (step: Step) => change(steps.filter((one) => one !== step)),
        canUndo: past.length > 0,
        undo() {
            setSteps(past.at(-1) ?? steps);
            setPast(past.slice(0, -1));
        },
    };
}

export type StepsInHand = ReturnType<typeof useSteps>;

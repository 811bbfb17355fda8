import { Text } from '@mantine/core';
import { useEffect, useRef } from 'react';
import type { Finding } from './findings/findings';

interface Props {
    findings: readonly Finding[];
    chosen: number | null;
    pick: (index: number | null) => void;
    /** What to say when there is none. */
    none: string;
}

/** What the lens has found, in sentences; one that is chosen lights its notes. */
export function FindingList({ findings, chosen, pick, none }: Props) {
    const list = useRef<HTMLUListElement>(null);
    useEffect(() => {
        if (chosen !== null) list.current?.children[chosen]?.scrollIntoView({ block: 'nearest' });
    }, [chosen]);
    if (findings.length === 0) return <Text className="faint">{none}</Text>;
    return (
        <ul className="plain-list" ref={list}>
            {findings.map((one, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: two findings may say the same of two places
                <li key={`${i} ${one.title}`}>
                    <button
                        type="button"
                        className="finding"
                        aria-pressed={chosen === i}
                        onClick={() => pick(chosen === i ? null : i)}
                    >
                        <b className={one.thorn ? 'thorn' : undefined}>
                            {one.thorn && '▲ '}
                            {one.title}
                        </b>
                        <br />
                        <span>{one.text}</span>
                    </button>
                </li>
            ))}
        </ul>
    );
}

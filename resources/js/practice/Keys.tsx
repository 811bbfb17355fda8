import { useMediaQuery } from '@mantine/hooks';
import { useEffect, useRef, useState } from 'react';
import { Piano } from '../shared/piano/Piano';
import styles from './Practice.module.css';

const OCTAVE = 12;
const LETTERS: Record<string, number> = { c: 0, d: 2, e: 4, f: 5, g: 7, a: 9, b: 11 };

interface Props {
    /** A key that has to be among them. */
    around: number;
    marked: readonly number[];
    struck: (key: number) => void;
    disabled?: boolean;
}

/** One octave of large keys on a phone, two where there is room; letters strike keys too, with shift the black one above. */
export function Keys({ around, marked, struck, disabled = false }: Props) {
    const isWide = useMediaQuery('(min-width: 760px)', false, { getInitialValueInEffect: false });
    const from = around - (around % OCTAVE) - (isWide && around >= 60 ? OCTAVE : 0);
    const to = from + (isWide ? 2 : 1) * OCTAVE - 1;
    const latest = useRef(struck);
    latest.current = struck;
    const low = around - (around % OCTAVE);
    useEffect(() => {
        const press = (event: KeyboardEvent) => {
            const step = LETTERS[event.key.toLowerCase()];
            if (step === undefined || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
            latest.current(low + step + (event.shiftKey ? 1 : 0));
        };
        window.addEventListener('keydown', press);
        return () => window.removeEventListener('keydown', press);
    }, [low]);
    return (
        <div className={styles.keys}>
            <Piano
                from={from}
                to={to}
                marked={marked}
                onChord={(keys) => !disabled && keys[0] !== undefined && struck(keys[0])}
            />
        </div>
    );
}

/** Keys that were struck, lit for a moment. */
export function useLitKeys(): [number[], (key: number) => void] {
    const [lit, setLit] = useState<number[]>([]);
    useEffect(() => {
        if (lit.length === 0) return;
        const timer = setTimeout(() => setLit([]), 250);
        return () => clearTimeout(timer);
    }, [lit]);
    return [lit, (key) => setLit([key])];
}

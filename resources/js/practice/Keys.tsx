import { useMediaQuery } from '@mantine/hooks';
import { useEffect, useState } from 'react';
import { useKeys } from '../shared/keys';
import { Piano } from '../shared/piano/Piano';
import { t } from '../text';
import styles from './Practice.module.css';

const OCTAVE = 12;
const MIDDLE = 60;
const LETTERS = { c: 0, d: 2, e: 4, f: 5, g: 7, a: 9, b: 11 };

/** One octave of large keys on a phone, two where there is room; the key that is wanted is among them. */
export function useKeyRange(around: number): [number, number] {
    const isWide = useMediaQuery('(min-width: 760px)', false, { getInitialValueInEffect: false });
    const from = around - (around % OCTAVE) - (isWide && around >= MIDDLE ? OCTAVE : 0);
    return [from, from + (isWide ? 2 : 1) * OCTAVE - 1];
}

interface Props {
    range: [number, number];
    /** A key of the octave that letters mean. */
    around: number;
    marked: readonly number[];
    struck: (key: number) => void;
    disabled?: boolean;
}

/** Large keys to touch; letters strike them too, with shift the black one above. */
export function Keys({ range: [from, to], around, marked, struck, disabled = false }: Props) {
    const low = around - (around % OCTAVE);
    const letters = Object.entries(LETTERS).flatMap(([letter, step]) => {
        const name = letter.toUpperCase();
        return [
            { key: letter, does: t('the key {{name}}', { name }), run: () => struck(low + step) },
            { key: name, does: t('the key right above {{name}}', { name }), run: () => struck(low + step + 1) },
        ];
    });
    useKeys(disabled ? [] : letters);
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

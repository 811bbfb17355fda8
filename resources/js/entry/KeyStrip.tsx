import { Anchor } from '@mantine/core';
import { memo } from 'react';
import { Link } from 'react-router';
import { useSession } from '../shared/Shell';
import styles from './KeyStrip.module.css';

const LENGTHS = {
    us: 'whole half quarter eighth sixteenth',
    uk: 'semibreve minim crotchet quaver semiquaver',
};

const TYPED: [string, string][] = [
    ['@c4', 'the thumb'],
    ['1–5', 'finger'],
    ['a–g', 'note'],
    ['r', 'rest'],
    ['/', 'bar of rest'],
    ['+ - n', 'sharp flat natural'],
    ['( )', 'chord'],
    ['~', 'tie'],
    ['_ _', 'slur'],
    ['%', 'bar before again'],
    ['=3', 'bar 3 again'],
];

export const PRESSED: [string, string][] = [
    ['Enter', 'next line, other hand'],
    ['Ctrl Enter', 'save'],
    ['Ctrl Z', 'undo'],
    ['Ctrl Y', 'redo'],
    ['F8', 'next mark'],
    ['Alt L', 'listen'],
    ['Alt K', 'piano'],
    ['Alt H', 'swap hands'],
    ['Alt T', 'transpose'],
];

function Keys({ keys }: { keys: [string, string][] }) {
    return keys.map(([key, does]) => (
        <span key={key} className={styles.key}>
            <kbd>{key}</kbd> {does}
        </span>
    ));
}

/** What is typed and what is pressed, always in sight. */
export const KeyStrip = memo(function KeyStrip() {
    const words = useSession().data?.studio.words ?? 'us';
    return (
        <section aria-label="Keys" className="faint">
            <div className={styles.line}>
                <span>
                    <kbd>w h q v x</kbd> {LENGTHS[words]}
                </span>
                <Keys keys={TYPED} />
                <Anchor component={Link} to="/shorthand" c="var(--ink)" fz="0.85rem" underline="always">
                    The whole shorthand
                </Anchor>
            </div>
            <div className={styles.line}>
                <Keys keys={PRESSED} />
            </div>
        </section>
    );
});

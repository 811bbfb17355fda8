import { Anchor } from '@mantine/core';
import { memo } from 'react';
import { Link } from 'react-router';
import { lengthNames } from '../shared/words';
import { t } from '../text';
import styles from './KeyStrip.module.css';

const TYPED: [string, string][] = [
    ['@c4', t('the thumb')],
    ['1–5', t('finger')],
    ['a–g', t('note')],
    ['r', t('rest')],
    ['/', t('bar of rest')],
    ['+ - n', t('sharp flat natural')],
    ['( )', t('chord')],
    ['~', t('tie')],
    ['_ _', t('slur')],
    ['%', t('bar before again')],
    ['=3', t('bar 3 again')],
];

export const PRESSED: [string, string][] = [
    ['Enter', t('next line, other hand')],
    ['Ctrl Enter', t('save')],
    ['Ctrl Z', t('undo')],
    ['Ctrl Y', t('redo')],
    ['F8', t('next mark')],
    ['Alt L', t('listen')],
    ['Alt K', t('piano')],
    ['Alt H', t('swap hands')],
    ['Alt T', t('transpose')],
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
    return (
        <section aria-label={t('Keys')} className="faint">
            <div className={styles.line}>
                <span>
                    <kbd>w h q v x</kbd> {lengthNames.join(' ')}
                </span>
                <Keys keys={TYPED} />
                <Anchor component={Link} to="/shorthand" c="var(--ink)" fz="0.85rem" underline="always">
                    {t('The whole shorthand')}
                </Anchor>
            </div>
            <div className={styles.line}>
                <Keys keys={PRESSED} />
            </div>
        </section>
    );
});

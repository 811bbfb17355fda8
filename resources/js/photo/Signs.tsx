import { Text, UnstyledButton } from '@mantine/core';
import type { Api } from '../api';
import { t } from '../text';
import type { Cursor } from './doubts';
import styles from './Look.module.css';

type Sign = Api['ReadSignResource'];

/** What was read there in words, sign by sign; the one that is looked at is marked. */
export function Signs({
    staff,
    cursor,
    onChoose,
}: {
    staff: Api['ReadStaffResource'];
    cursor: Cursor;
    onChoose: (sign: number) => void;
}) {
    if (staff.signs.length === 0) return <Text size="sm">{t('Nothing was read here. Press a to add a note.')}</Text>;
    return (
        <ol className={`plain-list ${styles.signs}`} aria-label={t('What was read in this bar')}>
            {staff.signs.map((sign, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: a sign has no other name than its place
                <li key={i}>
                    <UnstyledButton
                        className={styles.sign}
                        aria-current={i === cursor.sign ? 'true' : undefined}
                        onClick={() => onChoose(i)}
                    >
                        <span>{said(sign, i === cursor.sign ? cursor.head : null)}</span>
                        <span className="faint">{sign.length}</span>
                    </UnstyledButton>
                </li>
            ))}
        </ol>
    );
}

function said(sign: Sign, chosen: number | null): string {
    if (sign.heads.length === 0) return t('rest');
    return sign.heads
        .map(({ name, finger, tied }, i) => {
            const words = `${name}${finger === null ? '' : ` (${finger})`}${tied ? ' ~' : ''}`;
            return sign.heads.length > 1 && i === chosen ? `[${words}]` : words;
        })
        .join(' ');
}

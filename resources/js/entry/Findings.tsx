import { Button, Text } from '@mantine/core';
import type { Api } from '../api';
import { t } from '../text';
import styles from './Findings.module.css';
import type { Preview } from './usePreview';

interface Props {
    preview: Preview | null;
    /** The number of the bar that is being typed. */
    typing: string | null;
    /** What the file that was brought in holds and the page does not. */
    brought: Api['CheckResource'][];
    onError: (error: Api['ShorthandErrorResource']) => void;
    onCheck: (check: Api['CheckResource']) => void;
    onFix: (fix: Api['FixResource']) => void;
}

/** What cannot be read, with its place in the text, and what does not add up, with its place in the music. */
export function Findings({ preview, typing, brought, onError, onCheck, onFix }: Props) {
    const errors = preview?.errors ?? [];
    const unfinished = (check: Api['CheckResource']) =>
        check.code === 'bar_short' && check.place.split('.')[0] === typing;
    const checks = [...(preview?.checks ?? []).filter((check) => !unfinished(check)), ...brought];
    return (
        <div id="typed-errors" aria-live="polite">
            {errors.map((error) => (
                <button
                    key={`${error.line} ${error.column} ${error.text}`}
                    type="button"
                    className="finding"
                    onClick={() => onError(error)}
                >
                    <b className="thorn">
                        {t('Line {{line}}, column {{column}}:', { line: error.line, column: error.column })}
                    </b>{' '}
                    {error.text}
                </button>
            ))}
            {checks.map((check) => (
                <div key={`${check.place} ${check.code} ${check.hand} ${check.text}`} className={styles.finding}>
                    <button type="button" className="finding" onClick={() => onCheck(check)}>
                        <b>{check.place}</b> {check.text}
                    </button>
                    {check.fix !== null && (
                        <Button
                            size="compact-sm"
                            variant="light"
                            className={styles.fix}
                            onClick={() => check.fix !== null && onFix(check.fix)}
                        >
                            {check.fix.label}
                        </Button>
                    )}
                </div>
            ))}
            {errors.length + checks.length === 0 && (preview?.measures ?? 0) > 0 && (
                <Text size="sm" className="faint" px={8} py={3}>
                    {t('Every bar adds up.')}
                </Text>
            )}
        </div>
    );
}

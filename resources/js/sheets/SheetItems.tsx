import { useEffect, useState } from 'react';
import type { Api } from '../api';
import { KeyMap } from '../shared/piano/KeyMap';
import { engraved, LINE_WIDTH } from '../shared/score/engraved';
import { t } from '../text';
import styles from './Sheets.module.css';

type Item = Api['SheetItemResource'];

interface Props {
    items: Item[];
    /** Told when all music stands there. */
    onDrawn?: () => void;
}

/** A question takes a third of the page; half of it where it has several notes; or a line where it is one. */
function layoutOf(items: Item[]): 'short' | 'wide' | 'line' {
    const count = (of: string) => Math.max(0, ...items.map((item) => (item.music ?? '').split(of).length - 1));
    if (count('<measure ') > 2 || count('<note') > 9 || count('<staves>') > 0) return 'line';
    return count('<note') > 4 ? 'wide' : 'short';
}

/** A line that is no longer than a part of the page is drawn on that part, as large as the others. */
function partOfLine(drawing: string | null | undefined): string {
    const width = Number(/ width="([\d.]+)/.exec(drawing ?? '')?.[1] ?? LINE_WIDTH);
    return `${Math.min(100, (100 * width) / LINE_WIDTH)}%`;
}

/** The questions of a sheet, with room for a child’s pencil. */
export function SheetItems({ items, onDrawn }: Props) {
    const [drawings, setDrawings] = useState<(string | null)[] | null>(null);
    useEffect(() => {
        let gone = false;
        const width = layoutOf(items) === 'line' ? LINE_WIDTH : undefined;
        Promise.all(
            items.map((item) => (item.music === null ? null : engraved(item.music, width).catch(() => null))),
        ).then((all) => {
            if (!gone) setDrawings(all);
        });
        return () => {
            gone = true;
        };
    }, [items]);
    useEffect(() => {
        if (drawings !== null) onDrawn?.();
    }, [drawings, onDrawn]);
    // The same words over every question stand once, above them all.
    const once = new Set(items.map((item) => item.ask)).size === 1 ? (items[0]?.ask ?? '') : '';
    const layout = layoutOf(items);
    return (
        <>
            {once !== '' && <p className={styles.ask}>{once}</p>}
            <ol className={styles.items} data-layout={layout}>
                {items.map((item, i) => (
                    // biome-ignore lint/suspicious/noArrayIndexKey: two questions of a sheet may be alike
                    <li key={i} className={styles.item}>
                        {once === '' && item.ask !== '' && <p className={styles.ask}>{item.ask}</p>}
                        {item.sign !== null && <p className={styles.sign}>{item.sign}</p>}
                        {item.music !== null && (
                            <div
                                className={`score ${styles.music}`}
                                role="img"
                                aria-label={t('The music of question {{number}}', { number: i + 1 })}
                                style={layout === 'line' ? { width: partOfLine(drawings?.[i]) } : undefined}
                                // biome-ignore lint/security/noDangerouslySetInnerHtml: drawn by the engraver from the product's own MusicXML
                                dangerouslySetInnerHTML={{ __html: drawings?.[i] ?? '' }}
                            />
                        )}
                        {item.key !== null && (
                            <KeyMap
                                title={t('A keyboard with a mark')}
                                signs={[{ midi: item.key, text: '×', hand: '' }]}
                            />
                        )}
                        {item.options.length > 0 ? (
                            <p className={styles.options}>
                                {item.options.map((option) => (
                                    <span key={option}>{option}</span>
                                ))}
                            </p>
                        ) : (
                            <p className={styles.line} aria-hidden="true" />
                        )}
                    </li>
                ))}
            </ol>
        </>
    );
}

import { useEffect, useRef, useState } from 'react';
import { engraved } from '../shared/score/engraved';
import { markOf } from './Options';
import styles from './Practice.module.css';
import type { CardData, Verdict } from './useSession';

/** Pixels of a line or a space: a finger’s breadth. */
const ROW = 48;

interface Props {
    card: CardData;
    verdict: Verdict | null;
    choose: (id: string) => void;
    onDrawn: () => void;
}

/** A staff so large that every line and space can be touched. */
export function StaffLadder({ card, verdict, choose, onDrawn }: Props) {
    const [svg, setSvg] = useState('');
    const drawing = useRef<HTMLDivElement>(null);
    useEffect(() => {
        let gone = false;
        engraved(card.music ?? '').then(
            (one) => !gone && setSvg(one),
            () => !gone && onDrawn(),
        );
        return () => {
            gone = true;
        };
    }, [card.music, onDrawn]);
    // The engraved staff is laid under the rows, line on line.
    useEffect(() => {
        const held = drawing.current;
        if (held === null || svg === '') return;
        layUnder(held, (topOf(card) + 0.5) * ROW, 2 * ROW);
        onDrawn();
    }, [svg, card, onDrawn]);
    return (
        <div className={styles.ladder}>
            <div
                ref={drawing}
                className={`score ${styles.under}`}
                aria-hidden="true"
                // biome-ignore lint/security/noDangerouslySetInnerHtml: drawn by the engraver from the product's own MusicXML
                dangerouslySetInnerHTML={{ __html: svg }}
            />
            {card.options.map((option, i) => (
                <button
                    key={option.id}
                    type="button"
                    className={styles.rung}
                    data-ledger={isLedger(i - topOf(card)) ? 'yes' : undefined}
                    data-mark={markOf(card, verdict, option.id)}
                    disabled={verdict !== null}
                    aria-label={option.label}
                    onClick={() => choose(option.id)}
                />
            ))}
        </div>
    );
}

/** Lines and spaces from the top line of a staff to its lowest. */
const STAFF = 9;

/** Which option is the top line: as many stand above the staff as below it. */
const topOf = (card: CardData) => (card.options.length - STAFF) / 2;

/** Whether a place, counted down from the top line, is a line beyond the staff. */
const isLedger = (place: number) => place % 2 === 0 && (place < 0 || place >= STAFF);

/** Moves and scales a drawing so that its top line lies at a height, and its lines so far apart. */
function layUnder(held: HTMLElement, top: number, apart: number): void {
    held.style.transform = 'none';
    const lines = [...held.querySelectorAll('.staff > path')].slice(0, 5).map((line) => line.getBoundingClientRect());
    const [first, last] = [lines[0], lines[4]];
    if (first === undefined || last === undefined) return;
    const box = held.getBoundingClientRect();
    const scale = (4 * apart) / (last.top - first.top);
    const middle = first.top + first.height / 2 - box.top;
    held.style.transform = `translate(${-(first.left - box.left) * scale}px, ${top - middle * scale}px) scale(${scale})`;
}

import { useElementSize } from '@mantine/hooks';
import { memo, type ReactNode, type RefObject, useEffect, useRef, useState } from 'react';
import type { Api } from '../../api';
import { t } from '../../text';
import { Waiting } from '../Notes';
import { Newest } from '../newest';
import { engraveAll } from './engrave';
import type { Order } from './engraver.worker';
import { hideNumbersUnderWords, noteAt, type Places, readPlaces } from './places';
import { SignWords } from './SignWords';

interface Props {
    /** A score, or its printed lines as scores of their own: then only a line that has changed is engraved. */
    music: string | readonly string[];
    title: string;
    scale?: number;
    lines?: 'printed' | 'free';
    /** Rows of words that the staves need room for, above them and below. */
    rows?: Order['rows'];
    /** The layer over the music shows the fingers instead. */
    hideFingers?: boolean;
    range?: [number, number] | null;
    /** Ids of notes to light, and the colour of the hand. */
    lit?: ReadonlyMap<string, 'yes' | 'left'>;
    /** Told of a note or rest that is clicked, by its id. */
    onNote?: (id: string) => void;
    /** Shown on the element once this music stands there. */
    stamp?: string;
    /** Drawn over the music, told where everything stands. */
    overlay?: (places: Places) => ReactNode;
    /** Signs and words of the page that tell at a touch what they mean. */
    words?: readonly Api['PageWordResource'][] | undefined;
}

const NO_ROWS = { above: 0, below: 0 };

const NOTHING_LIT: ReadonlyMap<string, 'yes' | 'left'> = new Map();

/** Engraved music, with a layer over it. */
export function Score({
    music,
    title,
    scale = 42,
    lines = 'printed',
    rows = NO_ROWS,
    hideFingers = false,
    range = null,
    lit = NOTHING_LIT,
    onNote,
    stamp,
    overlay,
    words,
}: Props) {
    const { ref: sizeRef, width } = useElementSize();
    const { holder, drawn, shown, error, places } = useDrawing(
        { music, scale, lines, rows, range, stamp },
        Math.round(width),
        overlay !== undefined || words !== undefined,
    );
    useLit(holder, lit, drawn);
    return (
        <div
            ref={sizeRef}
            className="score"
            data-fingers={hideFingers || rows.below > 0 ? 'hidden' : 'shown'}
            data-above={rows.above > 0 ? 'yes' : undefined}
            data-stamp={shown}
        >
            {error !== null && <p role="alert">{t('The music could not be engraved: {{error}}.', { error })}</p>}
            {drawn === null && error === null && <Waiting what={t('Engraving…')} />}
            {drawn !== null && (
                // biome-ignore lint/a11y/useKeyWithClickEvents: the text beside it is the way by keys
                <div
                    ref={holder}
                    role="img"
                    aria-label={title}
                    onClick={(event) => {
                        const corner = event.currentTarget.getBoundingClientRect();
                        const at = onNote && readPlaces(event.currentTarget);
                        const id = at && noteAt(at, event.clientX - corner.left, event.clientY - corner.top);
                        if (id != null) onNote?.(id);
                    }}
                >
                    {drawn.map((svg, i) => (
                        // biome-ignore lint/suspicious/noArrayIndexKey: a line has no other name than its place
                        <Drawing key={i} svg={svg} />
                    ))}
                </div>
            )}
            {places !== null && overlay?.(places)}
            {places !== null && words !== undefined && words.length > 0 && (
                <SignWords words={words} drawing={holder} places={places} />
            )}
        </div>
    );
}

/** The music, engraved as wide as its place is, and where everything stands on it. */
function useDrawing(
    {
        music,
        scale,
        lines,
        rows,
        range,
        stamp,
    }: Required<Pick<Props, 'music' | 'scale' | 'lines' | 'rows' | 'range'>> & { stamp: string | undefined },
    paper: number,
    layered: boolean,
) {
    const holder = useRef<HTMLDivElement>(null);
    const [lane] = useState(() => new Newest(engraveAll));
    const alive = useRef(true);
    useEffect(() => {
        alive.current = true;
        return () => {
            alive.current = false;
        };
    }, []);
    const [drawn, setDrawn] = useState<readonly string[] | null>(null);
    const [shown, setShown] = useState<string | undefined>(undefined);
    const [error, setError] = useState<string | null>(null);
    const [places, setPlaces] = useState<Places | null>(null);
    const [first, last] = range ?? [null, null];

    useEffect(() => {
        if (paper === 0) return;
        const bars: [number, number] | null = first === null || last === null ? null : [first, last];
        lane.give({
            music: typeof music === 'string' ? [music] : music,
            width: paper,
            scale,
            lines,
            rows,
            range: bars,
            passing: stamp !== undefined,
        }).then(
            (svgs) => {
                if (!alive.current || svgs === null) return;
                setDrawn(svgs);
                setShown(stamp);
                setError(null);
            },
            (reason: Error) => {
                if (alive.current) setError(reason.message);
            },
        );
    }, [lane, music, paper, scale, lines, rows, first, last, stamp]);

    // biome-ignore lint/correctness/useExhaustiveDependencies: places are read anew when the drawing or its size changes
    useEffect(() => {
        if (holder.current === null || drawn === null) return;
        hideNumbersUnderWords(holder.current);
        if (layered) setPlaces(readPlaces(holder.current));
    }, [drawn, paper, layered]);

    return { holder, drawn, shown, error, places };
}

/** Notes that are lit, on the drawing as it stands. */
function useLit(holder: RefObject<HTMLDivElement | null>, lit: Props['lit'] & object, drawn: readonly string[] | null) {
    // biome-ignore lint/correctness/useExhaustiveDependencies: the drawing is replaced when it is drawn anew
    useEffect(() => {
        const held = holder.current;
        if (held === null) return;
        for (const note of held.querySelectorAll('[data-lit]')) note.removeAttribute('data-lit');
        for (const [id, how] of lit) held.querySelector(`[id="${id}"]`)?.setAttribute('data-lit', how);
    }, [lit, drawn]);
}

const Drawing = memo(function Drawing({ svg }: { svg: string }) {
    // biome-ignore lint/security/noDangerouslySetInnerHtml: drawn by the engraver from the product's own MusicXML
    return <div dangerouslySetInnerHTML={{ __html: svg }} />;
});

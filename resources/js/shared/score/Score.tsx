import { useElementSize } from '@mantine/hooks';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { Waiting } from '../Notes';
import { engrave } from './engrave';
import { type Places, readPlaces } from './places';

interface Props {
    music: string;
    title: string;
    scale?: number;
    lines?: 'printed' | 'free';
    /** Room between the staves for words. */
    airy?: boolean;
    /** The layer over the music shows the fingers instead. */
    hideFingers?: boolean;
    range?: [number, number] | null;
    /** Ids of notes to light, and the colour of the hand. */
    lit?: ReadonlyMap<string, 'yes' | 'left'>;
    /** Drawn over the music, told where everything stands. */
    overlay?: (places: Places) => ReactNode;
}

const NOTHING_LIT: ReadonlyMap<string, 'yes' | 'left'> = new Map();

/** Engraved music, with a layer over it. */
export function Score({
    music,
    title,
    scale = 42,
    lines = 'printed',
    airy = false,
    hideFingers = false,
    range = null,
    lit = NOTHING_LIT,
    overlay,
}: Props) {
    const { ref: sizeRef, width } = useElementSize();
    const holder = useRef<HTMLDivElement>(null);
    const [svg, setSvg] = useState<string | null>(null);
    const [error, setError] = useState<string | null>(null);
    const [places, setPlaces] = useState<Places | null>(null);
    const [first, last] = range ?? [null, null];
    const paper = Math.round(width);

    useEffect(() => {
        if (paper === 0) return;
        let stale = false;
        const bars: [number, number] | null = first === null || last === null ? null : [first, last];
        engrave({ music, width: paper, scale, lines, airy, range: bars }).then(
            (drawn) => {
                if (!stale) {
                    setSvg(drawn);
                    setError(null);
                }
            },
            (reason: Error) => {
                if (!stale) setError(reason.message);
            },
        );
        return () => {
            stale = true;
        };
    }, [music, paper, scale, lines, airy, first, last]);

    // biome-ignore lint/correctness/useExhaustiveDependencies: places are read anew when the drawing or its size changes
    useEffect(() => {
        if (holder.current !== null && svg !== null) setPlaces(readPlaces(holder.current));
    }, [svg, paper]);

    // biome-ignore lint/correctness/useExhaustiveDependencies: the drawing is replaced when the svg changes
    useEffect(() => {
        const drawn = holder.current;
        if (drawn === null) return;
        for (const note of drawn.querySelectorAll('[data-lit]')) note.removeAttribute('data-lit');
        for (const [id, how] of lit) drawn.querySelector(`[id="${id}"]`)?.setAttribute('data-lit', how);
    }, [lit, svg]);

    return (
        <div ref={sizeRef} className="score" data-fingers={hideFingers ? 'hidden' : 'shown'}>
            {error !== null && <p role="alert">The music could not be engraved: {error}.</p>}
            {svg === null && error === null && <Waiting what="Engraving…" />}
            {svg !== null && (
                // biome-ignore lint/security/noDangerouslySetInnerHtml: drawn by the engraver from the product's own MusicXML
                <div ref={holder} role="img" aria-label={title} dangerouslySetInnerHTML={{ __html: svg }} />
            )}
            {places !== null && overlay?.(places)}
        </div>
    );
}

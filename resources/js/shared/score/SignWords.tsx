import { Popover, Text } from '@mantine/core';
import { type RefObject, useEffect, useState } from 'react';
import type { Api } from '../../api';
import { t } from '../../text';
import styles from './SignWords.module.css';
import { type Placed, readSigns } from './signs';

interface Props {
    words: readonly Api['PageWordResource'][];
    /** What the music is drawn in. */
    drawing: RefObject<HTMLDivElement | null>;
    /** Changes when everything may stand elsewhere. */
    places: unknown;
}

/** How much larger than a sign is what is touched for it, in pixels. */
const ROOM = 5;

/** Over the signs and words of a page: a touch says what they mean. The first of each is reached by keys. */
export function SignWords({ words, drawing, places }: Props) {
    const [signs, setSigns] = useState<Placed[]>([]);
    const [open, setOpen] = useState<number | null>(null);
    // biome-ignore lint/correctness/useExhaustiveDependencies: signs stand where the places say
    useEffect(() => {
        setSigns(drawing.current === null ? [] : readSigns(drawing.current, words));
        setOpen(null);
    }, [words, drawing, places]);
    return signs.map(({ word, box }, i) => {
        const name = nameOf(word);
        const isFirst = signs.findIndex((one) => one.word === word) === i;
        return (
            <Popover
                // biome-ignore lint/suspicious/noArrayIndexKey: a sign has no other name than its place
                key={i}
                opened={open === i}
                onChange={(on) => setOpen(on ? i : null)}
                withArrow
                position="top"
            >
                <Popover.Target>
                    <button
                        type="button"
                        className={styles.sign}
                        aria-label={t('What does {{name}} say?', { name })}
                        tabIndex={isFirst ? 0 : -1}
                        style={{
                            left: box.x - ROOM,
                            top: box.y - ROOM,
                            width: box.width + 2 * ROOM,
                            height: box.height + 2 * ROOM,
                        }}
                        onClick={() => setOpen(open === i ? null : i)}
                        onKeyDown={(event) => event.key === 'Escape' && setOpen(null)}
                    />
                </Popover.Target>
                <Popover.Dropdown>
                    <Text role="status">
                        <b>{name}</b>: {word.says}
                    </Text>
                </Popover.Dropdown>
            </Popover>
        );
    });
}

const NAMES: Record<string, string> = {
    hairpin: t('the hairpin'),
    staccato: t('the staccato dot'),
    tenuto: t('the tenuto line'),
    accent: t('the accent'),
    'strong-accent': t('the strong accent'),
    staccatissimo: t('the wedge'),
    fermata: t('the fermata'),
    tie: t('the tie'),
    slur: t('the slur'),
    repeat: t('the repeat sign'),
};

const nameOf = (word: Api['PageWordResource']) => (word.text === '' ? (NAMES[word.sign] ?? word.sign) : word.text);

import { useRovingIndex } from '@mantine/hooks';
import { stepAside } from '../keys';
import type { Places } from './places';

interface Props {
    places: Places;
    /** What each bar is called, and how it looks, by index in the drawing. */
    label: (index: number) => string;
    state: (index: number) => 'plain' | 'chosen' | 'slip';
    /** @param more with the shift key: all the bars up to this one */
    choose: (index: number, more: boolean) => void;
}

/** A button over each bar of the music; they are one stop for the tab key, and arrows go from bar to bar. */
export function BarButtons({ places, label, state, choose }: Props) {
    const { getItemProps } = useRovingIndex({ total: places.measures.length, loop: false });
    return places.measures.map((bar, i) => (
        <button
            // biome-ignore lint/suspicious/noArrayIndexKey: bars have no other name than their place
            key={i}
            type="button"
            className="score-bar"
            aria-label={label(i)}
            aria-pressed={state(i) !== 'plain'}
            data-state={state(i)}
            style={{ left: bar.x, top: bar.y - 14, width: bar.width, height: bar.height + 28 }}
            {...getItemProps({
                index: i,
                onClick: (event) => choose(i, event.shiftKey),
                onKeyDown: stepAside,
            })}
        />
    ));
}

// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { useBars } from './useBars';

function bars(count = 8) {
    const { result } = renderHook(() => useBars(count));
    const now = () => result.current.bars;
    return {
        now,
        choose: (index: number, more = false) => act(() => result.current.choose(index, more)),
        step: (by: number, more = false) => act(() => result.current.step(by, more)),
        clear: () => act(() => result.current.clear()),
    };
}

describe('the bars that are chosen', () => {
    it('are one, and none when it is clicked again', () => {
        const desk = bars();
        desk.choose(3);
        expect(desk.now()).toEqual([3, 3]);
        desk.choose(3);
        expect(desk.now()).toBeNull();
    });

    it('reach from the first to the last that is clicked with shift, either way', () => {
        const desk = bars();
        desk.choose(3);
        desk.choose(6, true);
        expect(desk.now()).toEqual([3, 6]);
        desk.choose(1, true);
        expect(desk.now()).toEqual([1, 3]);
    });

    it('are one that shift is pressed on first', () => {
        const desk = bars();
        desk.choose(2, true);
        expect(desk.now()).toEqual([2, 2]);
    });

    it('go on by arrows from the edge of the page', () => {
        const desk = bars();
        desk.step(1);
        expect(desk.now()).toEqual([0, 0]);
        desk.step(1);
        expect(desk.now()).toEqual([1, 1]);
        desk.clear();
        desk.step(-1);
        expect(desk.now()).toEqual([7, 7]);
    });

    it('grow and shrink by arrows with shift', () => {
        const desk = bars();
        desk.choose(3);
        desk.step(1, true);
        desk.step(1, true);
        expect(desk.now()).toEqual([3, 5]);
        desk.step(-1, true);
        expect(desk.now()).toEqual([3, 4]);
        for (let i = 0; i < 3; i++) desk.step(-1, true);
        expect(desk.now()).toEqual([1, 3]);
    });

    it('stay on the page', () => {
        const desk = bars(2);
        for (let i = 0; i < 5; i++) desk.step(1);
        expect(desk.now()).toEqual([1, 1]);
        for (let i = 0; i < 5; i++) desk.step(-1);
        expect(desk.now()).toEqual([0, 0]);
    });
});

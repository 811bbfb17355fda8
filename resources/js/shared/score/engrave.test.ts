// @vitest-environment jsdom
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Engraved, Order } from './engraver.worker';

vi.mock('./engraver.worker?worker&url', () => ({ default: 'engine.js' }));

/** An engine that the test speaks for. */
class Engine {
    static all: Engine[] = [];
    orders: Order[] = [];
    ended = false;
    onmessage: (event: { data: Engraved }) => void = () => {};
    onerror: () => void = () => {};

    constructor() {
        Engine.all.push(this);
    }

    postMessage(order: Order) {
        this.orders.push(order);
    }

    terminate() {
        this.ended = true;
    }

    answers(svg: string) {
        for (const { id } of this.orders.splice(0)) this.onmessage({ data: { id, svg, error: null } });
    }
}

const SCORE = {
    width: 300,
    scale: 40,
    lines: 'free' as const,
    rows: { above: 0, below: 0 },
    range: null,
    passing: true,
};

afterEach(() => vi.unstubAllGlobals());

describe('the engraving', () => {
    it('says that its engine could not be loaded, and loads it again with the next order', async () => {
        vi.stubGlobal('Worker', Engine);
        const { engraveAll } = await import('./engrave');
        const first = engraveAll({ ...SCORE, music: ['<score-partwise/>'] });
        await vi.waitFor(() => expect(Engine.all[0]?.orders).toHaveLength(1));
        Engine.all[0]?.onerror();
        await expect(first).rejects.toThrow('the engraving could not be loaded');
        expect(Engine.all[0]?.ended).toBe(true);
        const second = engraveAll({ ...SCORE, music: ['<score-partwise/>'] });
        await vi.waitFor(() => expect(Engine.all[1]?.orders).toHaveLength(1));
        Engine.all[1]?.answers('<svg xmlns="http://www.w3.org/2000/svg"></svg>');
        expect((await second)[0]).toContain('<svg');
        expect(Engine.all).toHaveLength(2);
    });
});

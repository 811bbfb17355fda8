import { describe, expect, it } from 'vitest';
import { nextOf, type Step } from './steps';

const dot = { change: 'dot' as const, bar: 1 };
const right = { change: 'right' as const, bar: 1 };

/** What goes to the server, one sending after another. */
function sendings(waiting: Step[]): string[] {
    const sent: string[] = [];
    while (waiting.length > 0) {
        const { undo, more } = nextOf(waiting);
        sent.push(undo ? 'undo' : more.map(({ change }) => change).join(' '));
    }
    return sent;
}

describe('what is pressed faster than it is answered', () => {
    it('goes together, in its order', () => {
        expect(sendings([dot, dot, right])).toEqual(['dot dot right']);
    });

    it('keeps every undo, each of what stood before it', () => {
        expect(sendings([dot, 'undo', right, dot, 'undo', 'undo'])).toEqual([
            'dot',
            'undo',
            'right dot',
            'undo',
            'undo',
        ]);
        expect(sendings(['undo'])).toEqual(['undo']);
    });

    it('goes in as many parts as the server takes', () => {
        expect(sendings(Array(95).fill(dot)).map((sent) => sent.split(' ').length)).toEqual([40, 40, 15]);
    });
});

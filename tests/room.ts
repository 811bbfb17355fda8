/** A session of the practice room, for tests of the screens that run one. */
export function aSession(learning: string[], change: object = {}) {
    return {
        date: '2031-05-06',
        seconds: 120,
        learning,
        joining: [],
        known: [],
        share: 0,
        before: [],
        pairs: [],
        returns: [2, 5, 12],
        closing: 3,
        enough: { answers: 3, right: 90, within: 3_000, join: 5 },
        ...change,
    };
}

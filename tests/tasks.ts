import type { LessonTask, Task } from '../resources/js/api';

/** A task of a week, for tests of the screens that show one. */
export function aTask(change: Partial<Task> = {}): Task {
    return {
        id: 1,
        kind: 'stage',
        title: 'Right hand',
        instruction: 'Play the right hand alone, counting.',
        why: 'the next stage',
        learningId: 5,
        pieceId: 7,
        piece: 'Blue Gate',
        hand: 'R',
        bars: [{ first: 2, last: 4, from: '3.1', to: '5.4', label: 'bars 3–5' }],
        repetitions: 3,
        tempo: 60,
        minutes: 2.5,
        isNew: true,
        starred: false,
        mostDays: 3,
        dates: ['2031-05-06', '2031-05-07'],
        locked: [],
        off: [],
        leftWhy: null,
        mark: null,
        tempoReached: null,
        heardNote: '',
        practices: [],
        ...change,
    } as unknown as Task;
}

/** The same as it is heard at the lesson. */
export function aHeardTask(change: Partial<LessonTask> = {}): LessonTask {
    const { id, title, instruction, learningId, pieceId, piece, hand, bars, tempo, mark, tempoReached, heardNote } =
        aTask();
    return {
        ...{ id, title, instruction, learningId, pieceId, piece, hand, bars, tempo, mark, tempoReached, heardNote },
        days: 2,
        practices: [],
        ...change,
    };
}

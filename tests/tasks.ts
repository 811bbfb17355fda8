import type { LessonCard, LessonTask, Task } from '../resources/js/api';

/** A task of a week, for tests of the screens that show one. */
export function aTask(change: Partial<Task> = {}): Task {
    return {
        id: 1,
        kind: 'stage',
        title: 'Right hand',
        instruction: 'Play the right hand alone, counting.',
        why: 'the next stage',
        learningId: 5,
        stageId: 102,
        pieceId: 7,
        piece: 'Blue Gate',
        hand: 'R',
        bars: [{ first: 2, last: 4, from: '3.1', to: '5.4', label: 'bars 3–5' }],
        repetitions: 3,
        tempo: 60,
        minutes: 2.5,
        minutesFirst: 2.5,
        isNew: true,
        starred: false,
        mostDays: 3,
        dates: ['2031-05-06', '2031-05-07'],
        filled: [],
        locked: [],
        off: [],
        leftWhy: null,
        later: false,
        mark: null,
        tempoReached: null,
        heardNote: '',
        practices: [],
        ...change,
    } as unknown as Task;
}

/** The same as it is heard at the lesson. */
export function aHeardTask(change: Partial<LessonTask> = {}): LessonTask {
    const { id, kind, stageId, title, instruction, learningId, pieceId, piece } = aTask();
    const { hand, bars, tempo, mark, tempoReached, heardNote } = aTask();
    return {
        ...{ id, kind, stageId, title, instruction, learningId, pieceId, piece },
        ...{ hand, bars, tempo, mark, tempoReached, heardNote },
        days: 2,
        practices: [],
        ...change,
    };
}

/** A page as it is heard: looked over before, the right hand practised, the left hand to come. */
export function aCard(change: Partial<LessonCard> = {}): LessonCard {
    const step = { instruction: '', petal: null, hand: null, passed: false, taskId: null, days: 2, practised: 0 };
    return {
        key: 'page 5',
        kind: 'stage',
        learningId: 5,
        pieceId: 7,
        title: 'Blue Gate',
        page: 'A Book, p. 3',
        isNew: false,
        folded: false,
        mark: null,
        steps: [
            { ...step, stageId: 101, name: 'look over', passed: true },
            { ...step, stageId: 102, name: 'right hand', taskId: 1, hand: 'R', petal: 'hands apart', practised: 1 },
            { ...step, stageId: 103, name: 'left hand', taskId: 2, hand: 'L', petal: 'hands apart' },
        ],
        heardId: 102,
        togetherId: null,
        tasks: [aHeardTask({ id: 1 }), aHeardTask({ id: 2, title: 'Left hand', hand: 'L', stageId: 103 })],
        ...change,
    };
}

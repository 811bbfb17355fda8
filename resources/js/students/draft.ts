import type { Student } from '../api';

/** A student as the form has it. */
export type StudentDraft = Omit<Student, 'id' | 'teacherId' | 'name' | 'consentedOn' | 'consentWords' | 'leftOn'> & {
    /** The lesson is at the time of another one, on purpose. */
    together?: boolean;
};

/** Before anything is said of a new one. */
export const NEW_STUDENT: StudentDraft = {
    firstName: '',
    initial: '',
    age: 8,
    lessonWeekday: 1,
    lessonTime: '16:00',
    lessonMinutes: 30,
    secondWeekday: null,
    secondTime: null,
    secondMinutes: null,
    timezone: null,
    familyMail: null,
    path: 'beat',
    pathId: null,
    school: 'landmark',
    landmarkLevel: 1,
    landmarkMiddle: false,
    heardPasses: false,
    counting: 'numbers',
    countStyle: 'bar',
    longNotes: 'all',
    compoundBeats: 'eighths',
    countReady: '',
    handSpan: 6,
    pace: null,
    practiceDays: [2, 3, 4, 5, 6].map((weekday) => ({ weekday, minutes: 15 })),
};

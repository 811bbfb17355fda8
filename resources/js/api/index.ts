import type { components } from './generated';

export { choices } from './choices';
export { type Choice, musicEndings } from './choices.generated';
export {
    api,
    asForm,
    ask,
    at,
    authorized,
    type Deferred,
    deferred,
    keyOf,
    SESSION_OVER,
    send,
    standing,
} from './client';
export { ApiError, wordsOf } from './errors';

export type Api = components['schemas'];
export type Week = Api['WeekResource'];
export type Task = Api['TaskResource'];
/** What is heard as one thing at a lesson: a page, or a task that is on none. */
export type LessonCard = Api['LessonCardResource'];
/** A task as it is heard at the lesson. */
export type LessonTask = Api['HeardTaskResource'];
export type Bars = Api['BarsResource'];
export type Report = Api['Report'];
export type Student = Api['StudentResource'];
export type Playback = Api['PlaybackResource'];

#!/usr/bin/env node
// How long each request of a teacher takes in a running studio, the slowest first: every GET of storage/api.json whose rows are
// known, and what she writes on a Monday; the middle of seven, in milliseconds, one at a time. With --to-the-end also what she
// does once a year or once in all, each once: a holiday for all, another hour of the lesson, a student erased, the studio ended.
//   php artisan nasturtium:api; node tests/Scale/slowest.mjs ADDRESS EMAIL PASSWORD [LEAST, 100 ms otherwise] [--to-the-end]
import { readFileSync } from 'node:fs';
import { firstLesson, quantile, signedIn } from './client.mjs';

const [base, email, password, least = '100'] = process.argv.slice(2).filter((one) => one !== '--to-the-end');
const toTheEnd = process.argv.includes('--to-the-end');
const ROUNDS = 7;
const teacher = await signedIn(base, email, password);
const { send, read } = teacher;
const { student, lesson, week } = await firstLesson(teacher);
const session = await read('/api/session');
const [book] = await read('/api/books');
const [page] = book.pages;
const whole = await read(`/api/students/${student}`);
const known = {
    student,
    lesson: lesson.id,
    week: week.id,
    studio: session.studio.id,
    book: book.id,
    page: page.id,
    piece: page.pieces[0]?.id,
    learning: whole.learnings[0]?.id,
};
const asked = [];
for (const [path, methods] of Object.entries(JSON.parse(readFileSync('storage/api.json', 'utf8')).paths)) {
    const names = [...path.matchAll(/\{(\w+)\}/g)].map((found) => found[1]);
    if (methods.get === undefined || path.includes('/home/') || path.startsWith('/camera') || names.some((name) => known[name] === undefined)) continue;
    asked.push(['GET', path, `/api${path.replace(/\{(\w+)\}/g, (_, name) => known[name])}`]);
}
const task = week.tasks[0]?.id;
asked.push(
    ['POST', 'a week is proposed', `/api/students/${student}/weeks`, {}],
    ['PUT', 'the plan is sent', `/api/weeks/${week.id}/sent`, {}],
    ['PUT', 'a mark', `/api/lessons/${lesson.id}/marks/${task}`, { note: 'once more' }],
);
if (toTheEnd) {
    const day = (ahead) => new Date(Date.now() + ahead * 864e5).toISOString().slice(0, 10);
    const moved = { ...whole.student, together: true, lessonWeekday: (whole.student.lessonWeekday % 7) + 1 };
    const [, other] = await read('/api/students');
    asked.push(
        ['POST', 'a holiday of two weeks for all', '/api/holidays', { studentId: null, label: 'Away', from: day(3), to: day(17), lessons: false, practice: false }, 1],
        ['PUT', 'the lesson on another day', `/api/students/${student}`, moved, 1],
        ['DELETE', 'a book', `/api/books/${book.id}`, undefined, 1],
        ['DELETE', 'a student is erased', `/api/students/${student}`, undefined, 1],
        ['DELETE', 'another student is erased', `/api/students/${other.id}`, undefined, 1],
        ['POST', 'a demo studio', '/api/account/demo', undefined, 1],
        ['POST', 'another studio', '/api/account/studios', { studio: 'Upstairs', country: 'GB', timezone: 'UTC' }, 1],
        ['PUT', 'back to the first', '/api/session/studio', { studioId: session.studio.id }, 1],
        ['DELETE', 'the studio is ended', `/api/studios/${session.studio.id}`, { password }, 1],
    );
}
const told = [];
for (const [method, name, path, body, rounds = ROUNDS] of asked) {
    const times = [];
    let status = 0;
    for (let i = 0; i < rounds; i++) {
        const from = performance.now();
        const answer = await send(method, path, body);
        // What is asked too often for it is refused at once, which says nothing of how long it takes.
        if (answer.status === 429) break;
        times.push(performance.now() - from);
        status = answer.status;
    }
    if (times.length === 0) {
        console.log(`${method} ${name}: asked too often; wait a minute`);
        continue;
    }
    times.sort((a, b) => a - b);
    told.push({ method, name, status, took: quantile(times, 0.5), most: times.at(-1) });
}
told.sort((a, b) => b.took - a.took);
console.log(`${told.length} requests; of ${least} ms and more:\n\n| | request | ms | the longest | answer |\n|---|---|---|---|---|`);
for (const { method, name, status, took, most } of told) {
    if (took >= Number(least) || status >= 400) console.log(`| ${method} | ${name} | ${took.toFixed(0)} | ${most.toFixed(0)} | ${status} |`);
}
process.exit(0);

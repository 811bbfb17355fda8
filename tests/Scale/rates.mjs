#!/usr/bin/env node
// Requests a second of a running studio, and how long they take, by kind, at 1, 8 and 32 at once, each as a ratio to the bare route
// as well:  node tests/Scale/rates.mjs ADDRESS EMAIL PASSWORD [SECONDS a figure] [KIND …]
import { firstLesson, quantile, signedIn } from './client.mjs';

const [base, email, password, seconds = '4', ...only] = process.argv.slice(2);
const teacher = await signedIn(base, email, password);
const { send } = teacher;
const { student, lesson, week } = await firstLesson(teacher);
const mark = `/api/lessons/${lesson.id}/marks/${week.tasks[0]?.id}`;
const kinds = {
    'bare route': () => send('GET', '/up'),
    'this week': () => send('GET', '/api/this-week'),
    student: () => send('GET', `/api/students/${student}`),
    week: () => send('GET', `/api/weeks/${lesson.weekId}`),
    lesson: () => send('GET', `/api/lessons/${lesson.id}`),
    progress: () => send('GET', `/api/students/${student}/progress`),
    mark: () => send('PUT', mark, { note: String(Math.random()) }),
};
const bare = {};
console.log('| kind | at once | a second | p50, ms | p95, ms | p50 to the bare route |\n|---|---|---|---|---|---|');
for (const [kind, ask] of Object.entries(kinds)) {
    if (only.length > 0 && kind !== 'bare route' && !only.includes(kind)) continue;
    for (const atOnce of [1, 8, 32]) {
        await ask();
        const times = [];
        const wrong = {};
        const until = performance.now() + 1000 * Number(seconds);
        const began = performance.now();
        await Promise.all(
            Array.from({ length: atOnce }, async () => {
                while (performance.now() < until) {
                    const from = performance.now();
                    const { status } = await ask();
                    if (status >= 200 && status < 300) times.push(performance.now() - from);
                    else wrong[status] = (wrong[status] ?? 0) + 1;
                }
            }),
        );
        const rate = times.length / ((performance.now() - began) / 1000);
        times.sort((a, b) => a - b);
        const p50 = quantile(times, 0.5);
        if (kind === 'bare route') bare[atOnce] = p50;
        const failed = Object.keys(wrong).length > 0 ? ` (not answered: ${JSON.stringify(wrong)})` : '';
        console.log(`| ${kind} | ${atOnce} | ${rate.toFixed(1)} | ${p50.toFixed(0)} | ${quantile(times, 0.95).toFixed(0)} | ${(p50 / bare[atOnce]).toFixed(1)} |${failed}`);
    }
}
process.exit(0);

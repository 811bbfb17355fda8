#!/usr/bin/env node
// A load as of a school's afternoon: teachers mark lessons, note slips and change plans, families tick and send takes.
// What is not acknowledged is sent again with its key, as the application's own screens do.
//   node tests/Cluster/load.mjs ADDRESS STUDIOS.json SECONDS [REPORT.json]
// The report has each write that was acknowledged, so that `kept.php` can look whether it is there, and once.
import { randomUUID } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import http from 'node:http';

const [base, studios, seconds = '120', report] = process.argv.slice(2);
const given = JSON.parse(readFileSync(studios, 'utf8'));
const agent = new http.Agent({ keepAlive: true, maxSockets: 512 });
const until = Date.now() + 1000 * Number(seconds);
const KINDS = ['wrong-note', 'read-backwards', 'wrong-finger', 'leap-missed', 'cut-short', 'beat-lost', 'line-turn-stall', 'articulation', 'dynamics'];
const wait = (ms) => new Promise((done) => setTimeout(done, ms));
const between = (from, to) => from + Math.random() * (to - from);
const oneOf = (list) => list[Math.floor(Math.random() * list.length)];

/** When each answer came, the failures, and how long each kind took. */
const seen = { answered: [], failed: {}, requests: 0, times: {} };
const acknowledged = { ticks: [], slips: [], takes: [], marks: {}, plans: {} };

function send(method, path, headers, body) {
    const target = new URL(base + path);
    const text = body === undefined ? undefined : JSON.stringify(body);
    return new Promise((done) => {
        const request = http.request(
            { agent, method, hostname: target.hostname, port: target.port, path: target.pathname, timeout: 12_000, headers: { Accept: 'application/json', ...(text && { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(text) }), ...headers } },
            (answer) => {
                const parts = [];
                answer.on('data', (part) => parts.push(part));
                answer.on('end', () => done({ status: answer.statusCode, headers: answer.headers, text: Buffer.concat(parts).toString() }));
                answer.on('error', () => done({ status: 0, headers: {}, text: '' }));
            },
        );
        request.on('timeout', () => request.destroy());
        request.on('error', (reason) => done({ status: 0, headers: {}, text: reason.code ?? '' }));
        request.end(text);
    });
}

/** One try, counted. */
async function once(kind, method, path, headers, body) {
    const began = performance.now();
    const answer = await send(method, path, headers, body);
    seen.requests++;
    if (answer.status >= 200 && answer.status < 300) {
        seen.answered.push(Date.now());
        (seen.times[kind] ??= []).push(performance.now() - began);
    } else {
        const name = `${kind}: ${answer.status || answer.text || 'no answer'}`;
        seen.failed[name] = (seen.failed[name] ?? 0) + 1;
        if (answer.status >= 400 && answer.status < 500 && process.env.SHOW) console.error(name, path, answer.text.slice(0, 300));
    }
    return answer;
}

/** Until it is acknowledged; null where it is refused for good. What is under way when the time is over is still brought home. */
async function surely(kind, method, path, headers, body) {
    for (let pause = 600; ; pause = Math.min(2 * pause, 6_000)) {
        const answer = await once(kind, method, path, typeof headers === 'function' ? headers() : headers, body);
        if (answer.status >= 200 && answer.status < 300) return answer;
        if (answer.status >= 400 && answer.status < 500 && answer.status !== 429) return null;
        await wait(between(pause / 2, pause));
    }
}

async function teacher(studio, nth) {
    const address = { 'X-Forwarded-For': `10.1.${nth >> 8}.${nth & 255}` };
    const jar = {};
    const learn = ({ headers }) => {
        for (const one of headers['set-cookie'] ?? []) {
            const [, name, value] = one.match(/^([^=]+)=([^;]*)/) ?? [];
            if (name !== undefined) jar[name] = value;
        }
    };
    const headers = () => ({ ...address, Cookie: Object.entries(jar).map(([name, value]) => `${name}=${value}`).join('; '), 'X-XSRF-TOKEN': decodeURIComponent(jar['XSRF-TOKEN'] ?? '') });
    await wait(between(0, Math.min(25_000, 250 * Number(seconds))));
    learn((await surely('first page', 'GET', '/', headers)) ?? { headers: {} });
    learn((await surely('sign in', 'POST', '/api/session', headers, { email: studio.email, password: studio.password })) ?? { headers: {} });
    for (let number = 0; Date.now() < until; number++) {
        const student = oneOf(studio.students);
        const task = oneOf(student.tasks);
        switch (oneOf(['this week', 'this week', 'lesson', 'mark', 'mark', 'slip', 'plan'])) {
            case 'this week':
                await once('this week', 'GET', '/api/this-week', headers());
                break;
            case 'lesson':
                await once('lesson', 'GET', `/api/lessons/${student.lesson}`, headers());
                break;
            case 'mark': {
                const key = `${student.lesson} ${task.id}`;
                const note = `${nth}-${number}`;
                (acknowledged.marks[key] ??= { task: task.id, tried: [], kept: null }).tried.push(note);
                if (await surely('mark', 'PUT', `/api/lessons/${student.lesson}/marks/${task.id}`, headers, { note })) acknowledged.marks[key].kept = note;
                break;
            }
            case 'slip': {
                const clientKey = randomUUID();
                const body = { taskId: task.id, kind: oneOf(KINDS), hand: oneOf(['R', 'L', null]), measure: Math.floor(between(0, 4)), fromBeat: null, toBeat: null, clientKey };
                if (task.stage && (await surely('slip', 'POST', `/api/lessons/${student.lesson}/slips`, headers, body))) acknowledged.slips.push(clientKey);
                break;
            }
            case 'plan': {
                const answer = await once('week', 'GET', `/api/weeks/${student.week}`, headers());
                if (answer.status !== 200) break;
                const { tasks } = JSON.parse(answer.text);
                const words = `load ${nth}-${number}`;
                const kept = tasks.map((one) => ({ ...pick(one), instruction: one.id === task.id ? words : one.instruction }));
                const plan = (acknowledged.plans[task.id] ??= { tried: [], kept: null });
                plan.tried.push(words);
                if (await surely('plan', 'PUT', `/api/weeks/${student.week}`, headers, { tasks: kept, justSo: true })) plan.kept = words;
            }
        }
        await wait(between(8_000, 20_000));
    }
}

const pick = ({ id, kind, title, learningId, hand, first, last, repetitions, tempo, minutes, starred, mostDays, dates, locked, off }) => ({ id, kind, title, learningId, hand, first, last, repetitions, tempo, minutes, starred, mostDays, dates, locked, off });

async function family(student, nth) {
    const headers = { 'X-Forwarded-For': `10.2.${nth >> 8}.${nth & 255}`, Authorization: `Bearer ${student.token}` };
    const days = student.tasks.flatMap((task) => task.dates.map((date) => ({ task, date })));
    const deaf = new Set();
    await wait(between(0, 20_000));
    while (Date.now() < until) {
        const { task, date } = oneOf(days);
        switch (oneOf(['week', 'tick', 'tick', 'take'])) {
            case 'week':
                await once('home', 'GET', '/api/home/week', headers);
                break;
            case 'tick': {
                const clientKey = randomUUID();
                if (await surely('tick', 'PUT', `/api/home/tasks/${task.id}/practice`, headers, { clientKey, date, repetitions: 1 + Math.floor(between(0, 8)), feeling: 'fine', note: '' })) acknowledged.ticks.push([task.id, date]);
                break;
            }
            case 'take': {
                if (!task.stage || deaf.has(task.id)) break;
                const clientKey = randomUUID();
                const notes = Array.from({ length: 16 }, (_, i) => ({ t: i * 0.6, off: i * 0.6 + 0.5, pitch: 60 + (i % 5) }));
                const heard = await surely('take', 'PUT', `/api/home/tasks/${task.id}/takes`, headers, { clientKey, part: 0, source: 'keyboard', at: new Date().toISOString(), notes });
                if (heard) acknowledged.takes.push(clientKey);
                else deaf.add(task.id);
            }
        }
        await wait(between(15_000, 28_000));
    }
}

const began = Date.now();
const pupils = given.flatMap((studio) => studio.students);
await Promise.all([...given.map(teacher), ...pupils.map(family)]);

const inOrder = seen.answered.sort((a, b) => a - b);
const gaps = inOrder.map((at, i) => at - (inOrder[i - 1] ?? at));
const quantile = (of, part) => [...of].sort((a, b) => a - b)[Math.min(of.length - 1, Math.floor(part * of.length))];
const told = {
    teachers: given.length,
    families: pupils.length,
    seconds: Math.round((Date.now() - began) / 1000),
    requests: seen.requests,
    perSecond: +(seen.answered.length / ((Date.now() - began) / 1000)).toFixed(1),
    failed: Object.values(seen.failed).reduce((a, b) => a + b, 0),
    failures: seen.failed,
    longestGap: +(Math.max(0, ...gaps) / 1000).toFixed(1),
    milliseconds: Object.fromEntries(Object.entries(seen.times).map(([kind, times]) => [kind, { count: times.length, p50: Math.round(quantile(times, 0.5)), p95: Math.round(quantile(times, 0.95)), most: Math.round(Math.max(...times)) }])),
};
if (report !== undefined) writeFileSync(report, JSON.stringify({ ...told, acknowledged }));
console.log(JSON.stringify(told, null, 1));
process.exit(0);

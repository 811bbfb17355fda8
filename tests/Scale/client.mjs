import http from 'node:http';

/**
 * A signed-in teacher of a running studio: `send` asks, `read` asks for JSON.
 *
 * @param {string} base as http://127.0.0.1:8000
 */
export async function signedIn(base, email, password) {
    const target = new URL(base);
    const agent = new http.Agent({ keepAlive: true, maxSockets: 64 });
    const jar = {};
    const send = (method, path, body) => {
        const text = body === undefined ? undefined : JSON.stringify(body);
        const headers = {
            Accept: 'application/json',
            Cookie: Object.entries(jar).map(([name, value]) => `${name}=${value}`).join('; '),
            'X-XSRF-TOKEN': decodeURIComponent(jar['XSRF-TOKEN'] ?? ''),
            ...(text && { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(text) }),
        };
        return new Promise((done, fail) => {
            const request = http.request({ agent, method, hostname: target.hostname, port: target.port, path, headers }, (answer) => {
                const parts = [];
                answer.on('data', (part) => parts.push(part));
                answer.on('end', () => done({ status: answer.statusCode, headers: answer.headers, text: Buffer.concat(parts).toString() }));
            });
            request.on('error', fail);
            request.end(text);
        });
    };
    const learn = ({ headers }) => {
        for (const one of headers['set-cookie'] ?? []) {
            const [, name, value] = one.match(/^([^=]+)=([^;]*)/) ?? [];
            if (name !== undefined) jar[name] = value;
        }
    };
    learn(await send('GET', '/'));
    const answer = await send('POST', '/api/session', { email, password });
    if (answer.status !== 200) throw new Error(`sign-in: ${answer.status} ${answer.text.slice(0, 200)}`);
    learn(answer);
    return { send, read: async (path) => JSON.parse((await send('GET', path)).text) };
}

/** The lesson of the first student of the week, with its plan: `{ student, lesson, week }`. */
export async function firstLesson({ send, read }) {
    const rows = await read('/api/this-week');
    const row = rows.find((one) => one.weekId) ?? rows[0];
    const lesson = JSON.parse((await send('POST', `/api/students/${row.studentId}/lessons`, { heldOn: row.lessonOn })).text);
    return { student: row.studentId, lesson, week: await read(`/api/weeks/${lesson.weekId}`) };
}

export const quantile = (of, part) => of[Math.min(of.length - 1, Math.floor(part * of.length))] ?? Number.NaN;

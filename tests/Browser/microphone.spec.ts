import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Browser, chromium, type Page } from '@playwright/test';
import type { Api } from '../../resources/js/api';
import { wavOf } from '../../resources/js/listening/wav';
import { type Played, soundOf, withNoise } from '../sound';
import { expect, expectAccessible, family, listen, signIn, test } from './studio';

/** Seconds of a beat, and of silence before the first key. */
const BEAT = 0.62;
const BEFORE = 2.5;

// A microphone hears in real time: where the machine is busy with something else for a moment, a piece of the sound is
// lost as it would be on a tablet, and what came late is rightly not counted. It is heard again then.
test.describe.configure({ retries: 2 });

let folder = '';
let browser: Browser | null = null;
test.beforeAll(() => {
    folder = mkdtempSync(join(tmpdir(), 'microphone-'));
});
test.afterEach(async () => browser?.close());
test.afterAll(() => rmSync(folder, { recursive: true }));

/** The bars of a task as they are written, played evenly. */
function written({ parts }: Api['HomeMusicResource'], hand: Api['Hand'] | null): Played[] {
    const sounds = (parts[0]?.playback.sounds ?? []).filter((sound) => hand === null || sound.hand === hand);
    const first = Math.min(...sounds.map((sound) => sound.at));
    return sounds
        .flatMap(({ at, keys, held }) =>
            keys.map((pitch, i) => {
                const t = BEFORE + (at - first) * BEAT;
                return { t, off: t + 0.9 * BEAT * (held[i] ?? 1), pitch, vel: 80 };
            }),
        )
        .sort((a, b) => a.t - b.t);
}

interface Fed {
    link: string;
    task: { title: string; id: number };
    notes: Played[];
    /** On a free day what was to be played the day before. */
    isToday: boolean;
}

/** A child of its own, and what it has to play today. */
async function given(page: Page, name: string): Promise<Fed> {
    await signIn(page);
    const { link } = await family(page, name);
    await page.goto(link);
    const told = await page.evaluate(async () => {
        const token = location.pathname.split('/').pop();
        const ask = async (path: string) =>
            (await fetch(`/api/home/${path}`, { headers: { Authorization: `Bearer ${token}` } })).json();
        const week = await ask('week');
        const today = week.days.filter((day: { date: string }) => day.date <= week.date).slice(-2);
        const ids = today.flatMap((day: { taskIds: number[] }) => day.taskIds);
        const task = week.tasks.find((one: { id: number; isPlayed: boolean }) => one.isPlayed && ids.includes(one.id));
        return { task, music: await ask(`tasks/${task.id}`), isToday: today.at(-1).taskIds.includes(task.id) };
    });
    return { link, task: told.task, notes: written(told.music, told.task.hand), isToday: told.isToday };
}

/** A browser whose microphone hears a take. */
async function fedWith(sound: Float32Array, args: string[] = []): Promise<{ page: Page; errors: string[] }> {
    const file = join(folder, `${Math.random()}.wav`);
    writeFileSync(file, wavOf(sound, 22_050));
    browser = await chromium.launch({
        executablePath: '/usr/bin/chromium',
        args: [
            '--no-sandbox',
            '--autoplay-policy=no-user-gesture-required',
            '--use-fake-device-for-media-stream',
            `--use-file-for-fake-audio-capture=${file}%noloop`,
            ...(args.length > 0 ? args : ['--use-fake-ui-for-media-stream']),
        ],
    });
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, locale: 'en-GB' });
    const page = await context.newPage();
    const errors: string[] = [];
    listen(page, errors);
    return { page, errors };
}

async function openTask(page: Page, { link, task, isToday }: Fed): Promise<void> {
    await page.goto(new URL(link, process.env.BASE_URL ?? 'http://127.0.0.1:8000').href);
    const row = page
        .getByRole('main')
        .getByRole('button')
        .filter({ has: page.getByText(task.title, { exact: true }) });
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    if (!isToday) await page.getByText('Yesterday', { exact: true }).click();
    await row.first().click();
    await expect(page.getByRole('region', { name: 'Listen to me' })).toBeVisible();
}

const regionOf = (page: Page) => page.getByRole('region', { name: 'Listen to me' });

test('a take that the microphone hears as it is written is told so, and counts by itself', async ({ page: own }) => {
    const fed = await given(own, 'Ida');
    const { page, errors } = await fedWith(withNoise(soundOf(fed.notes, 'small'), -40, 1));
    await openTask(page, fed);
    await expect(regionOf(page).getByText(/The sound stays on this device/)).toBeVisible();
    await regionOf(page).getByRole('button', { name: 'Listen to me' }).click();
    await expect(page.getByRole('meter', { name: 'How loud it is' })).toBeVisible();
    await expect(regionOf(page).getByText('Every note was right')).toBeVisible({ timeout: 150_000 });
    await expect(page.getByRole('img', { name: '1 of 3 in a row' })).toBeVisible();
    await regionOf(page).getByRole('button', { name: 'What I played' }).click();
    await expect(regionOf(page).getByRole('button', { name: 'Stop', exact: true })).toBeVisible();
    // The sound stays on the device where the family wishes it, and leaves it by a press.
    await regionOf(page).getByRole('button', { name: 'Keep this sound on this device for a week' }).click();
    const download = page.waitForEvent('download');
    await regionOf(page)
        .getByRole('button', { name: /^Download the sound of/ })
        .click();
    expect((await download).suggestedFilename()).toMatch(/\.wav$/);
    await expectAccessible(page);
    await regionOf(page)
        .getByRole('button', { name: /^Delete the sound of/ })
        .click();
    await expect(regionOf(page).getByRole('list', { name: 'Kept sounds' })).toHaveCount(0);
    expect(errors).toEqual([]);
});

test('a wrong key that the microphone hears is shown on the music; without a connection the keys wait', async ({
    page: own,
}) => {
    const fed = await given(own, 'Abe');
    const wrong = fed.notes.map((note, i) => (i === 2 ? { ...note, pitch: note.pitch + 1 } : note));
    const { page, errors } = await fedWith(soundOf(wrong, 'small'));
    await openTask(page, fed);
    await regionOf(page).getByRole('button', { name: 'Listen to me' }).click();
    await expect(regionOf(page).getByText('look again: name the notes')).toBeVisible({ timeout: 150_000 });
    await page.context().setOffline(true);
    await regionOf(page).getByRole('button', { name: 'Again' }).click();
    await expect(page.getByRole('meter', { name: 'How loud it is' })).toBeVisible();
    await expectAccessible(page);
    await page.waitForTimeout(9_000);
    await regionOf(page).getByRole('button', { name: 'That was it' }).click();
    await expect(regionOf(page).getByText(/It is kept here/)).toBeVisible({ timeout: 150_000 });
    // Once there is a connection it is looked at, and told where it was played.
    await page.context().setOffline(false);
    await expect(page.getByText(/kept here and will be sent/)).toHaveCount(0);
    await page.waitForTimeout(12_000);
    await openTask(page, fed);
    await expect(page.getByRole('region', { name: 'What you played before' })).toBeVisible();
    await page.getByRole('button', { name: 'I have read it' }).click();
    await expect(page.getByRole('region', { name: 'What you played before' })).toHaveCount(0);
    expect(errors).toEqual([]);
});

test('a microphone that is refused is no dead end', async ({ page: own }) => {
    const fed = await given(own, 'Oda');
    const { page, errors } = await fedWith(new Float32Array(22_050), ['--deny-permission-prompts']);
    await openTask(page, fed);
    await regionOf(page).getByRole('button', { name: 'Listen to me' }).click();
    await expect(regionOf(page).getByText(/The microphone is not allowed/)).toBeVisible();
    await regionOf(page).getByText('Keyboard or screen').click();
    await regionOf(page).getByRole('button', { name: 'Listen to me' }).click();
    await expect(regionOf(page).getByRole('group', { name: 'Piano keys' })).toBeVisible();
    await expectAccessible(page);
    expect(errors).toEqual([]);
});

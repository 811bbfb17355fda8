import { execFileSync } from 'node:child_process';
import type { BrowserContext, Page } from '@playwright/test';
import { api, expect, family, listen, test } from '../Browser/studio';

/* One teacher's server from its first account to the release after, and back. */

const EMAIL = 'first@piano.example';
const PASSWORD = 'four quiet green snails';

let link = '';

async function signIn(page: Page): Promise<void> {
    await page.goto('/sign-in');
    await page.getByLabel('Email').fill(EMAIL);
    await page.getByLabel(/^Password/).fill(PASSWORD);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'This week' })).toBeVisible();
}

/** A phone that has opened the link and kept all that it needs without a connection. */
async function phoneWith(page: Page): Promise<void> {
    await page.goto(link);
    await expect(page.getByRole('heading', { name: /^Hello/ })).toBeVisible();
    await expect.poll(() => filesKept(page), { timeout: 60_000 }).toBe(true);
}

/** All files of the build that the server names are in the phone's cache. */
function filesKept(page: Page): Promise<boolean> {
    return page.evaluate(async () => {
        const wanted = (await (await fetch('/home/files.json')).json()).keep as string[];
        const kept = (await (await caches.open('nasturtium-files')).keys()).map((one) => new URL(one.url).pathname);
        return wanted.length > 20 && wanted.every((path) => kept.includes(path));
    });
}

/** What the server itself answers, beside any browser: the head and the body. */
function answered(path: string): string {
    const address = new URL(path, process.env.BASE_URL);
    const known = ['--resolve', `${address.hostname}:${address.port}:127.0.0.1`, '--insecure'];
    return execFileSync('curl', ['-s', '-i', '--path-as-is', '-H', 'Accept-Encoding: gzip', ...known, address.href], {
        encoding: 'latin1',
    });
}

const headOf = (path: string) => answered(path).split('\r\n\r\n')[0]?.toLowerCase() ?? '';

async function phone(context: BrowserContext, errors: string[]): Promise<Page> {
    const page = await context.newPage();
    listen(page, errors);
    return page;
}

test('the first account is made over HTTPS, and only once', async ({ page }) => {
    await page.goto('/welcome');
    await page.getByLabel('Your name').fill('Odile Fenn');
    await page.getByLabel('Email').fill(EMAIL);
    await page.getByLabel(/^Password/).fill(PASSWORD);
    await page.getByLabel('Name of your studio').fill('Window Studio');
    await page.getByRole('combobox', { name: 'Country' }).fill('New Zeal');
    await page.getByRole('option', { name: 'New Zealand' }).click();
    await page.getByRole('button', { name: 'Make the studio' }).click();
    await expect(page.getByRole('region', { name: 'First steps' })).toBeVisible();
    const cookies = await page.context().cookies();
    expect(cookies.filter((one) => !one.secure)).toEqual([]);
    await api(page, 'POST', '/account/demo');
    const demo = () => api<{ studioId: number | null }[]>(page, 'GET', '/account/demo');
    await expect.poll(async () => (await demo())[0]?.studioId, { timeout: 60_000 }).toBeTruthy();
    await api(page, 'PUT', '/session/studio', { studioId: (await demo())[0]?.studioId });
    link = (await family(page, 'Olga')).link;
    expect(await api(page, 'GET', '/welcome')).toMatchObject({ isEmpty: false, isOpen: false });
});

test('home installs, works without a connection, and may hear', async ({ browser }) => {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, permissions: ['microphone'] });
    const errors: string[] = [];
    const home = await phone(context, errors);
    await phoneWith(home);
    const manifest = await home.evaluate(async () => {
        const href = document.querySelector<HTMLLinkElement>('link[rel="manifest"]')?.href ?? '';
        return (await fetch(href)).json();
    });
    expect(manifest).toMatchObject({ start_url: link, display: 'standalone' });
    for (const icon of manifest.icons) expect(headOf(icon.src)).toContain('http/2 200');
    expect(await home.evaluate(() => window.isSecureContext && 'requestMIDIAccess' in navigator)).toBe(true);

    await context.setOffline(true);
    await home.reload();
    await expect(home.getByRole('heading', { name: /^Hello/ })).toBeVisible();
    await home.getByRole('button', { name: /Warm-up/ }).click();
    await home.getByRole('button', { name: 'Done' }).click();
    await expect(home.getByText('One tick is kept here')).toBeVisible();
    await context.setOffline(false);
    await expect(home.getByText('One tick is kept here')).toBeHidden();

    const loudest = await home.evaluate(async () => {
        const heard = await navigator.mediaDevices.getUserMedia({ audio: true });
        const audio = new AudioContext();
        const meter = audio.createAnalyser();
        audio.createMediaStreamSource(heard).connect(meter);
        const wave = new Float32Array(meter.fftSize);
        let loudest = 0;
        for (let i = 0; i < 40; i++) {
            await new Promise((done) => setTimeout(done, 50));
            meter.getFloatTimeDomainData(wave);
            loudest = Math.max(loudest, ...wave.map(Math.abs));
        }
        return loudest;
    });
    expect(loudest).toBeGreaterThan(0.01);
    expect(errors).toEqual([]);
    await context.close();
});

test('what is served is compressed, kept, and private', async ({ page }) => {
    await page.goto('/sign-in');
    const script = await page.locator('script[type="module"]').first().getAttribute('src');
    const head = headOf(script ?? '');
    expect(head).toContain('content-encoding: gzip');
    expect(head).toContain('immutable');
    expect(head).toContain('x-content-type-options: nosniff');
    expect(head).toContain('strict-transport-security: max-age=31536000');
    expect(head).not.toMatch(/server: nginx\/\d|x-powered-by/);
    for (const hidden of ['/.env', '/composer.json', '/../.env', '/storage/logs/laravel.log', '/vendor/autoload.php'])
        expect(answered(hidden)).not.toMatch(/APP_KEY|"require"|ClassLoader/);
});

test('a new release breaks no screen that still has the old one, and there is a way back', async ({
    browser,
    page,
}) => {
    const errors: string[] = [];
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
    const home = await phone(context, errors);
    await phoneWith(home);
    await signIn(page);
    const script = (await page.locator('script[type="module"]').first().getAttribute('src')) ?? '';

    execFileSync('bash', [process.env.NEXT_RELEASE ?? ''], { stdio: 'pipe' });
    expect(await page.evaluate(async () => (await fetch('/')).text())).not.toContain(new URL(script).pathname);
    expect(headOf(script)).toContain('http/2 200');

    // Rooms whose scripts the open window has not fetched yet are those of the release before.
    await page.getByRole('link', { name: 'Progress' }).click();
    await expect(page.getByRole('heading', { name: 'Progress', level: 1 })).toBeVisible();
    await page.getByRole('link', { name: 'Books' }).click();
    await expect(page.getByRole('heading', { name: 'Books', level: 1 })).toBeVisible();
    await home.getByRole('button', { name: /Warm-up/ }).click();
    await home.getByRole('button', { name: /^Done|tick back/ }).click();
    await context.setOffline(true);
    await home.reload();
    await expect(home.getByRole('heading', { name: /^Hello/ })).toBeVisible();
    await context.setOffline(false);
    await home.reload();
    await expect(home.getByRole('heading', { name: /^Good day/ })).toBeVisible();
    await expect.poll(() => filesKept(home), { timeout: 60_000 }).toBe(true);
    await context.setOffline(true);
    await home.reload();
    await expect(home.getByRole('heading', { name: /^Good day/ })).toBeVisible();
    await context.setOffline(false);

    execFileSync('bash', [process.env.WAY_BACK ?? ''], { stdio: 'pipe' });
    await page.goto(link);
    await expect(page.getByRole('heading', { name: /^Hello/ })).toBeVisible();
    expect(errors).toEqual([]);
    await context.close();
});

import type { Page } from '@playwright/test';
import { api, expect, expectAccessible, family, listen, settled, signIn, test } from './studio';

/** Accepts an invitation on another device, with a new account. */
async function join(page: Page, link: string): Promise<void> {
    await page.goto(link);
    await expect(page.getByText(/^You are invited to Windowsill Piano Studio/)).toBeVisible();
    await page.getByLabel(/^Password/).fill('three green pots');
    await page.getByRole('button', { name: 'Join' }).click();
    await expect(page.getByRole('heading', { name: 'This week' })).toBeVisible();
}

test('two teachers and an assistant: invited, a student handed over, the lead hears nobody else’s next lesson', async ({
    page,
    browser,
}) => {
    await signIn(page);
    const own = await family(page, 'Quill');
    await page.goto('/studio');
    const people = page.getByRole('region', { name: 'People' });
    // Accounts stay when a membership ends, so each run invites addresses of its own.
    const run = Date.now().toString(36);
    const invite = async (name: string, role: RegExp) => {
        await people.getByRole('textbox', { name: 'Name' }).fill(name);
        await people.getByRole('textbox', { name: 'Email' }).fill(`${name.toLowerCase()}-${run}@hill.example`);
        await people.getByRole('combobox', { name: 'As' }).click();
        await page.getByRole('option', { name: role }).click();
        await people.getByRole('button', { name: 'Invite' }).click();
        const code = people.getByText(/\/invited#/);
        await expect(people.getByText(`${name} gets this by mail`)).toBeVisible();
        return (await code.textContent()) ?? '';
    };
    const toMara = await invite('Mara', /^Teacher/);
    const toBo = await invite('Bo', /^Assistant/);
    await expectAccessible(page);

    const errors: string[] = [];
    const device = async (link: string) => {
        const other = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
        listen(other, errors);
        await join(other, link);
        return other;
    };
    const mara = await device(toMara);
    const bo = await device(toBo);
    // The teacher sees every student; the assistant none yet, and no settings.
    await expect(mara.getByText('Quill Q.')).toBeVisible();
    await expect(bo.getByText('No students yet')).toBeVisible();
    await expect(bo.getByRole('link', { name: 'Studio', exact: true })).toBeHidden();

    await page.goto(`/students/${own.student}`);
    await page.getByRole('combobox', { name: 'Who teaches Quill' }).click();
    await page.getByRole('option', { name: 'Bo' }).click();
    await expect(page.getByText('Handed over, with everything that was practised and passed.')).toBeVisible();
    await bo.reload();
    await bo.getByRole('link', { name: 'Quill Q.', exact: true }).click();
    await expect(bo.getByRole('button', { name: 'Open a page (o)' })).toBeVisible();
    await expect(bo.getByRole('button', { name: 'Erase' })).toBeHidden();
    await expectAccessible(bo);
    await bo.goto('/');
    await bo.getByRole('button', { name: 'Lesson of Quill Q.' }).click();
    await expect(bo.getByRole('list', { name: 'What was set' })).toBeVisible();
    // With students of others about, the first room begins with one's own.
    await page.goto('/');
    await expect(page.getByText('Quill Q.')).toBeHidden();
    await page.getByText('Everyone’s').click();
    await expect(page.getByText('Quill Q.')).toBeVisible();

    // Bo goes, and the student comes back with everything.
    await page.goto('/studio');
    await people.getByRole('button', { name: 'Take Bo out' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Take out' }).click();
    await expect(people.getByText(`bo-${run}@hill.example`)).toBeHidden();
    await bo.goto('/');
    await expect(bo.getByRole('button', { name: 'Sign in' })).toBeVisible();
    await settled(page);
    await people.getByRole('button', { name: 'Take Mara out' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Take out' }).click();
    await expect(people.getByText(`mara-${run}@hill.example`)).toBeHidden();
    await api(page, 'DELETE', `/students/${own.student}`);
    expect(errors).toEqual([]);
});

test('an invented studio stands beside one’s own, and goes again', async ({ page }) => {
    await signIn(page);
    const other = await page.context().newPage();
    await other.goto('/books');
    await expect(other.getByRole('heading', { name: 'Books' })).toBeVisible();
    await page.goto('/account');
    const studios = page.getByRole('region', { name: 'Studios' });
    const look = studios.getByRole('button', { name: 'Look around in a demo studio' });
    const where = page.getByRole('combobox', { name: 'Studio' });
    // It can be stopped, and begun again, and whoever waits is taken there; another window of this browser goes along.
    await look.click();
    await studios.getByRole('button', { name: 'Stop' }).click();
    await expect(look).toBeVisible();
    await page.route('**/api/account/demo', (route) => {
        const going = { studioId: null, state: 'working', done: 2, of: 5, reason: '' };
        return route.request().method() === 'GET' ? route.fulfill({ json: [going] }) : route.continue();
    });
    await look.click();
    await expect(studios.getByText('The demo studio is being made: 2 of 5 students.')).toBeVisible();
    await expectAccessible(page);
    await page.unroute('**/api/account/demo');
    await expect(where).toHaveValue('Windowsill Piano Studio (demo)', { timeout: 120_000 });
    await expect(other.getByRole('heading', { name: 'This week' })).toBeVisible();
    await expect(other.getByRole('combobox', { name: 'Studio' })).toHaveValue('Windowsill Piano Studio (demo)');
    await page.getByRole('link', { name: 'Odile Fenn' }).click();
    await page.getByRole('button', { name: 'Delete Windowsill Piano Studio' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Delete Windowsill Piano Studio' }).click();
    await expect(page.getByRole('heading', { name: 'This week' })).toBeVisible();
    await expect(where).toBeHidden();
});

test('a page without its music is opened, heard and signed off', async ({ page }) => {
    await signIn(page);
    const { student } = await family(page, 'Zoe');
    await page.goto('/books');
    const book = page.getByRole('region', { name: 'The Windowsill Book' });
    await book.getByRole('button', { name: 'Add a page' }).click();
    const number = await page.getByLabel('Page number').inputValue();
    await page.getByRole('combobox', { name: 'Kind' }).click();
    await page.getByRole('option', { name: 'Theory' }).click();
    await page.getByLabel('Title').fill('Five lines');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(book.getByText('Five lines')).toBeVisible();
    await page.goto(`/students/${student}`);
    await page.getByRole('button', { name: 'Open a page (o)' }).click();
    await page.getByRole('checkbox', { name: 'Five lines, theory' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Open', exact: true }).click();
    await expect(page.getByRole('region', { name: 'Books' }).getByText(`as far as p. ${number}`)).toBeVisible();
    await expectAccessible(page);
    await page.goto('/');
    await page.getByRole('button', { name: 'Lesson of Zoe Q.' }).click();
    await page.getByRole('button', { name: 'Five lines: pass' }).click();
    await expect(page.getByRole('button', { name: 'Five lines: pass' })).toHaveAttribute('aria-pressed', 'true');
    await page.goto(`/students/${student}`);
    await expect(page.getByText(/signed off/i).first()).toBeVisible();
    await api(page, 'DELETE', `/students/${student}`);
});

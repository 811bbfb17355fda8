import { createHmac } from 'node:crypto';
import type { Page } from '@playwright/test';
import {
    api,
    editor,
    engraved,
    expect,
    expectAccessible,
    lessonToday,
    newPiece,
    retype,
    settled,
    signIn,
    test,
} from './studio';

/** The code of an authenticator app for a secret in base 32. */
function codeOf(secret: string, now = Date.now()): string {
    const bits = [...secret].map((one) => 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(one).toString(2).padStart(5, '0'));
    const key = Buffer.from(
        bits
            .join('')
            .match(/.{8}/g)
            ?.map((byte) => Number.parseInt(byte, 2)) ?? [],
    );
    const step = Buffer.alloc(8);
    step.writeBigUInt64BE(BigInt(Math.floor(now / 30_000)));
    const hash = createHmac('sha1', key).update(step).digest();
    const at = (hash[19] ?? 0) & 15;
    return String((hash.readUInt32BE(at) & 0x7fffffff) % 1_000_000).padStart(6, '0');
}

async function makeStudio(page: Page, email: string): Promise<void> {
    await page.goto('/welcome');
    await page.getByLabel('Your name').fill('Ines Vale');
    await page.getByLabel('Name of your studio').fill('Hill Studio');
    await page.getByLabel('Email').fill(email);
    await page.getByLabel(/^Password/).fill('four words in a row');
    await page.getByRole('combobox', { name: 'Country' }).fill('New Zeal');
    await page.getByRole('option', { name: 'New Zealand' }).click();
    await page.getByRole('button', { name: 'Make the studio' }).click();
    await expect(page.getByRole('region', { name: 'First steps' })).toBeVisible();
}

test('from the first start to the first plan that is sent', async ({ page }) => {
    await makeStudio(page, 'first@hill.example');
    const steps = page.getByRole('region', { name: 'First steps' });
    await expectAccessible(page);
    await steps.getByRole('link', { name: 'To the books' }).click();
    await page.getByRole('button', { name: 'Add a book' }).first().click();
    await page.getByLabel('Title').fill('Hill Book');
    await page.getByRole('button', { name: 'Save' }).click();
    await newPiece(page, 'Hill Book');
    await retype(page, 'title: Up the Hill\nR: @c4 q1234 | h5 3 | q5432 | w1\n');
    await engraved(page);
    await editor(page).press('Control+Enter');
    await expect(page.getByRole('heading', { name: 'Up the Hill' })).toBeVisible();
    await page.goto('/');
    await steps.getByRole('link', { name: 'Add a student' }).click();
    await page.getByRole('button', { name: 'Add a student' }).first().click();
    await page.getByLabel('First name').fill('Pia');
    await page.getByLabel('Initial').fill('L');
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(page.getByText('Pia L.').first()).toBeVisible();
    await page.goto('/');
    await steps.getByRole('link', { name: 'To Pia L.' }).click();
    await expect(page).toHaveURL(/\/students\/\d+$/);
    const id = Number(page.url().split('/').pop());
    const books = await api<{ pages: { pieces: { id: number }[] }[] }[]>(page, 'GET', '/books');
    const piece = books[0]?.pages[0]?.pieces[0]?.id;
    await api(page, 'POST', `/students/${id}/learnings`, { pieceId: piece });
    await page.goto('/');
    await page.getByRole('button', { name: 'Plan a week for Pia L.' }).click();
    await expect(page.getByText('Not sent yet: the family does not see it.')).toBeVisible();
    await page.goto('/');
    await steps.getByRole('link', { name: 'To the plan' }).click();
    await expect(page.getByText('Not sent yet: the family does not see it.')).toBeVisible();
    await page.keyboard.press('s');
    // Nobody would get it yet, which is asked about.
    await page.getByRole('button', { name: 'Send it all the same' }).click();
    await expect(page.getByText(/^Next lesson .* Sent/)).toBeVisible();
    await page.goto('/');
    await expect(page.getByText('Pia L.')).toBeVisible();
    await expect(steps).toBeHidden();
});

test('a second step is set up, asked for, and a recovery code lets in', async ({ page }) => {
    await makeStudio(page, 'second@hill.example');
    await page.getByRole('link', { name: 'Ines Vale' }).click();
    const second = page.getByRole('region', { name: 'Second step' });
    await second.getByLabel('Your password').fill('four words in a row');
    await second.getByRole('button', { name: 'Set it up' }).click();
    const secret = ((await second.getByText(/or type this:/).textContent()) ?? '').split(': ').pop() ?? '';
    await second.getByLabel('The code that the app shows').fill(codeOf(secret));
    await second.getByRole('button', { name: 'Turn it on' }).click();
    const codes = second.getByRole('list', { name: 'Recovery codes' });
    await expect(codes.getByRole('listitem')).toHaveCount(10);
    const recovery = (await codes.getByRole('listitem').first().textContent()) ?? '';
    await second.getByRole('button', { name: 'I have them' }).click();
    await expect(second).toContainText('10 recovery codes are left');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Sign out' }).first().click();
    await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
    await page.getByLabel('Email').fill('second@hill.example');
    await page.getByLabel(/^Password/).fill('four words in a row');
    await page.keyboard.press('Enter');
    await page.getByLabel(/Code of your app/).fill(recovery);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('region', { name: 'First steps' })).toBeVisible();
});

test('a forgotten password comes back by mail', async ({ page, browser }) => {
    await makeStudio(page, 'third@hill.example');
    const other = await (await browser.newContext()).newPage();
    await other.goto('/forgotten');
    await other.getByLabel('Email').fill('third@hill.example');
    await other.getByRole('button', { name: 'Send the link' }).click();
    await expect(other.getByText(/a mail is on its way/)).toBeVisible();
    const mails = await api<{ body: string }[]>(page, 'GET', '/mails');
    const link = mails[0]?.body.match(/\/new-password\?\S+/)?.[0] ?? '';
    await other.goto(link);
    await other.getByLabel(/New password/).fill('quite another one');
    await other.getByRole('button', { name: 'Save it, and sign in' }).click();
    await other.getByLabel('Email').fill('third@hill.example');
    await other.getByLabel(/^Password/).fill('quite another one');
    await other.keyboard.press('Enter');
    await expect(other.getByRole('region', { name: 'First steps' })).toBeVisible();
    // Who was signed in before is asked on the spot.
    await page.getByRole('link', { name: 'Students', exact: true }).click();
    await page.getByLabel('Password of third@hill.example').fill('quite another one');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Students', level: 1 })).toBeVisible();
    await other.context().close();
});

test('a session that ends in a lesson asks for the password there, and nothing is lost', async ({ page, context }) => {
    await signIn(page);
    const student = await lessonToday(page, 'Ada', '06:10');
    await page.reload();
    await page.getByRole('button', { name: 'Lesson of Ada Q.' }).click();
    await expect(page.getByRole('list', { name: 'What was set' })).toBeVisible();
    // An answer that is still on its way would bring the session back.
    await settled(page);
    const cookies = (await context.cookies()).filter((cookie) => cookie.name.endsWith('session'));
    await context.clearCookies({ name: cookies[0]?.name ?? '' });
    await page.keyboard.press('p');
    const ask = page.getByRole('dialog', { name: 'Sign in again to go on' });
    await expect(ask).toBeVisible();
    await expectAccessible(page);
    await ask.getByLabel(/^Password of/).fill('nasturtium');
    await page.keyboard.press('Enter');
    await expect(ask).toBeHidden();
    await expect(page.getByText(/not saved yet/)).toBeHidden({ timeout: 20_000 });
    await page.reload();
    await expect(page.getByRole('button', { name: /: pass$/, pressed: true })).toHaveCount(1);
    await api(page, 'DELETE', `/students/${student}`);
});

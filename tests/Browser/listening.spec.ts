import { expect, expectAccessible, homeOfTheDemo, test } from './studio';

test('bars are played by the stand-in keyboard with two slips, and the child is told one thing', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(homeOfTheDemo());
    await expect(page.getByRole('heading', { name: /^Hello / })).toBeVisible();
    const week = await page.evaluate(async () => {
        const token = location.pathname.split('/').pop();
        const answer = await fetch('/api/home/week', { headers: { Authorization: `Bearer ${token}` } });
        return (await answer.json()) as { tasks: { id: number; title: string; sign: string; bars: object[] }[] };
    });
    const title = week.tasks.find((task) => ['hand', 'hands'].includes(task.sign) && task.bars.length > 0)?.title ?? '';
    await page.getByRole('button', { name: title }).first().click();
    await page.getByRole('button', { name: 'By which keyboard?' }).click();
    await page.getByRole('combobox', { name: 'Keyboard' }).click();
    await page.getByRole('option', { name: 'Stand-in keyboard' }).click();
    await page.getByRole('button', { name: 'Listen to me' }).click();
    await page.getByRole('button', { name: 'With two slips' }).click();
    await expectAccessible(page);
    const told = page.getByRole('region', { name: 'Listen to me' }).getByRole('status');
    await expect(told).toContainText(/look again|right/, { timeout: 40_000 });
    await expect(page.getByRole('button', { name: 'Again', exact: true })).toBeVisible();
});

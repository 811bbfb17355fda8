import { api, expect, expectAccessible, family, signIn, test } from './studio';

interface HomeWeek {
    date: string;
    lessonOn: string;
    tasks: { id: number; title: string; isPlayed: boolean }[];
    days: { date: string; taskIds: number[] }[];
}

test('bars are played by the stand-in keyboard with two slips, the child is told one thing, and the lesson has it', async ({
    page,
}) => {
    await signIn(page);
    const { link, student } = await family(page, 'Nell');
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(link);
    await expect(page.getByRole('heading', { name: 'Hello Nell' })).toBeVisible();
    const told = await page.evaluate(async () => {
        const token = location.pathname.split('/').pop();
        const answer = await fetch('/api/home/week', { headers: { Authorization: `Bearer ${token}` } });
        return (await answer.json()) as HomeWeek;
    });
    // What stands on today or yesterday may be ticked, and listened to.
    const [yesterday, today] = told.days.filter((day) => day.date <= told.date).slice(-2);
    const on = (day: HomeWeek['days'][number] | undefined) =>
        told.tasks.find((one) => one.isPlayed && (day?.taskIds ?? []).includes(one.id));
    const task = on(today) ?? on(yesterday);
    if (on(today) === undefined) await page.getByText('Yesterday', { exact: true }).click();
    const rows = page.getByRole('main').getByRole('button');
    await rows
        .filter({ has: page.getByText(task?.title ?? '', { exact: true }) })
        .first()
        .click();
    await page.getByText('Keyboard or screen').click();
    await page.getByRole('combobox', { name: 'Keyboard' }).click();
    await page.getByRole('option', { name: 'Stand-in keyboard' }).click();
    await page.getByRole('button', { name: 'Listen to me' }).click();
    await page.getByRole('button', { name: 'With two slips' }).click();
    await expectAccessible(page);
    const heard = page.getByRole('region', { name: 'Listen to me' });
    await expect(heard.getByRole('button', { name: 'Again', exact: true })).toBeVisible({ timeout: 60_000 });
    await expect(heard.getByRole('status')).toContainText('look again: name the notes');
    const lesson = await api<{ id: number }>(page, 'POST', `/students/${student}/lessons`, { heldOn: told.lessonOn });
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(`/lessons/${lesson.id}`);
    const panel = page.getByRole('region', { name: 'What was heard' });
    await page.getByRole('button', { name: 'Copper Kettle', exact: true }).click();
    await expect(panel).toContainText('Went wrong: bar ');
    await page.keyboard.press('n');
    await expect(page.getByRole('button', { name: /^Take back: / }).first()).toBeVisible();
    // What is confirmed has its remedy next week.
    await expect(page.getByRole('list', { name: 'Remedies' }).getByRole('listitem').first()).toContainText(
        'Copper Kettle',
    );
    await expectAccessible(page);
});

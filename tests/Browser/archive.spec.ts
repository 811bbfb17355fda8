import { readFileSync } from 'node:fs';
import { expect } from '@playwright/test';
import { expectAccessible, signIn, test } from './studio';

test('the whole studio is packed while its teacher waits, and is fetched', async ({ page }) => {
    await signIn(page);
    await page.getByRole('link', { name: 'Studio', exact: true }).click();
    const section = page.getByRole('region', { name: 'Export and import' });
    await section.getByRole('button', { name: 'Back up the whole studio' }).click();
    const link = section.getByRole('link', { name: /Download the backup of/ });
    await expect(link).toBeVisible({ timeout: 60_000 });
    await expectAccessible(page);
    // The page was left: it is there all the same.
    await page.reload();
    const fetched = page.waitForEvent('download');
    await link.click();
    const file = await fetched;
    expect(file.suggestedFilename()).toMatch(/\.zip$/);
    // An archive begins so.
    expect(
        readFileSync(await file.path())
            .subarray(0, 2)
            .toString(),
    ).toBe('PK');
});

import type { Page } from '@playwright/test';
import { api, engraved, expect, family, follow, settled, signIn, test } from './studio';

/*
 * Names, words and music that would run in the page if one screen wrote them out as they are: nothing runs, and nothing is
 * asked from elsewhere.
 */

const BAD = `<img src=x onerror=ran()><script>ran()</script>"'><svg onload=ran()>`;
const SHORT = '<img src=x onerror=ran()>';

const XML = `<score-partwise version="4.0"><work><work-title>${'&lt;img src=x onerror=ran()&gt;'}</work-title></work>
<part-list><score-part id="P1"><part-name>&lt;script&gt;ran()&lt;/script&gt;</part-name></score-part></part-list>
<part id="P1"><measure number="1"><attributes><divisions>1</divisions><time><beats>4</beats><beat-type>4</beat-type></time><clef><sign>G</sign><line>2</line></clef></attributes>
<direction><direction-type><words>&lt;svg onload=ran()&gt;&lt;a href="javascript:ran()"&gt;</words></direction-type></direction>
${['C', 'D', 'E', 'F'].map((step) => `<note><pitch><step>${step}</step><octave>4</octave></pitch><duration>1</duration><type>quarter</type><lyric><text>&lt;img src=x onerror=ran()&gt;</text></lyric></note>`).join('')}
</measure></part></score-partwise>`;

/** Another format of music, which can hold drawings and what runs in them. */
const OTHER = `<mei xmlns="http://www.music-encoding.org/ns/mei"><music><body><mdiv><score><scoreDef><staffGrp><staffDef n="1" lines="5"/></staffGrp></scoreDef><section><measure><staff n="1"><layer n="1"><note pname="c" oct="4" dur="1"/></layer></staff>
<symbolTable><symbolDef><svg xmlns="http://www.w3.org/2000/svg" onload="ran()"><script>ran()</script></svg></symbolDef></symbolTable></measure></section></score></mdiv></body></music></mei>`;

/** Watches a page: what ran, and what was asked from another host. */
async function watch(page: Page): Promise<string[]> {
    const elsewhere: string[] = [];
    await page.addInitScript(() => {
        Object.assign(window, {
            ran: () => {
                document.documentElement.dataset.ran = 'yes';
            },
        });
    });
    page.on('request', (request) => {
        const { protocol, host } = new URL(request.url());
        if (protocol.startsWith('http') && host !== new URL(page.url()).host && page.url() !== 'about:blank')
            elsewhere.push(request.url());
        if (/\/x$/.test(request.url())) elsewhere.push(request.url());
    });
    page.on('dialog', (dialog) => elsewhere.push(dialog.message()));
    return elsewhere;
}

async function visit(page: Page, path: string): Promise<void> {
    await page.goto(path);
    await page.waitForLoadState('networkidle');
    expect(await page.locator('html').getAttribute('data-ran'), path).toBeNull();
    expect(await page.locator('img[src="x"], svg[onload], [onerror]').count(), path).toBe(0);
}

test('hostile names, words and music run on no screen and ask nothing from elsewhere', async ({ page, browser }) => {
    const elsewhere = await watch(page);
    await signIn(page);
    await page.goto('/books');
    const book = await api<{ id: number }>(page, 'POST', '/books', { title: BAD, level: SHORT });
    const at = await api<{ id: number }>(page, 'POST', `/books/${book.id}/pages`, {
        number: 1,
        title: BAD,
        introduces: BAD,
        kind: 'pieces',
    });
    const piece = await page.evaluate(
        async ({ xml, at }) => {
            const token = decodeURIComponent(document.cookie.split('XSRF-TOKEN=')[1]?.split(';')[0] ?? '');
            const form = new FormData();
            form.append('file', new File([xml], 'bad.musicxml'));
            form.append('label', 'A');
            const answer = await fetch(`/api/pages/${at}/pieces`, {
                method: 'POST',
                headers: { Accept: 'application/json', 'X-XSRF-TOKEN': token },
                body: form,
            });
            return (await answer.json()) as { id: number };
        },
        { xml: XML, at: at.id },
    );
    expect(piece.id).toBeGreaterThan(0);
    const { link, week, student } = await family(page, SHORT, piece.id);
    await api(page, 'PUT', `/weeks/${week}/sent`, { message: BAD });
    const inSomeMonths = new Date(Date.now() + 300 * 86_400_000).toISOString().slice(0, 10);
    await api(page, 'POST', '/holidays', {
        label: SHORT,
        from: inSomeMonths,
        to: inSomeMonths,
        lessons: false,
        practice: true,
        studentId: student,
    });
    await api(page, 'PUT', `/students/${student}/consent`, { consentedOn: '2026-01-05', words: BAD });
    const { studio } = await api<{ studio: { today: string } }>(page, 'GET', '/session');
    const lesson = await api<{ id: number }>(page, 'POST', `/students/${student}/lessons`, { heldOn: studio.today });
    expect(lesson.id).toBeGreaterThan(0);
    await api(page, 'PATCH', `/lessons/${lesson.id}`, { privateNote: BAD, sharedNote: BAD });
    const named = [
        '/',
        '/students',
        `/students/${student}`,
        `/students/${student}/progress`,
        '/progress',
        '/books',
        `/pieces/${piece.id}`,
        `/weeks/${week}`,
        `/weeks/${week}/sheet`,
        `/lessons/${lesson.id}`,
        `/pieces/${piece.id}/entry`,
        `/pieces/${piece.id}/sheet`,
        `/students/${student}/report?from=2026-01-01&to=${studio.today}`,
    ];
    for (const path of named) {
        await visit(page, path);
        // The screen is the one that is meant, and shows the name as it was typed.
        await expect(page.getByText(SHORT).first(), path).toBeAttached();
    }
    for (const path of ['/paths', '/studio', '/shorthand']) await visit(page, path);
    const phone = await browser.newContext({ viewport: { width: 390, height: 844 } });
    const home = await phone.newPage();
    follow(home);
    const asked = await watch(home);
    await visit(home, link);
    await expect(home.getByRole('heading', { level: 1 })).toContainText(SHORT);
    await home.getByRole('list').first().getByRole('button').first().click();
    await settled(home);
    expect(await home.locator('html').getAttribute('data-ran')).toBeNull();
    expect(asked).toEqual([]);
    await phone.close();
    expect(elsewhere).toEqual([]);
    await api(page, 'DELETE', `/students/${student}`);
    await api(page, 'DELETE', `/books/${book.id}`);
});

test('the engraver reads MusicXML alone, whatever comes', async ({ page }) => {
    const elsewhere = await watch(page);
    await signIn(page);
    const books = await api<{ pages: { pieces: { id: number }[] }[] }[]>(page, 'GET', '/books');
    const piece = books.flatMap((one) => one.pages.flatMap((at) => at.pieces))[0];
    await page.goto(`/pieces/${piece?.id}`);
    await engraved(page);
    await page.route(`**/api/pieces/${piece?.id}/breakdown*`, async (route) => {
        const answer = await route.fetch();
        const told = await answer.json();
        await route.fulfill({ response: answer, json: { ...told, piece: { ...told.piece, music: OTHER } } });
    });
    await page.reload();
    await expect(page.getByRole('alert').first()).toBeVisible();
    expect(await page.locator('html').getAttribute('data-ran')).toBeNull();
    expect(await page.locator('.score svg').count()).toBe(0);
    expect(elsewhere).toEqual([]);
});

test('the policy of the page holds: no script of its own, no address elsewhere', async ({ browser }) => {
    // What the policy refuses is an error of the page; here it is wanted.
    const page = await browser.newPage();
    const answer = await page.goto('/');
    const headers = answer?.headers() ?? {};
    expect(headers['content-security-policy']).toContain("script-src 'self' 'wasm-unsafe-eval'");
    expect(headers['x-powered-by']).toBeUndefined();
    const held = await page.evaluate(async () => {
        const script = document.createElement('script');
        script.textContent = 'document.documentElement.dataset.ran = "yes"';
        document.body.append(script);
        const away = await fetch('https://elsewhere.example/').then(
            () => 'asked',
            () => 'refused',
        );
        return [document.documentElement.dataset.ran ?? 'did not run', away];
    });
    expect(held).toEqual(['did not run', 'refused']);
    await page.close();
});

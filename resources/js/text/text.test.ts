import { execFileSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import ts from 'typescript';
import { afterEach, describe, expect, it, vi } from 'vitest';
import british from '../../words/en-GB.json';
import american from '../../words/en-US.json';

const US = american as Record<string, string>;

/** As text is said in American English: its own, where it has one. */
const inAmerican = Object.keys(british).map((text) => US[text] ?? text);

const places = (text: string) => [...text.matchAll(/\{\{\w+\}\}/g)].map(([place]) => place).sort();

/** What stands between the tags of a file and is in no catalogue. */
function bareIn(name: string): string[] {
    const path = `resources/js/${name}`;
    const file = ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX);
    const bare: string[] = [];
    const visit = (node: ts.Node) => {
        if (ts.isJsxText(node) && /[A-Za-z]{2}/.test(node.text.replace(/&\w+;/g, '')))
            bare.push(`${name}: ${node.text.trim()}`);
        if (ts.isJsxAttribute(node) && /^(label|title|placeholder|alt|aria-label)$/.test(node.name.getText(file))) {
            const value = node.initializer;
            if (value !== undefined && ts.isStringLiteral(value) && /[a-z]{2}/.test(value.text))
                bare.push(`${name}: ${value.text}`);
        }
        ts.forEachChild(node, visit);
    };
    visit(file);
    return bare;
}

describe('the catalogues', () => {
    it('have every text of the screens, and nothing else', () => {
        expect(() => execFileSync('node', ['bin/texts.mjs', '--check'], { stdio: 'pipe' })).not.toThrow();
        expect(Object.keys(US).filter((text) => !(text in british))).toEqual([]);
    });

    it('say what differs in the words of each', () => {
        const own =
            /\b(bars?(?! lines?\b)|practis\w+|learnt|colours?|crotchets?|minims?|(semi)?quavers?|cancelled|mum)\b/i;
        expect(inAmerican.map((text) => text.replace(/\{\{\w+\}\}/g, '')).filter((text) => own.test(text))).toEqual([]);
        const foreign = /\b(measures?|practiced|learned|colors?|canceled|mom)\b/i;
        const said = Object.keys(british).map((text) => text.replace(/\{\{\w+\}\}/g, ''));
        expect(said.filter((text) => foreign.test(text))).toEqual([]);
        expect(Object.entries(US).filter(([text, said]) => text === said)).toEqual([]);
    });

    it('leave the same places open', () => {
        for (const [text, said] of Object.entries(US)) expect(places(said)).toEqual(places(text));
    });

    it('are asked by every screen', () => {
        const screens = readdirSync('resources/js', { recursive: true, encoding: 'utf8' });
        const own = screens.filter((name) => name.endsWith('.tsx') && !name.includes('.test.'));
        expect(own.length).toBeGreaterThan(80);
        expect(own.flatMap(bareIn)).toEqual([]);
    });
});

describe('texts', () => {
    afterEach(() => {
        vi.unstubAllGlobals();
        vi.resetModules();
    });

    async function spoken(kept: string | null, language: string, path = '/') {
        const reload = vi.fn();
        const store = new Map(kept === null ? [] : [['nasturtium.words', kept]]);
        vi.stubGlobal('navigator', { language });
        vi.stubGlobal('location', { pathname: path, reload });
        vi.stubGlobal('localStorage', {
            getItem: (name: string) => store.get(name) ?? null,
            setItem: (name: string, value: string) => store.set(name, value),
        });
        vi.resetModules();
        return { ...(await import('.')), store, reload, dates: await import('../shared/words') };
    }

    it('are in the words that were kept, or else in those of the browser', async () => {
        expect((await spoken(null, 'en-GB')).t('Bar {{measure}}', { measure: 3 })).toBe('Bar 3');
        expect((await spoken(null, 'en-US')).t('Bar {{measure}}', { measure: 3 })).toBe('Measure 3');
        expect((await spoken('uk', 'en-US')).t('Bar {{measure}}', { measure: 3 })).toBe('Bar 3');
        expect((await spoken('us', 'de')).language).toBe('en-US');
        expect((await spoken('nonsense', 'de')).words).toBe('uk');
        expect((await spoken('us', 'de')).t('not in any catalogue')).toBe('not in any catalogue');
    });

    it('are loaded again where the studio has other words, once', async () => {
        const { speak, store, reload } = await spoken(null, 'en-GB');
        speak('uk');
        expect(reload).not.toHaveBeenCalled();
        speak('us');
        expect(store.get('nasturtium.words')).toBe('us');
        expect(reload).toHaveBeenCalledOnce();
    });

    it('are those of the family’s studio on the home side', async () => {
        const home = await spoken('us', 'en-GB', '/home/abc');
        expect(home.words).toBe('uk');
        home.speak('us');
        expect([...home.store.keys()]).toEqual(['nasturtium.words', 'nasturtium.words.home']);
    });

    it('have dates and times as they are written there', async () => {
        const said = async (kept: string) => {
            const { dates } = await spoken(kept, 'de');
            return [
                dates.longDate('2031-05-05'),
                dates.fullDate('2031-11-27'),
                dates.clockTime('15:45'),
                dates.clockTime('00:05'),
                dates.clockTime('12:00'),
                dates.barsWords([{ label: kept === 'us' ? 'measures 1–4' : 'bars 1–4' }]),
            ];
        };
        expect(await said('uk')).toEqual(['Monday 5 May', '27 Nov 2031', '15:45', '00:05', '12:00', 'bars 1–4']);
        expect(await said('us')).toEqual([
            'Monday, May 5',
            'Nov 27, 2031',
            '3:45 pm',
            '12:05 am',
            '12:00 pm',
            'measures 1–4',
        ]);
    });
});

// Draws engraved pages as pictures: node tests/Photo/print.mjs JOBS.json, a list of {engraver, font?, music|svg, out, space}.
import { readFileSync } from 'node:fs';
import { chromium } from 'playwright-core';
import { LOG_OFF, enableLog, VerovioToolkit } from 'verovio/esm';
import createModule from 'verovio/wasm';

const jobs = JSON.parse(readFileSync(process.argv[2], 'utf8'));
const module = await createModule();
enableLog(LOG_OFF, module);
const toolkit = new VerovioToolkit(module);
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });

/** The lines of a staff stand 8.5 pixels apart at this scale. */
const SCALE = 47;

function engraved({ font, music }) {
    toolkit.setOptions({
        font,
        scale: SCALE,
        pageWidth: 2100,
        pageHeight: 2900,
        adjustPageHeight: true,
        breaks: 'encoded',
        header: 'auto',
        footer: 'none',
    });
    toolkit.loadData(readFileSync(music, 'utf8'));
    return toolkit.renderToSVG(1);
}

for (const job of jobs) {
    const svg = job.engraver === 'verovio' ? engraved(job) : readFileSync(job.svg, 'utf8').replace(/^<\?xml[^>]*>|<!DOCTYPE[^>]*>/g, '');
    const page = await browser.newPage({ deviceScaleFactor: job.magnified, viewport: { width: 1100, height: 1400 } });
    await page.setContent(`<body style="margin:40px;background:#fff">${svg}</body>`);
    await page.screenshot({ path: job.out, fullPage: true });
    await page.close();
}
await browser.close();

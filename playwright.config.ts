import { defineConfig } from '@playwright/test';

export default defineConfig({
    testDir: 'tests/Browser',
    outputDir: '.run/browser',
    timeout: 180_000,
    expect: { timeout: 20_000 },
    workers: 1,
    retries: 0,
    reporter: [['list'], ['json', { outputFile: '.run/browser.json' }]],
    use: {
        baseURL: process.env.BASE_URL ?? 'http://127.0.0.1:8000',
        viewport: { width: 1280, height: 800 },
        locale: 'en-GB',
        launchOptions: {
            executablePath: '/usr/bin/chromium',
            args: [
                '--no-sandbox',
                '--disable-quic',
                '--no-first-run',
                '--disable-background-networking',
                '--disable-component-update',
                '--disable-sync',
                '--autoplay-policy=no-user-gesture-required',
            ],
        },
        // What a trace writes down doubles the time of every test; it is there when asked for: TRACE=1 npx playwright test.
        trace: process.env.TRACE === undefined ? 'off' : 'retain-on-failure',
        screenshot: 'only-on-failure',
    },
});

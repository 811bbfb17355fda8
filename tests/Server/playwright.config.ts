import { defineConfig } from '@playwright/test';

/** A server as families reach it: by its name, over TLS, with a certificate that was made for the test. */
export default defineConfig({
    testDir: '.',
    outputDir: '../../.run/server-browser',
    timeout: 240_000,
    expect: { timeout: 20_000 },
    workers: 1,
    retries: 0,
    reporter: [['list'], ['json', { outputFile: '../../.run/server.json' }]],
    use: {
        baseURL: process.env.BASE_URL ?? '',
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
                '--use-fake-device-for-media-stream',
                `--host-resolver-rules=MAP ${process.env.SERVER_NAME} 127.0.0.1`,
                `--ignore-certificate-errors-spki-list=${process.env.SERVER_KEY}`,
            ],
        },
    },
});

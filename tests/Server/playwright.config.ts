import { defineConfig } from '@playwright/test';
import usual from '../../playwright.config';

const { launchOptions, ...use } = usual.use ?? {};

/** A server as families reach it: by its name, over TLS, with a certificate that was made for the test. */
export default defineConfig({
    ...usual,
    testDir: '.',
    outputDir: '../../.run/server-browser',
    timeout: 240_000,
    reporter: [['list'], ['json', { outputFile: '../../.run/server.json' }]],
    use: {
        ...use,
        launchOptions: {
            ...launchOptions,
            args: [
                ...(launchOptions?.args ?? []),
                '--use-fake-device-for-media-stream',
                `--host-resolver-rules=MAP ${process.env.SERVER_NAME} 127.0.0.1`,
                `--ignore-certificate-errors-spki-list=${process.env.SERVER_KEY}`,
            ],
        },
    },
});

import { defineConfig } from 'vitest/config';

export default defineConfig({
    test: {
        include: ['resources/js/**/*.test.{ts,tsx}'],
        environment: 'node',
        setupFiles: ['tests/english.ts', 'tests/request.ts'],
        // A screen that is drawn takes its time on a busy machine.
        testTimeout: 90_000,
    },
});

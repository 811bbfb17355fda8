import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';

export default defineConfig({
    plugins: [
        laravel({ input: 'resources/js/main.tsx', refresh: false }),
        react(),
        // Beside each file its gzipped twin, which nginx (gzip_static) and server.php serve.
        compression({
            algorithms: ['gzip'],
            include: /\.(js|css|svg|wasm|bin|json)$/,
            threshold: 1000,
            skipIfLargerOrEqual: true,
        }),
    ],
    worker: { format: 'es' },
    build: { chunkSizeWarningLimit: 9000, target: 'es2022' },
});

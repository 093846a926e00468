import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';
import { icons } from './icons.ts';

export default defineConfig({
  plugins: [react(), icons()],
  build: {
    assetsDir: 'app',
    // A data: font would need a wider policy.
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 1200,
  },
  server: { proxy: { '/api': 'http://127.0.0.1:5178', '/stage': 'http://127.0.0.1:5178', '/assets': 'http://127.0.0.1:5178' } },
  test: { environment: 'jsdom', testTimeout: 30_000 },
});

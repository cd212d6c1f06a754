import { svelte } from '@sveltejs/vite-plugin-svelte';
import { svelteTesting } from '@testing-library/svelte/vite';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

// functions and components of the page, without a browser and without a server
export default defineConfig({
  plugins: [svelte(), svelteTesting()],
  resolve: { alias: { '@': fileURLToPath(new URL('./resources/js', import.meta.url)) } },
  test: { include: ['tests/Page/**/*.test.ts'], environment: 'happy-dom', isolate: false },
});

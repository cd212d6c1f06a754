import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

// Styles are plain CSS: without a preprocessor for them the type check needs no Vite server, which refuses to start
// where the variable CI is set.
export default { preprocess: vitePreprocess({ style: false }) };

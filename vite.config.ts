import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  root: 'web',
  plugins: [react(), tailwindcss()],
  resolve: {
    // Tables are packed on the page: workers made of text, as that library has them, are refused by the page's policy.
    alias: [{ find: /^(.*)\/zipToArrayBuffer\.js$/, replacement: '$1/zipToArrayBufferSync.js' }],
  },
  build: {
    outDir: '../dist/web',
    emptyOutDir: true,
    chunkSizeWarningLimit: 900,
    // Fonts as files: the page's policy takes none from data addresses.
    assetsInlineLimit: 0,
    modulePreload: { polyfill: false },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4780' } },
});

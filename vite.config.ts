import path from 'node:path';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  root: 'web',
  plugins: [react(), tailwindcss()],
  resolve: {
    alias: [
      {
        find: /^.*\/zipToArrayBuffer\.js$/,
        replacement: path.join(import.meta.dirname, 'web/documents/packOnPage.ts'),
      },
    ],
  },
  build: {
    outDir: '../dist/web',
    emptyOutDir: true,
    chunkSizeWarningLimit: 900,
    // Fonts as files: the page's policy takes none from data addresses.
    assetsInlineLimit: 0,
    modulePreload: { polyfill: false },
    rolldownOptions: {
      output: {
        // What every page begins with comes in one file: cut where pages share it, it was two dozen, each with its own request.
        codeSplitting: { groups: [{ name: 'first', tags: ['$initial'] }] },
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4780' } },
});

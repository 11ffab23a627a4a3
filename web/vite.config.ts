import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { gzippedBytes, homeFiles } from './bundle';

/** A phone's share, pages and styles gzipped; fonts are their own. */
const MOST_HOME_BYTES = 150_000;

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'src',
      filename: 'sw.ts',
      injectRegister: false,
      manifest: false,
      injectManifest: {
        globPatterns: ['**/*.{js,css,html,woff2,svg,png,webmanifest}'],
        // A phone at home keeps its own part only.
        manifestTransforms: [
          (entries) => {
            const home = homeFiles('dist');
            const bytes = gzippedBytes('dist', home);
            console.info(`home: ${(bytes / 1000).toFixed(1)} kB gzipped`);
            if (bytes > MOST_HOME_BYTES) throw new Error(`home's pages have grown to ${bytes} bytes`);
            return {
              manifest: entries.map((e) => ({ ...e, home: home.includes(e.url) || !/\.(js|css|html)$/.test(e.url) })),
            };
          },
        ],
      },
    }),
  ],
  build: {
    target: 'es2022',
    modulePreload: { polyfill: false },
    sourcemap: false,
    rollupOptions: {
      input: ['index.html', 'home.html', 'report.html'],
      output: {
        // Small files that the floor and home's pages share: one is packed better than five.
        codeSplitting: {
          groups: [
            {
              name: 'parts',
              test: /src\/(shared\/ui\/(keys|ButtonLink|ClientCautions|NumberField)|shared\/said|shared\/draw\/(FigureView|MovingFigure|moving)|steps\/perform\/(setUp|SetUpFigure|StopRules|MeasureNow|floor\/ticker))/,
            },
          ],
        },
      },
    },
  },
  worker: { format: 'es' },
  server: { proxy: { '/api': 'http://localhost:8417' } },
});

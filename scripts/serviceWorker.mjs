/** Writes dist/sw.js: the whole build lies in the browser after the first visit, and opens with the server gone. */
import { generateSW } from 'workbox-build';

const { count, size, warnings } = await generateSW({
  globDirectory: 'dist',
  globPatterns: ['**/*.{html,js,css,woff2,svg,png,wasm,webmanifest}'],
  // What sees pictures is large, and fetched with the first one; from then on it is kept.
  globIgnores: ['vision/**'],
  runtimeCaching: [
    {
      urlPattern: /\/vision\//,
      handler: 'CacheFirst',
      options: { cacheName: 'vision', cacheableResponse: { statuses: [200] } },
    },
  ],
  swDest: 'dist/sw.js',
  // What the names carry a hash of never changes.
  dontCacheBustURLsMatching: /^_expo\/static\//,
  navigateFallback: '/index.html',
  // Stand-ins for devices are asked each time; without a server they are absent.
  navigateFallbackDenylist: [/^\/devices\//, /^\/health$/],
  // The solver is the largest file.
  maximumFileSizeToCacheInBytes: 8_000_000,
  // A new version waits until she takes it: nothing changes under her hands.
  skipWaiting: false,
  clientsClaim: true,
  cleanupOutdatedCaches: true,
  inlineWorkboxRuntime: true,
  sourcemap: false,
});
warnings.forEach((warning) => console.warn(warning));
if (warnings.length > 0) process.exit(1);
console.log(`dist/sw.js keeps ${count} files, ${(size / 1e6).toFixed(1)} MB before compression`);

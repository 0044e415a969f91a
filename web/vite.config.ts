import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

/** Which program of the core it is that works something out: what another one worked out is not taken over. */
const programIn = (place: string): string => {
  const folder = new URL(`../core/src/${place}`, import.meta.url);
  const hash = createHash('sha256');
  const names = readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter(
    (name) => name.endsWith('.ts') && !name.endsWith('.test.ts'),
  );
  for (const name of names.sort()) hash.update(readFileSync(new URL(name, folder)));
  return hash.digest('hex').slice(0, 12);
};

export default defineConfig({
  define: { CUT_PROGRAM: JSON.stringify(programIn('cut/')), CORE_PROGRAM: JSON.stringify(programIn('')) },
  plugins: [react(), tailwind()],
  build: { target: 'es2022', assetsInlineLimit: 0, chunkSizeWarningLimit: 1200 },
  worker: { format: 'es' },
  server: { port: 5181, proxy: { '/api': 'http://127.0.0.1:5180' } },
});

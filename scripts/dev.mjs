// For developers: the server from its sources and the web with hot reloading, side by side.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { build, install, root } from './setup.mjs';

install();
build();
const bin = (name) => join(root, 'node_modules/.bin', name);
const children = [
  spawn(bin('tsx'), ['watch', join(root, 'server/src/main.ts')], { cwd: root, stdio: 'inherit' }),
  spawn(bin('vite'), ['--config', 'vite.config.ts'], { cwd: join(root, 'web'), stdio: 'inherit' }),
];
process.on('SIGINT', () => {
  for (const child of children) child.kill();
});

import { build, install, root } from './setup.mjs';

install();
build();
process.chdir(root);
await import('../server/dist/main.js');

// The command line: sets up what is missing (its words go to standard error), then does what was asked.
import { build, install } from './setup.mjs';

install();
build();
// What concerns the shelf is the server's, what concerns one file the core's.
const SHELF = ['keep', 'restore', 'check'];
await import(SHELF.includes(process.argv[2] ?? '') ? '../server/dist/shelfMain.js' : '../cli/dist/main.js');

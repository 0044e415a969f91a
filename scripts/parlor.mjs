// The command line: sets up what is missing (its words go to standard error), then does what was asked.
import { build, install } from './setup.mjs';

install();
build();
await import('../cli/dist/main.js');

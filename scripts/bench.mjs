import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { install, root } from './setup.mjs';

install();
execFileSync(join(root, 'node_modules/.bin/tsx'), [join(root, 'bench/src/main.ts')], { cwd: root, stdio: 'inherit' });

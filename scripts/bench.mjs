import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { build, install, installTestTools, root } from './setup.mjs';

install();
installTestTools();
build();
execFileSync(join(root, 'node_modules/.bin/tsx'), [join(root, 'bench/src/main.ts')], { cwd: root, stdio: 'inherit' });

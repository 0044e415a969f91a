import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { build, install, installTestTools, root } from './setup.mjs';

install();
installTestTools();
build();
execFileSync(join(root, 'node_modules/.bin/tsx'), [join(root, 'e2e/src/screenshots.ts')], { cwd: root, stdio: 'inherit' });

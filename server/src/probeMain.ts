// Opens a database and closes it again, in a process of its own: one that was damaged may never answer. Ends with 0 when it answered.
import { openAt } from './store/index.ts';

const [target = '', migrations = ''] = process.argv.slice(2);
try {
  await (await openAt(target, migrations)).close();
  process.exit(0);
} catch {
  process.exit(1);
}

// The process that reads pictures: one at a time, one thread, nothing remembered. Whoever started it ends it when it takes too long or too much.
import sharp from 'sharp';
import { upright } from './reading/upright.ts';

sharp.concurrency(1);
sharp.cache(false);

process.on('message', (file: Uint8Array) => {
  void upright(file).then((made) => process.send?.(made));
});
process.on('disconnect', () => process.exit(0));

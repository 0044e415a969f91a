// The content policy allows no code made from text, and the schema library would try it once to find out. For workers, imported before
// anything that makes a schema; the page has public/no-eval.js.
import { config } from 'zod';

config({ jitless: true });

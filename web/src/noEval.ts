// The content policy allows no code made from text, and the schema library would try it once to find out. Imported before anything that
// makes a schema.
import { config } from 'zod';

config({ jitless: true });

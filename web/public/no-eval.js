// The content policy allows no code made from text, and the schema library would try it once to find out. It reads its settings when its
// first schema is made, which is before any module of ours runs; hence this script of its own. Workers say the same in noEval.ts.
globalThis.__zod_globalConfig = { jitless: true };

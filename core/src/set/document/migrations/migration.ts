/** Makes a document of one version one of the next. What comes may be anything that says it is of that version: what is not as it should be is left as it is,
 *  for the schema to name; what is as the next version has it stays so, for pieces by themselves say no version. */
export type Migration = (document: Readonly<Record<string, unknown>>) => Readonly<Record<string, unknown>>;

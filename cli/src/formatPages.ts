// The pages that tell how a file is written, made from the very schema that reads it: one for each family of pieces.
import { type Field, fieldsOf, PRESETS, valueAt } from '@parlor/core/piece';
import { documentJsonSchema, type JsonSchema, type Piece, readPiece, VERSION } from '@parlor/core/set';

type Row = { readonly path: string; readonly may: string; readonly usual: string };

const schemaOf = (value: unknown): JsonSchema => (typeof value === 'object' && value !== null ? (value as JsonSchema) : {});

const listOf = (value: unknown): readonly JsonSchema[] => (Array.isArray(value) ? value.map(schemaOf) : []);

const isLength = ({ $ref }: JsonSchema): boolean => $ref === '#/$defs/length';

/** A size that may be said in either world: a length, or one at doll size. */
const isMeasure = ({ anyOf }: JsonSchema): boolean => {
  const [real, doll, ...more] = listOf(anyOf);
  return more.length === 0 && real !== undefined && isLength(real) && 'doll' in schemaOf(doll?.['properties']);
};

const millimetres = (um: unknown): string => `${Number(um) / 1000} mm`;

/** What a field is when it is left out, as the program reads it. */
const usualOf = (schema: JsonSchema, usual: unknown): string => {
  if (usual === undefined) return '';
  if (typeof usual === 'number' && (isMeasure(schema) || isLength(schema))) return millimetres(usual);
  if (typeof usual === 'object' && usual !== null && 'doll' in usual) return `${millimetres(usual.doll)} doll`;
  const text = JSON.stringify(usual);
  return text.length > 60 ? '(as below)' : `\`${text}\``;
};

const between = (low: unknown, high: unknown): string =>
  typeof low === 'number' && typeof high === 'number' && Math.abs(low) < 1e9 && Math.abs(high) < 1e9 ? `, ${low} to ${high}` : '';

/** What may stand in a field, in words. */
const mayStand = (schema: JsonSchema): string => {
  const { type, enum: values, const: only, minimum, maximum, maxLength, maxItems, minItems, items, $ref } = schema;
  if (isMeasure(schema)) return 'size';
  if (isLength(schema)) return 'length';
  if (typeof $ref === 'string') return `a ${$ref.replace('#/$defs/', '')}`;
  if (only !== undefined) return `\`${JSON.stringify(only)}\``;
  if (Array.isArray(values)) return values.map((value) => `\`${JSON.stringify(value)}\``).join(' ');
  const ways = [...listOf(schema['anyOf']), ...listOf(schema['oneOf'])];
  if (ways.length > 0) return [...new Set(ways.map(mayStand))].join(', or ');
  if (type === 'array') {
    const many = maxItems === undefined ? '' : minItems === maxItems ? ` of ${maxItems}` : `, at most ${maxItems}`;
    return `list${many}: ${Array.isArray(items) ? 'each' : mayStand(schemaOf(items))}`;
  }
  if (type === 'integer') return `whole number${between(minimum, maximum)}`;
  if (type === 'number') return `number${between(minimum, maximum)}`;
  if (type === 'string') return maxLength === undefined ? 'text' : `text of at most ${maxLength}`;
  if (Array.isArray(type)) return type.includes('null') ? 'length, or `null`' : 'length';
  return type === 'object' ? 'fields' : type === 'null' ? '`null`' : type === 'boolean' ? '`true` `false`' : String(type ?? 'anything');
};

const DEEPEST = 4;

/** A field and, under it, what it holds. */
const rowsOf = (path: string, schema: JsonSchema, usual: unknown, deep = 0): readonly Row[] => {
  const row: Row = { path, may: mayStand(schema), usual: usualOf(schema, usual) };
  if (isMeasure(schema) || deep > DEEPEST) return [row];
  const within = [schema, ...listOf(schema['anyOf']), ...listOf(schema['oneOf']), ...listOf([schema['items']])];
  const inner = within.flatMap((each) => {
    const list = each === schemaOf(schema['items']) && each !== schema;
    const here = list ? `${path}[]` : path;
    const fields = Object.entries(schemaOf(each['properties'])).flatMap(([key, value]) =>
      rowsOf(`${here}.${key}`, schemaOf(value), list ? undefined : valueAt(usual, [key]), deep + 1),
    );
    const ways = list ? [...listOf(each['oneOf']), ...listOf(each['anyOf'])] : [];
    const more = ways.flatMap((way) =>
      Object.entries(schemaOf(way['properties'])).flatMap(([key, value]) =>
        rowsOf(`${here}.${key}`, schemaOf(value), list ? undefined : valueAt(usual, [key]), deep + 1),
      ),
    );
    return [...fields, ...more];
  });
  // Fields of several kinds of one thing are one row.
  const rows = new Map<string, Row>();
  for (const each of [row, ...inner]) {
    const known = rows.get(each.path);
    const may = known && known.may !== each.may ? `${known.may}, or ${each.may}` : each.may;
    rows.set(each.path, { ...each, may, usual: known?.usual || each.usual });
  }
  return [...rows.values()];
};

/** What a field is called on the screen; one path may have several names, each for a form. */
const calledOf = (fields: readonly Field[], path: string): string =>
  [...new Set(fields.filter((field) => field.path.join('.') === path).map(({ label }) => label))].join('; ');

/** The least and the most that a size may be, where the screen says so. */
const boundsOf = (fields: readonly Field[], path: string): string => {
  const kind = fields.find((field) => field.path.join('.') === path)?.kind;
  return kind?.kind === 'size' || kind?.kind === 'doll-size' || kind?.kind === 'sizes'
    ? `, ${kind.min / 1000} to ${kind.max / 1000} mm`
    : '';
};

const cell = (text: string): string => text.replaceAll('|', '\\|');

const table = (rows: readonly Row[], fields: readonly Field[]): string =>
  [
    '| field | on the screen | what may stand there | when left out |',
    '|---|---|---|---|',
    ...rows.map(
      ({ path, may, usual }) =>
        `| \`${path}\` | ${cell(calledOf(fields, path))} | ${cell(may + boundsOf(fields, path))} | ${cell(usual)} |`,
    ),
  ].join('\n');

/** Fields that every piece has: told once. */
const COMMON: ReadonlySet<string> = new Set(['family', 'id', 'mark', 'name', 'bodyScale', 'boards', 'thick', 'dress', 'aside']);

/** A whole file with the first preset of a family and nothing else: the tests plan it. */
export const exampleOf = (family: string): string => {
  const piece = PRESETS.find((preset) => (preset.piece as { readonly family: string }).family === family)?.piece;
  return JSON.stringify({ format: 'bashful-parlor-set', version: VERSION, pieces: [piece] }, null, 2);
};

/** A piece of a family of which nothing is decided. */
const bare = (family: string): Piece => {
  const read = readPiece({ family });
  if (!read.ok) throw new Error(`${family}: ${JSON.stringify(read.error)}`);
  return read.value;
};

const familyPage = (family: string, properties: JsonSchema): string => {
  const usual = bare(family);
  const fields = fieldsOf({ family } as never);
  const own = Object.entries(properties).filter(([key]) => !COMMON.has(key));
  const roles = Object.keys(schemaOf(schemaOf(properties['boards'])['properties']));
  return `# ${family}

Made from the schema by \`npm run docs:format\`; change that, not this page. Every piece has the fields of [pieces](pieces.md) besides. A **size** is a real length or \`{ "doll": length }\`; a **length** is whole micrometres or text with its unit.

Roles of its boards: ${roles.map((role) => `\`${role}\``).join(' ')}.

${table(
  own.flatMap(([key, value]) => rowsOf(key, schemaOf(value), valueAt(usual, [key]))),
  fields,
)}

\`\`\`json
${exampleOf(family)}
\`\`\`
`;
};

/** All pages and the schema, by file name under \`docs/format\`. */
export const formatPages = (): Readonly<Record<string, string>> => {
  const schema = documentJsonSchema();
  const properties = schemaOf(schema['properties']);
  const pieces = listOf(schemaOf(schemaOf(properties['pieces'])['items'])['oneOf']);
  const families = pieces.map((piece) => {
    const its = schemaOf(piece['properties']);
    return { family: String(schemaOf(its['family'])['const']), its };
  });
  const [first] = families;
  const common = Object.entries(first?.its ?? {}).filter(
    ([key]) => COMMON.has(key) && !['family', 'boards', 'thick', 'name'].includes(key),
  );
  const pages = families.map(({ family, its }) => [`${family}.md`, familyPage(family, its)] as const);
  const bay = schemaOf(schemaOf(schema['$defs'])['bay']);
  const index = `# Pieces

Made from the schema by \`npm run docs:format\`. What a set holds besides its pieces: [project-format.md](../project-format.md). For editors: [parlor.schema.json](parlor.schema.json), named in a file by \`"$schema"\`.

Families: ${families.map(({ family }) => `[${family}](${family}.md)`).join(' · ')}.

| field | what may stand there | when left out |
|---|---|---|
| \`family\` | ${families.map(({ family }) => `\`"${family}"\``).join(' ')} | \`"casework"\` |
| \`name\` | text of at most 80 | its family's |
| \`boards\` | for each role a board's \`id\`, or \`null\` | \`null\`: the first role's board, and for that the set's first |
| \`thick\` | for each role a size that layers are glued up to, or \`null\` | \`null\`: one board |
${common
  .flatMap(([key, value]) => rowsOf(key, schemaOf(value), ['id', 'mark'].includes(key) ? undefined : valueAt(bare('casework'), [key])))
  .map(({ path, may, usual }) => `| \`${path}\` | ${cell(may)} | ${cell(usual)} |`)
  .join('\n')}

## A bay of a case

\`front\` of [casework](casework.md) is a bay; a bay that is divided holds bays again.

${table(
  listOf(bay['oneOf']).flatMap((way) =>
    Object.entries(schemaOf(way['properties'])).flatMap(([key, value]) =>
      rowsOf(`${String(schemaOf(schemaOf(way['properties'])['kind'])['const'])}: ${key}`, schemaOf(value), undefined),
    ),
  ),
  [],
)}
`;
  return { 'pieces.md': index, ...Object.fromEntries(pages), 'parlor.schema.json': `${JSON.stringify(schema)}\n` };
};

/**
 * Makes src/lib/server/answers.json: the schemas of what queries and operations answer, out of their types. `npm run
 * answers` after a change of what is answered; `npm run check:answers` says whether the file is as the types are.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { format, resolveConfig } from 'prettier';
import { buildGenerator, getProgramFromFiles, type Definition } from 'typescript-json-schema';

const root = join(import.meta.dirname, '..');
const registry = join(root, 'src', 'lib', 'server', 'registry.ts');
const written = join(root, 'src', 'lib', 'server', 'answers.json');

type Schema = Record<string, unknown>;
const isObject = (value: unknown): value is Schema =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The types as the compiler reads them, each of a name once. */
function readTypes(): Record<'QueryAnswers' | 'OperationResults', Definition> {
  const program = getProgramFromFiles(
    [registry],
    {
      strict: true,
      noUncheckedIndexedAccess: true,
      skipLibCheck: true,
      allowImportingTsExtensions: true,
      resolveJsonModule: true,
      noEmit: true,
      target: 'ES2023',
      module: 'ESNext',
      moduleResolution: 'Bundler',
      types: ['node'],
      lib: ['lib.es2023.d.ts', 'lib.dom.d.ts']
    },
    root
  );
  // It remarks on every property whose value it cannot read off the text; nothing is asked of values here.
  const { warn } = console;
  console.warn = () => undefined;
  try {
    const generator = buildGenerator(program, {
      required: true,
      ref: true,
      strictNullChecks: true,
      ignoreErrors: true
    });
    if (!generator) throw new Error('the types cannot be read');
    const of = (name: string) => generator.getSchemaForSymbol(name);
    return { QueryAnswers: of('QueryAnswers'), OperationResults: of('OperationResults') };
  } finally {
    console.warn = warn;
  }
}

const titled = (text: string) =>
  text.replace(/(?:^|[^A-Za-z0-9]+)([A-Za-z0-9])/g, (_, letter: string) => letter.toUpperCase());

/** The one kind of an entry of the ledger, where the schema is of such a one: its body is called after it. */
function kindOf({ properties }: Schema): string | null {
  const kinds = isObject(properties) && isObject(properties.kind) ? properties.kind : {};
  const [kind, other] = Array.isArray(kinds.enum) ? (kinds.enum as unknown[]) : [kinds.const];
  return typeof kind === 'string' && other === undefined && kind.includes('.') ? kind : null;
}

/** Brings schemas of draft 7 to 2020-12 and gives each shared part a name that a component may bear. */
function sharedParts(definitions: Record<string, Schema>) {
  const names = new Map<string, string>();
  const parts: Record<string, unknown> = {};
  const nameOf = (key: string, place: string): string => {
    const known = names.get(key);
    if (known) return known;
    // A type that could not be worked out is named after its parameter: it would be a schema of something else.
    if (/^[A-Z]\d*$/.test(key)) throw new Error(`${place}: give it a type, it is read as "${key}"`);
    // Two types of one name are told apart by a number behind it, which is given here anew.
    const wanted = /^\w+$/.test(key) ? key.replace(/_\d+$/, '') : titled(place);
    let name = wanted;
    for (let again = 2; name in parts; again++) name = `${wanted}${again}`;
    names.set(key, name);
    parts[name] = null;
    parts[name] = brought(definitions[key], name);
    return name;
  };
  const brought = (value: unknown, place: string): unknown => {
    if (Array.isArray(value)) return value.map((each) => brought(each, place));
    if (!isObject(value)) return value;
    if (typeof value.$ref === 'string') {
      const key = decodeURIComponent(value.$ref.slice('#/definitions/'.length));
      return { $ref: `#/components/schemas/${nameOf(key, place)}` };
    }
    const next: Schema = {};
    const inside = kindOf(value) ?? place;
    for (const [key, inner] of Object.entries(value)) {
      // What a property begins as in the code is no default of the answer.
      if (key === 'default' || key === '$schema' || key === 'definitions') continue;
      if (key === 'properties' && isObject(inner)) {
        next.properties = Object.fromEntries(
          Object.entries(inner).map(([name, of]) => [name, brought(of, `${inside} ${name}`)])
        );
      } else if (key === 'items' && Array.isArray(inner)) next.prefixItems = brought(inner, place);
      else if (key === 'additionalItems') next.items = brought(inner, place);
      else next[key] = brought(inner, place);
    }
    return next;
  };
  return { parts, brought };
}

async function made(): Promise<string> {
  const { QueryAnswers, OperationResults } = readTypes() as unknown as Record<
    string,
    { properties: Record<string, Schema>; definitions: Record<string, Schema> }
  >;
  const { parts, brought } = sharedParts({ ...QueryAnswers!.definitions, ...OperationResults!.definitions });
  const each = (from: { properties: Record<string, Schema> }) =>
    Object.fromEntries(
      Object.entries(from.properties)
        .sort(([one], [other]) => (one < other ? -1 : 1))
        .map(([name, schema]) => [name, brought(schema, name)])
    );
  const whole = { queries: each(QueryAnswers!), operations: each(OperationResults!), parts };
  return format(JSON.stringify(whole), { ...(await resolveConfig(written)), parser: 'json' });
}

const text = await made();
if (process.argv.includes('--check')) {
  if (readFileSync(written, 'utf8') !== text) {
    console.error('src/lib/server/answers.json is not as the types are: npm run answers');
    process.exit(1);
  }
} else writeFileSync(written, text);

import { z } from 'zod';
import { ERROR_CODES } from '../core/errors.ts';
import answers from './answers.json' with { type: 'json' };
import { EXAMPLES } from './examples.ts';
import type { Query } from './queries/query.ts';
import { OPERATIONS, QUERIES } from './registry.ts';
import { FILE_TYPES } from './store/files.ts';

const JSON_TYPE = 'application/json';

/** What each query and operation answers, as its types say: `npm run answers` makes the file. */
const ANSWERS: {
  readonly queries: Readonly<Record<string, object>>;
  readonly operations: Readonly<Record<string, object>>;
  readonly parts: Readonly<Record<string, object>>;
} = answers;

/** A schema as OpenAPI 3.1 has it: JSON Schema of 2020-12, as it is sent. */
function inputSchema(schema: z.ZodType): Record<string, unknown> {
  const { $schema: _, ...plain } = z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' });
  return plain;
}
const ref = (name: string) => ({ $ref: `#/components/schemas/${name}` });
const refused = (description: string) => ({
  description,
  content: { 'application/problem+json': { schema: ref('Problem') } }
});
const answered = (description: string, schema: object) => ({ description, content: { [JSON_TYPE]: { schema } } });

const PROBLEMS = {
  404: refused('Nothing goes by that name or path.'),
  422: refused('Refused: what was sent, or what the record says, does not allow it.')
};
const WRITE_PROBLEMS = {
  409: refused('Somebody changed it meanwhile, or the key was used with other contents: both sides are in `conflict`.'),
  422: PROBLEMS[422],
  503: refused('The record cannot be written to just now. Nothing was written.')
};

/** What is answered where an operation was done; its result is its own. */
const written = (result: object) => ({
  type: 'object',
  required: ['result', 'seq', 'repeated'],
  properties: {
    result,
    seq: { type: 'integer', description: 'number of the last entry it wrote' },
    repeated: { type: 'boolean', description: 'true where the key was answered before: nothing was written again' }
  }
});

const SCHEMAS = {
  Problem: {
    type: 'object',
    description: 'Problem details (RFC 9457).',
    required: ['type', 'title', 'status', 'detail'],
    properties: {
      type: { type: 'string', description: '`about:blank#` and the code' },
      title: { type: 'string', enum: ERROR_CODES, description: 'the code: stable, and never used for something else' },
      status: { type: 'integer' },
      detail: { type: 'string', description: 'a sentence for a person, with the field, its unit and its range' },
      fields: {
        type: 'array',
        description: 'one for each field that cannot be taken as it is',
        items: {
          type: 'object',
          required: ['field', 'code', 'message'],
          properties: {
            field: { type: 'string' },
            code: { type: 'string', enum: ERROR_CODES },
            message: { type: 'string' }
          }
        }
      },
      conflict: {
        type: 'object',
        description: 'of a 409: what was sent, and what is there',
        additionalProperties: true
      }
    }
  },
  KeptFile: {
    type: 'object',
    required: ['hash'],
    properties: {
      hash: { type: 'string', description: 'SHA-256 of its bytes: what an entry names it by' },
      type: { type: 'string', enum: Object.keys(FILE_TYPES) }
    },
    additionalProperties: true
  },
  Taken: {
    type: 'object',
    description: 'what was taken of readings that were sent',
    additionalProperties: true
  }
};

const ABOUT = `Everything the screens do, and nothing they do not: forms and this document are made from the same two lists.

**Who.** A house's own network is trusted; who does something is said in \`X-Ember-Person\` (an id of \`GET /api/v1/people\`), on which tablet in
\`X-Ember-Tablet\`. Nothing is written without a person; the first one of a house joins without.

**Versions.** Every entry has a number (\`seq\`), and an answer about a piece, a lot or the house names the last one it saw. Sent back in
\`If-Match\`, a change that came meanwhile is refused (409) with both sides, and nothing is written. Left out, the newest is taken.

**Keys.** \`Idempotency-Key\` makes a repeat harmless: the same key with the same contents is answered again and done once; with other contents it is refused (409).

**Loggers** send their readings with a key of their own (\`Authorization: Bearer\`), made by \`key-device\` and taken back by \`revoke-device\`. The key is shown once; the record keeps its hash.
It reads and writes nothing else.

**Examples** of operations are one after another in a house whose first person did them, from noon (UTC) on 9 March 2026 on; ids are made of the day.

**Quantities** are texts with their unit, as a person writes them ("2.4 kg", "-4 F"); without one they are refused. Times are ISO instants, or wall times of the house.

**What is refused** is answered with problem details: a code of the list below, which never changes its meaning, and a sentence for a person.`;

/** Examples of a query, as they are sent. */
const exampleOf = (query: Query, name: string) =>
  query.example?.[name] === undefined ? {} : { example: query.example[name] };

const SHARED = {
  person: { name: 'X-Ember-Person', in: 'header', schema: { type: 'string' }, description: 'Id of who does it' },
  tablet: { name: 'X-Ember-Tablet', in: 'header', schema: { type: 'string' }, description: 'The tablet it is said on' },
  key: {
    name: 'Idempotency-Key',
    in: 'header',
    schema: { type: 'string' },
    description: 'Makes a repeat harmless; of the sender’s own making'
  },
  seen: {
    name: 'If-Match',
    in: 'header',
    schema: { type: 'string' },
    description: 'Number of the last entry seen of what it is about'
  }
};

function queryPath(query: Query): Record<string, unknown> {
  const { name, path, summary, input, post } = query;
  const common = { operationId: name, summary, tags: ['Ask'] };
  const responses = { 200: answered('What was asked', ANSWERS.queries[name]!), ...PROBLEMS };
  if (post) {
    const content = {
      [JSON_TYPE]: { schema: inputSchema(input), ...(query.example ? { example: query.example } : {}) }
    };
    return { post: { ...common, requestBody: { required: true, content }, responses } };
  }
  const schema = inputSchema(input) as { properties?: Record<string, unknown>; required?: string[] };
  const inPath = (key: string) => path.includes(`{${key}}`);
  return {
    get: {
      ...common,
      parameters: Object.entries(schema.properties ?? {}).map(([key, of]) => ({
        name: key,
        in: inPath(key) ? 'path' : 'query',
        required: inPath(key) || (schema.required ?? []).includes(key),
        schema: of,
        ...exampleOf(query, key)
      })),
      responses
    }
  };
}

const DEVICES = {
  '/api/v1/devices/scale': {
    get: {
      operationId: 'follow-scale',
      tags: ['Devices'],
      summary: 'What the scale shows, as it changes: server-sent events named "scale".',
      responses: {
        200: { description: 'A stream', content: { 'text/event-stream': { schema: { type: 'string' } } } },
        404: PROBLEMS[404]
      }
    },
    post: {
      operationId: 'tell-scale',
      tags: ['Devices'],
      summary: 'Tare, clear or zero the scale.',
      requestBody: {
        required: true,
        content: {
          [JSON_TYPE]: { schema: { type: 'object', properties: { command: { enum: ['TARE', 'CLEAR', 'ZERO'] } } } }
        }
      },
      responses: { 200: answered('Told', { type: 'object' }), 422: PROBLEMS[422], 503: WRITE_PROBLEMS[503] }
    }
  },
  '/api/v1/files': {
    post: {
      operationId: 'keep-file',
      tags: ['Do'],
      summary:
        'Keep the file of a paper (PDF, JPEG, PNG to 10 MB), told by its contents; its hash goes into attach-evidence.',
      parameters: [{ name: 'X-File-Name', in: 'header', schema: { type: 'string' } }],
      requestBody: {
        required: true,
        content: Object.fromEntries(Object.keys(FILE_TYPES).map((type) => [type, { schema: { type: 'string' } }]))
      },
      responses: { 200: answered('Kept', ref('KeptFile')), 422: PROBLEMS[422] }
    }
  },
  '/api/v1/readings': {
    post: {
      operationId: 'send-readings',
      tags: ['Devices'],
      summary: 'Readings of a logger, with its key.',
      security: [{ logger: [] }],
      requestBody: { required: true, content: { [JSON_TYPE]: { schema: { type: 'object' } } } },
      responses: {
        200: answered('Taken', ref('Taken')),
        401: refused('No logger has that key.'),
        403: refused('The key was taken back.'),
        422: PROBLEMS[422]
      }
    }
  }
};

/** The OpenAPI 3.1 document, made from the two registries. */
export function openApi() {
  const paths: Record<string, unknown> = {};
  for (const query of QUERIES) paths[`/api/v1/${query.path}`] = queryPath(query);
  for (const { name, summary, input } of OPERATIONS) {
    const example = EXAMPLES.find(({ operation }) => operation === name)!.input;
    paths[`/api/v1/operations/${name}`] = {
      post: {
        operationId: name,
        tags: ['Do'],
        summary,
        parameters: Object.keys(SHARED).map((each) => ({ $ref: `#/components/parameters/${each}` })),
        requestBody: { required: true, content: { [JSON_TYPE]: { schema: inputSchema(input), example } } },
        responses: { 200: answered('Done, and in the ledger', written(ANSWERS.operations[name]!)), ...WRITE_PROBLEMS }
      }
    };
  }
  return {
    openapi: '3.1.0',
    info: { title: 'Ember Tide', version: '1', description: ABOUT, license: { name: 'MIT', identifier: 'MIT' } },
    servers: [{ url: '/' }],
    security: [],
    tags: [
      { name: 'Ask', description: 'Nothing is written.' },
      { name: 'Do', description: 'Entries of the ledger.' },
      { name: 'Devices', description: 'Scales and loggers.' }
    ],
    paths: { ...paths, ...DEVICES } as Record<string, unknown>,
    components: {
      schemas: { ...ANSWERS.parts, ...SCHEMAS },
      parameters: SHARED,
      securitySchemes: { logger: { type: 'http', scheme: 'bearer', description: 'A logger’s own key' } }
    }
  };
}

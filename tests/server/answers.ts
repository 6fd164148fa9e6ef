import { Ajv2020, type ValidateFunction } from 'ajv/dist/2020.js';
import { openApi } from '../../src/lib/server/openapi.ts';

const ajv = new Ajv2020({ strict: false, allErrors: true });
ajv.addSchema(openApi(), 'house');
const compiled = new Map<string, ValidateFunction>();

type Responses = Record<string, { content: Record<string, { schema: object }> }>;
interface Path {
  readonly operationId: string;
  readonly responses: Responses;
}
const everyPath = Object.entries(openApi().paths as Record<string, Record<string, Path>>).flatMap(([path, methods]) =>
  Object.entries(methods).map(([method, of]) => ({ path, method, of }))
);
const pointer = (...parts: string[]) =>
  parts.map((part) => encodeURIComponent(part.replaceAll('~', '~0').replaceAll('/', '~1'))).join('/');

function validatorOf(operationId: string): ValidateFunction {
  const known = compiled.get(operationId);
  if (known) return known;
  const { path, method } = everyPath.find(({ of }) => of.operationId === operationId)!;
  const place = pointer('paths', path, method, 'responses', '200', 'content', 'application/json', 'schema');
  const made = ajv.compile({ $ref: `house#/${place}` });
  compiled.set(operationId, made);
  return made;
}

/** What is wrong with an answer by the schema the document gives for it; nothing where it is as told. It is taken as it is sent: through JSON. */
export function answerTroubles(operationId: string, answer: unknown): string[] {
  const validate = validatorOf(operationId);
  validate(JSON.parse(JSON.stringify(answer)) as unknown);
  return (validate.errors ?? []).map(({ instancePath, message }) => `${operationId}${instancePath} ${message}`);
}

import { randomUUID } from 'node:crypto';
import { EmberError } from '../core/errors.ts';
import { errorSentence } from '../words/errors.ts';
import { namedIn } from '../words/plans/index.ts';
import type { App } from './app.ts';
import { openApi } from './openapi.ts';
import { operationByName } from './registry.ts';
import type { Answer } from './operations/execute.ts';
import { matchQuery } from './registry.ts';
import { fieldTroubles } from '../core/fields/trouble.ts';
import { strangerIn } from './input/strangers.ts';

/** What a field is called where it is set. */
type Named = (field: string) => string | undefined;

/** RFC 9457 problem details. */
export function problem(
  status: number,
  error: Pick<EmberError, 'code' | 'details'>,
  more: Record<string, unknown> = {},
  named: Named = () => undefined
): Response {
  const body = {
    type: `about:blank#${error.code}`,
    title: error.code,
    status,
    detail: errorSentence(error.code, error.details, named),
    ...more
  };
  return new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/problem+json' } });
}

const json = (value: unknown, status = 200) =>
  new Response(JSON.stringify(value), {
    status,
    headers: { 'content-type': 'application/json', 'cache-control': 'no-store' }
  });

/** A refusal as problem+json: the fields with their sentences, and for a clash both sides. */
export function refusal(answer: Extract<Answer, { ok: false }>, named: Named = () => undefined): Response {
  return problem(
    answer.status,
    answer,
    {
      fields: answer.fields.map(({ field, code, details }) => ({
        field,
        code,
        message: errorSentence(code, details, named)
      })),
      ...(answer.status === 409 ? { conflict: answer.details } : {})
    },
    named
  );
}

/** GET of a query; POST of one whose input is too long for an address. */
export function answerQuery(app: App, path: string, search: URLSearchParams, body?: unknown): Response {
  try {
    if (path === 'openapi.json') return json(openApi());
    const { query, parts } = matchQuery(path, body !== undefined);
    const given = body === undefined ? Object.fromEntries(search) : body;
    const stranger = strangerIn({ given, parts });
    if (stranger) throw stranger;
    const parsed = query.input.safeParse({ ...(given as object), ...parts });
    if (!parsed.success) {
      const fields = fieldTroubles(parsed.error.issues, { ...(given as object), ...parts });
      const { code, details } = fields[0]!;
      return refusal({ ok: false, status: 422, code, details, fields }, namedIn(query.name, given));
    }
    return json(query.run(app, parsed.data));
  } catch (error) {
    if (!(error instanceof EmberError)) throw error;
    const missing = error.code === 'record.not-found' || error.code === 'request.unknown-path';
    return problem(missing ? 404 : 422, error);
  }
}

/** POST of an operation. `Idempotency-Key` makes a repeat harmless, `If-Match` names the version that was seen. */
export function answerOperation(
  app: App,
  name: string,
  headers: Headers,
  body: unknown,
  { person, tablet }: { readonly person: { readonly id: string } | null; readonly tablet?: string }
): Response {
  const operation = operationByName(name);
  if (!operation) return problem(404, new EmberError('request.unknown-path', { seen: name }));
  const match = /^"?(\d+)"?$/.exec(headers.get('if-match') ?? '');
  const answer = app.executor.execute({
    operation,
    input: body,
    actor: person?.id ?? null,
    tablet,
    key: headers.get('idempotency-key') ?? randomUUID(),
    seen: match ? Number(match[1]) : undefined
  });
  if (!answer.ok) return refusal(answer, namedIn(name, body));
  return json({ result: answer.result, seq: answer.seq, repeated: answer.repeated });
}

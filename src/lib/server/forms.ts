import { randomUUID } from 'node:crypto';
import { fail, redirect, type Actions, type RequestEvent } from '@sveltejs/kit';
import { errorSentence } from '../words/errors.ts';
import { theApp } from './app.ts';
import { OPERATIONS } from './operations/registry.ts';

/** What a form action hands back to its page. */
export interface FormAnswer {
  readonly operation: string;
  readonly ok: boolean;
  readonly message: string;
  readonly fields: Record<string, { message: string; candidates?: readonly string[] }>;
  readonly values: Record<string, string>;
  readonly result?: Record<string, unknown>;
  readonly conflict?: Record<string, unknown>;
}

/**
 * A form's fields as an operation's input: "mass" and "mass:unit" become "2.4 kg"; names that begin with "_" are for the
 * envelope.
 */
export function formInput(form: FormData): Record<string, string> {
  const out: Record<string, string> = {};
  for (const [name, value] of form) {
    if (typeof value !== 'string' || name.startsWith('_') || name.endsWith(':unit')) continue;
    const unit = form.get(`${name}:unit`);
    const bare = /^[\s\d.,'+\u2212-]+$/.test(value) && value.trim() !== '';
    out[name] = typeof unit === 'string' && bare ? `${value.trim()} ${unit}` : value;
  }
  return out;
}

/** Where to go after it is done, by operation: the piece that was made. */
const AFTER: Record<string, (result: Record<string, unknown>) => string> = {
  'receive-lot': (result) => `/piece/${String(result.piece)}`
};

/** The form actions of a place, made from the registry of operations. */
export function actionsFor(place: string): Actions {
  return Object.fromEntries(
    OPERATIONS.filter((operation) => operation.place === place).map((operation) => [
      operation.name,
      async ({ request, locals }: RequestEvent) => {
        const form = await request.formData();
        const seen = form.get('_seen');
        const key = form.get('_key');
        const answer = theApp().executor.execute({
          operation,
          input: formInput(form),
          actor: locals.person?.id ?? null,
          key: typeof key === 'string' && key ? `${key}:${operation.name}` : randomUUID(),
          seen: typeof seen === 'string' && seen ? Number(seen) : undefined
        });
        const values = Object.fromEntries(
          [...form].filter((pair): pair is [string, string] => typeof pair[1] === 'string')
        );
        if (!answer.ok) {
          const said: FormAnswer = {
            operation: operation.name,
            ok: false,
            message: errorSentence(answer.code, answer.details),
            fields: Object.fromEntries(
              answer.fields.map(({ field, code, details }) => [
                field,
                {
                  message: errorSentence(code, details),
                  candidates: code === 'quantity.ambiguous' ? details.candidates : undefined
                }
              ])
            ),
            values,
            conflict: answer.status === 409 ? JSON.parse(JSON.stringify(answer.details)) : undefined
          };
          return fail(answer.status, said);
        }
        const next = AFTER[operation.name]?.(answer.result);
        if (next) redirect(303, next);
        const said: FormAnswer = {
          operation: operation.name,
          ok: true,
          message: '',
          fields: {},
          values: {},
          result: answer.result
        };
        return said;
      }
    ])
  );
}

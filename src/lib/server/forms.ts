import { randomUUID } from 'node:crypto';
import { fail, redirect, type Actions, type RequestEvent } from '@sveltejs/kit';
import { errorSentence } from '../words/errors.ts';
import { namedIn } from '../words/plans/index.ts';
import { EmberError, type ErrorDetails } from '../core/errors.ts';
import { OWN_UNDO_MS } from '../core/record/amend.ts';
import { subjectId } from '../core/record/view.ts';
import { deedWords, hasWords, isTold, isUndoneAtOnce, manyWords } from '../words/deeds.ts';
import { withUnit } from '../core/fields/written.ts';
import { theApp } from './app.ts';
import { formOf, isEveryObjects } from './input/strangers.ts';
import { sniff } from './store/files.ts';
import { storeTrouble } from './store/open.ts';
import { OPERATIONS } from './registry.ts';
import { ledgerTeller } from './views/ledger.ts';

/** What a form action hands back to its page. */
export interface FormAnswer {
  readonly operation: string;
  readonly ok: boolean;
  readonly message: string;
  readonly fields: Record<string, { message: string; candidates?: readonly string[] }>;
  readonly values: Record<string, string>;
  readonly result?: Record<string, unknown>;
  readonly conflict?: Record<string, unknown>;
  /** What was written since the page was read, as the ledger tells it. */
  readonly newer?: readonly string[];
  /** The last entry it wrote. */
  readonly seq?: number;
  /** What ended or emptied a piece: the line of its entry, and until when it is undone by who did it, ms. */
  readonly deed?: {
    readonly line: string;
    readonly seqs: readonly number[];
    readonly until: number;
    readonly by: string;
  };
}

/**
 * A form's fields as an operation's input: "mass" and "mass:unit" become "2.4 kg", "at" and "at:offset" an instant; names that begin with "_" are for the
 * envelope.
 */
export function formInput(form: FormData): Record<string, string> {
  const out: Record<string, string> = {};
  // What every object answers to is the name of no field.
  for (const [name, value] of form) {
    if (typeof value !== 'string' || isEveryObjects(name)) continue;
    if (name.startsWith('_') || /:(?:unit|offset)$/.test(name)) continue;
    const unit = form.get(`${name}:unit`);
    const offset = form.get(`${name}:offset`);
    const said = withUnit(value, typeof unit === 'string' ? unit : null) + (typeof offset === 'string' ? offset : '');
    // Boxes of one name are a list.
    out[name] = out[name] === undefined ? said : `${out[name]},${said}`;
  }
  return out;
}

const typedIn = (form: FormData): Record<string, string> =>
  Object.fromEntries(
    [...form].filter((pair): pair is [string, string] => typeof pair[1] === 'string' && !isEveryObjects(pair[0]))
  );

/** Keeps the file of a form, if it has one: told by its contents, found again by its hash. */
async function keepPaper(
  form: FormData,
  named: boolean
): Promise<{ hash: string; name: string; fresh: boolean } | EmberError | null> {
  const file = form.get('file');
  if (!(file instanceof File) || (file.size === 0 && file.name === '')) return null;
  if (!named) return new EmberError('person.required', { field: 'actor' });
  try {
    const content = new Uint8Array(await file.arrayBuffer());
    const type = await sniff(content, { type: file.type, name: file.name });
    const { store, clock } = theApp();
    return { ...store.files.put(content, type, clock.now()), name: file.name.slice(0, 120) };
  } catch (error) {
    const trouble = storeTrouble(error);
    if (trouble instanceof EmberError) return trouble;
    throw error;
  }
}

/** Where to go after it is done, by operation: the piece that was made. */
const AFTER: Record<string, (result: Record<string, unknown>) => string> = {
  'receive-lot': ({ piece, delivery }) =>
    delivery ? `/receive?delivery=${String(delivery)}` : `/piece/${String(piece)}`,
  'open-delivery': ({ delivery }) => `/receive?delivery=${String(delivery)}`,
  'import-note': ({ delivery }) => `/receive?delivery=${String(delivery)}`
};

/** Refusals that ask which of two was meant: one touch answers. */
const ASKS: ReadonlySet<string> = new Set([
  'quantity.ambiguous',
  'record.mass-slip',
  'receive.mass-odd',
  'receive.core-odd',
  'receive.too-heavy'
]);

/** What was done, in a line; and until when it is undone at a touch. A reading is not undone: it is corrected. */
function deedOf(seq: number, result: Record<string, unknown>): FormAnswer['deed'] {
  const app = theApp();
  const entry = app.store.record.event(seq);
  if (!entry || !isTold(entry.kind)) return undefined;
  const line = hasWords(entry.kind)
    ? deedWords(entry.kind, app.store.projections.piece(subjectId(entry.subject, 'piece')).state.made.name, result)
    : ledgerTeller(app)(entry).line;
  const seqs = entriesOfDeed(seq, result);
  const until = isUndoneAtOnce(entry.kind) ? entry.recorded + OWN_UNDO_MS : 0;
  return { line: seqs.length > 1 ? manyWords(line, seqs.length - 1) : line, seqs, until, by: entry.actor };
}

/** The entries of one deed, the last first: one for each of the pieces it was done to. */
function entriesOfDeed(seq: number, { pieces }: Record<string, unknown>): number[] {
  const count = Array.isArray(pieces) ? pieces.length : 1;
  const { record } = theApp().store;
  const all = Array.from({ length: count }, (_, index) => seq - index);
  const { kind } = record.event(seq)!;
  return all.every((each) => record.event(each)?.kind === kind) ? all : [seq];
}

/** Entries a clash was with, as the ledger tells them. */
function newerLines({ newer }: ErrorDetails): string[] {
  const app = theApp();
  const tell = ledgerTeller(app);
  return (Array.isArray(newer) ? (newer as { seq: number }[]) : []).flatMap(({ seq }) => {
    const entry = app.store.record.event(seq);
    return entry ? [tell(entry).line] : [];
  });
}

/** The form actions of a page, made from the registry of operations. */
export const actionsFor = (page: string): Actions => actionsOf((operation) => operation.page === page);
/** The form actions of a page on which these can be done, whatever page they are of. */
export const actionsNamed = (names: readonly string[]): Actions =>
  actionsOf((operation) => names.includes(operation.name));

function actionsOf(isMeant: (operation: (typeof OPERATIONS)[number]) => boolean): Actions {
  return Object.fromEntries(
    OPERATIONS.filter(isMeant).map((operation) => [
      operation.name,
      async ({ request, locals }: RequestEvent) => {
        const form = await formOf(request);
        const seen = form.get('_seen');
        const key = form.get('_key');
        const paper = await keepPaper(form, locals.person !== null);
        if (paper instanceof EmberError) {
          return fail(422, {
            operation: operation.name,
            ok: false,
            message: errorSentence(paper.code, paper.details),
            fields: { file: { message: errorSentence(paper.code, paper.details) } },
            values: typedIn(form)
          } satisfies FormAnswer);
        }
        const input = { ...formInput(form), ...(paper ? { file: paper.hash, fileName: paper.name } : {}) };
        const named = namedIn(operation.name, input);
        const answer = theApp().executor.execute({
          operation,
          input,
          actor: locals.person?.id ?? null,
          tablet: locals.tablet,
          key: typeof key === 'string' && key ? `${key}:${operation.name}` : randomUUID(),
          // A version that is no number was seen by nobody.
          seen: typeof seen === 'string' && seen ? (/^\d{1,12}$/.test(seen) ? Number(seen) : -1) : undefined
        });
        const values = typedIn(form);
        if (!answer.ok) {
          // No entry came to name it: it is not kept.
          if (paper?.fresh) theApp().store.files.drop(paper.hash);
          const said: FormAnswer = {
            operation: operation.name,
            ok: false,
            message: errorSentence(answer.code, answer.details, named),
            fields: Object.fromEntries(
              answer.fields.map(({ field, code, details }) => [
                field,
                {
                  message: errorSentence(code, details, named),
                  candidates: ASKS.has(code) ? details.candidates : undefined
                }
              ])
            ),
            values,
            conflict: answer.status === 409 ? JSON.parse(JSON.stringify(answer.details)) : undefined,
            newer: answer.status === 409 ? newerLines(answer.details) : undefined
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
          result: answer.result,
          seq: answer.seq,
          deed: deedOf(answer.seq, answer.result)
        };
        return said;
      }
    ])
  );
}

import { formOf } from '$lib/server/input/strangers.ts';
import { fail, type Actions } from '@sveltejs/kit';
import { EmberError } from '$lib/core/errors.ts';
import { LABEL_SIZES } from '$lib/core/trace/label.ts';
import { theApp } from '$lib/server/app.ts';
import { pieceChoices } from '$lib/server/facts/choices.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { labelPdf, printedOf, sendToPrinter } from '$lib/server/labels/sheets.ts';
import { errorSentence } from '$lib/words/errors.ts';
import type { PageServerLoad } from './$types';

const MOST_LABELS = 200;

export const load = (({ url }) => {
  const app = theApp();
  const pieces = pieceChoices(app);
  const known = new Set(
    [...pieces, ...app.store.projections.subjects.live().map(({ state }) => state)].map(({ id }) => id)
  );
  const picked = [...new Set(url.searchParams.getAll('piece'))].filter((id) => known.has(id)).slice(0, MOST_LABELS);
  const size = LABEL_SIZES.find(({ id }) => id === url.searchParams.get('size')) ?? LABEL_SIZES[0]!;
  return {
    pieces,
    picked,
    size: size.id,
    sizes: LABEL_SIZES.map(({ id, width, height }) => ({ id, width, height })),
    labels: picked.map((id) => ({ id, ...printedOf(app, id).words })),
    printer: app.config.printer !== null
  };
}) satisfies PageServerLoad;

const registered = actionsFor('/labels');

export const actions: Actions = {
  /** Prints first and writes it down after: what the printer refused was not printed. Without one, somebody printed the PDF. */
  'print-labels': async (event) => {
    const form = await formOf(event.request.clone());
    const text = (name: string) => (typeof form.get(name) === 'string' ? (form.get(name) as string) : '');
    const pieces = text('pieces').split(',').filter(Boolean).slice(0, MOST_LABELS);
    const app = theApp();
    if (app.config.printer === null) return registered['print-labels']!(event);
    try {
      if (!event.locals.person) throw new EmberError('person.required', { field: 'actor' });
      const content = await labelPdf(app, pieces, text('size'), event.url.origin, Number(text('skip')) || 0);
      form.set('job', await sendToPrinter(app.config.printer, `labels-${pieces.length}`, content));
    } catch (error) {
      if (!(error instanceof EmberError)) throw error;
      const message = errorSentence(error.code, error.details);
      return fail(503, { operation: 'print-labels', ok: false, message, fields: {}, values: {} });
    }
    const request = new Request(event.request.url, { method: 'POST', body: form });
    return registered['print-labels']!({ ...event, request });
  }
};

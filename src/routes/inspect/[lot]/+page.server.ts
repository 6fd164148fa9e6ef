import { error } from '@sveltejs/kit';
import { EmberError } from '$lib/core/errors.ts';
import { theApp } from '$lib/server/app.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { inspectView } from '$lib/server/views/inspection.ts';
import { errorSentence } from '$lib/words/errors.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/inspect/[lot]');

export const load = (({ params, url }) => {
  try {
    return { view: inspectView(theApp(), params.lot, url.searchParams.get('sheet') ?? undefined) };
  } catch (trouble) {
    if (!(trouble instanceof EmberError)) throw trouble;
    error(404, errorSentence(trouble.code, trouble.details));
  }
}) satisfies PageServerLoad;

import { error } from '@sveltejs/kit';
import { EmberError } from '$lib/core/errors.ts';
import { theApp } from '$lib/server/app.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { lotView } from '$lib/server/views/lot.ts';
import { errorSentence } from '$lib/words/errors.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/lot/[id]');

export const load = (({ params, url }) => {
  try {
    const page = Number(url.searchParams.get('page') ?? 1);
    return {
      view: lotView(theApp(), {
        id: params.id,
        page: Number.isInteger(page) && page > 0 ? page : 1,
        live: url.searchParams.get('live') === '1'
      }),
      by: url.searchParams.get('by') === 'money' ? ('money' as const) : ('mass' as const)
    };
  } catch (trouble) {
    if (!(trouble instanceof EmberError)) throw trouble;
    error(trouble.code === 'record.not-found' ? 404 : 400, errorSentence(trouble.code, trouble.details));
  }
}) satisfies PageServerLoad;

import { error } from '@sveltejs/kit';
import { EmberError } from '$lib/core/errors.ts';
import { readInstant } from '$lib/core/measure/day.ts';
import { profilesOf } from '$lib/core/codes/profiles/index.ts';
import { ROUTES } from '$lib/core/codes/window.ts';
import { theApp } from '$lib/server/app.ts';
import { pieceChoices } from '$lib/server/facts/choices.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { rowActions } from '$lib/server/row-deeds.ts';
import { compareView, pieceView } from '$lib/server/views/piece.ts';
import { errorSentence } from '$lib/words/errors.ts';
import type { PageServerLoad } from './$types';

export const actions = { ...rowActions, ...actionsFor('/piece/[id]') };

export const load = (({ params, url }) => {
  const app = theApp();
  const { zone, profile, profiles: own, places } = app.store.projections.currentHouse();
  const time = (name: string) => {
    const text = url.searchParams.get(name);
    return text ? readInstant(text, zone, name) : undefined;
  };
  /** What can be carried along, what lies in the same place first. */
  const beside = (id: string) => {
    const all = pieceChoices(app);
    const place = all.find((piece) => piece.id === id)?.place;
    return all
      .filter((piece) => piece.id !== id && piece.may.includes('move'))
      .sort((a, b) => Number(b.place === place) - Number(a.place === place));
  };
  try {
    const asked = url.searchParams.get('profile') ?? undefined;
    return {
      compare: compareView(app, params.id),
      view: pieceView(app, params.id, time('at'), time('knownAt'), asked),
      asked: {
        at: url.searchParams.get('at') ?? '',
        knownAt: url.searchParams.get('knownAt') ?? '',
        profile: asked ?? profile,
        want: ROUTES.find((route) => route === url.searchParams.get('want')) ?? null
      },
      movable: beside(params.id),
      places: Object.values(places).map(({ name }) => name),
      profiles: profilesOf(own).map(({ id, name }) => ({ id, name }))
    };
  } catch (trouble) {
    if (!(trouble instanceof EmberError)) throw trouble;
    error(trouble.code === 'record.not-found' ? 404 : 400, errorSentence(trouble.code, trouble.details));
  }
}) satisfies PageServerLoad;

import { theApp } from '$lib/server/app.ts';
import { rackView, spotsOf } from '$lib/server/views/rack.ts';
import { atBench, pieceChoices } from '$lib/server/facts/choices.ts';
import { actionsFor } from '$lib/server/forms.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/age');

/** What can be hung: whole fish and what was cut of one, nothing that lies in something else. */
const HANGABLE = new Set(['whole', 'gutted', 'fillet', 'loin', 'block']);

export const load = (({ url }) => {
  const app = theApp();
  const rack = rackView(app);
  const hangable = pieceChoices(app).filter(({ may, form }) => HANGABLE.has(form) && may.includes('hang'));
  const asked = url.searchParams.get('piece');
  const chosen = rack.pieces.find(({ id }) => id === asked) ?? (asked ? null : (rack.pieces[0] ?? null));
  const here = [...rack.pieces, ...hangable];
  const { away: asAway, left } = atBench(app, asked, 'hang', here);
  const away = asked ? asAway : null;
  const hang = hangable.find(({ id }) => id === asked) ?? null;
  const spots = Object.fromEntries(rack.cabinets.map((cabinet) => [cabinet.place, spotsOf(cabinet.rack)]));
  return {
    rack,
    spots,
    free: Object.fromEntries(
      rack.cabinets.map(({ place }) => [
        place,
        [...spots[place]!.hooks, ...spots[place]!.shelves.flat()].filter(
          (spot) => !rack.pieces.some(({ run }) => run.place === place && run.spot === spot)
        )
      ])
    ),
    hangable,
    chosen: chosen?.id ?? null,
    hang,
    away,
    left,
    playable: app.config.mode !== 'production' && app.config.pan !== null,
    places: Object.values(app.store.projections.currentHouse().places)
      .filter(({ kind }) => kind !== 'freezer' && kind !== 'blast' && kind !== 'cabinet')
      .map(({ id, name }) => ({ id, name }))
  };
}) satisfies PageServerLoad;

import { theApp } from '$lib/server/app.ts';
import { atBench, pieceChoices } from '$lib/server/facts/choices.ts';
import { costOfPiece, costsOf } from '$lib/server/facts/costs.ts';
import { slicedFish, sliceSubject } from '$lib/server/facts/slicing.ts';
import { knifeLately, knivesNow } from '$lib/server/facts/knives.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { pieceView } from '$lib/server/views/piece.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/slice/square');

/** What was squared within the last hours may be taken back here. */
const LATELY = 4 * 3_600_000;

export const load = (({ url, locals }) => {
  const app = theApp();
  const { projections } = app.store;
  const house = projections.currentHouse();
  const live = projections.livePieces();
  const isCut = new Set(live.flatMap(({ state }) => (state.lifted || state.blockSize ? [state.id] : [])));
  const pieces = pieceChoices(app).filter(
    ({ id, may, form }) => may.includes('slice') && ['fillet', 'loin', 'block'].includes(form) && !isCut.has(id)
  );
  const { chosen: id, away, left } = atBench(app, url.searchParams.get('piece'), 'slice', pieces);
  const found = id ? projections.piece(id) : null;
  return {
    pieces,
    chosen: id,
    away,
    left,
    view: id ? pieceView(app, id) : null,
    block: found
      ? {
          grams: found.state.grams,
          form: found.state.made.form,
          depth: found.state.depth,
          size: found.state.blockSize,
          fish: slicedFish(app, found.state.id),
          subject: sliceSubject(found.lot, house)
        }
      : null,
    /** Cents a gram; null where no price is on record. */
    perGram: found ? (costOfPiece(costsOf(app, found.lot.id), found.state.id)?.perGram ?? null) : null,
    squared: live
      .filter(({ state }) => state.blockSize && app.clock.now() - state.made.at < LATELY && state.slices.length === 0)
      .map(({ state }) => ({ id: state.id, seq: state.lastSeq, name: state.made.name, grams: state.grams })),
    knives: knivesNow(app),
    /** The one that whoever is here cut with last. */
    knife: knifeLately(app, locals.person?.id ?? null),
    places: Object.values(house.places)
      .filter(({ kind }) => kind !== 'freezer' && kind !== 'blast')
      .map(({ id: place, name }) => ({ id: place, name }))
  };
}) satisfies PageServerLoad;

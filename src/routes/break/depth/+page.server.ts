import { theApp } from '$lib/server/app.ts';
import { costOfPiece, costsOf } from '$lib/server/facts/costs.ts';
import { atBench, pieceChoices } from '$lib/server/facts/choices.ts';
import { actionsFor } from '$lib/server/forms.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/break/depth');

export const load = (({ url }) => {
  const app = theApp();
  const pieces = pieceChoices(app).filter(
    ({ form, may }) => may.includes('measure') && form !== 'whole' && form !== 'live'
  );
  const { chosen: id, away, left } = atBench(app, url.searchParams.get('piece'), 'measure', pieces);
  const piece = pieces.find((each) => each.id === id) ?? null;
  const lot = piece && app.store.projections.piece(piece.id).lot.id;
  return {
    pieces,
    chosen: id,
    away,
    left,
    piece,
    /** Cents a gram; null where no price is on record. */
    perGram: piece && lot ? (costOfPiece(costsOf(app, lot), piece.id)?.perGram ?? null) : null
  };
}) satisfies PageServerLoad;

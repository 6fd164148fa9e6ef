import { theApp } from '$lib/server/app.ts';
import { costOfPiece, costsOf } from '$lib/server/facts/costs.ts';
import { knifeBench } from '$lib/server/facts/knife-bench.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { pieceView } from '$lib/server/views/piece.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/slice/square');

/** What was squared within the last hours may be taken back here. */
const LATELY = 4 * 3_600_000;

export const load = (({ url, locals }) => {
  const app = theApp();
  const bench = knifeBench(
    app,
    url.searchParams.get('piece'),
    locals.person?.id ?? null,
    (form, { lifted, blockSize }) => ['fillet', 'loin', 'block'].includes(form) && !lifted && !blockSize
  );
  const found = bench.chosen ? app.store.projections.piece(bench.chosen) : null;
  return {
    ...bench,
    view: bench.chosen ? pieceView(app, bench.chosen) : null,
    /** Cents a gram; null where no price is on record. */
    perGram: found ? (costOfPiece(costsOf(app, found.lot.id), found.state.id)?.perGram ?? null) : null,
    squared: app.store.projections
      .livePieces()
      .filter(({ state }) => state.blockSize && app.clock.now() - state.made.at < LATELY && state.slices.length === 0)
      .map(({ state }) => ({ id: state.id, seq: state.lastSeq, name: state.made.name, grams: state.grams }))
  };
}) satisfies PageServerLoad;

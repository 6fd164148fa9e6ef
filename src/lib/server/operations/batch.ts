import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { speciesIn } from '../../core/fish/house-species.ts';
import { NO_CUT, USES } from '../../core/activity/piece/bodies.ts';
import { FORMS } from '../../core/activity/receive/bodies.ts';
import type { PieceState } from '../../core/record/piece.ts';
import { businessDay } from '../../core/measure/day.ts';
import { MOST_LINEAGES } from '../store/lineages.ts';
import { draft } from '../store/record.ts';
import type { Store } from '../store/store.ts';
import { choice, list, neededText, when } from '../../core/fields/field.ts';
import { after, pieceForStep } from './guard.ts';
import { operation, type OperationContext } from './operation.ts';
import { boardOf, computedMass, nextCodes } from './pieces.ts';

/** Live shellfish stay with their tag, each lot alone, whatever else is combined. */
const KEPT_APART = new Set(['mollusc', 'scallop']);

export const combinePieces = operation({
  name: 'combine-pieces',
  page: '/break',
  summary:
    'Put pieces together into one batch (spoon meat and trim): it keeps every parent, and is as good as its worst.',
  input: z.object({
    pieces: list(24).describe('codes of the pieces, all that is left of each'),
    name: neededText(60),
    form: choice(FORMS, 'portion'),
    use: choice(USES, 'mince'),
    at: when
  }),
  run(context, input) {
    const { store, house, instant } = context;
    if (input.pieces.length < 2) throw new EmberError('form.incomplete', { field: 'pieces' });
    const found = input.pieces.map((id) => pieceForStep(store, id, 'combine'));
    const at = found.reduce((moment, { state }) => after(state, moment, input.at), instant(input.at, 'at'));
    const lots = [...new Set(found.flatMap((each) => each.lots))];
    refuseCombining(
      context,
      found.map(({ state }) => state),
      lots
    );
    const sum = found.reduce((grams, { state }) => grams + state.grams, 0);
    const root = found[0]!.lot.id;
    const code = lots.length === 1 ? nextCodes(store, root, 1)[0]! : batchCode(store, businessDay(at, house));
    const grade = found.every(({ state }) => state.made.grade === 'prime')
      ? ('prime' as const)
      : ('by-product' as const);
    return {
      events: [
        ...found.map(({ state }) =>
          draft('piece.gave', `piece:${state.id}`, at, { child: code, grams: state.grams, part: '', grade })
        ),
        draft('piece.made', `piece:${code}`, at, {
          ...NO_CUT,
          code,
          lot: root,
          parents: found.map(({ state }) => state.id),
          name: input.name,
          form: input.form,
          grams: sum,
          mass: computedMass(sum),
          thicknessMm: null,
          use: input.use,
          board: found.map(({ state }) => boardOf(state)).find((board) => board !== null) ?? null,
          // Its parents' cost comes with them: a batch is worth what went into it.
          grade,
          creditPerKg: null
        })
      ],
      result: { piece: code }
    };
  }
});

function batchCode(store: Store, day: string): string {
  const prefix = `MIX-${day.slice(5, 7)}${day.slice(8, 10)}`;
  for (let counter = 1; ; counter++) {
    if (store.record.versionOf(`piece:${prefix}-${counter}`) === 0) return `${prefix}-${counter}`;
  }
}

function refuseCombining({ store, house }: OperationContext, pieces: readonly PieceState[], lots: readonly string[]) {
  const refuse = (seen: string) => new EmberError('record.combine-refused', { field: 'pieces', seen });
  const states = lots.map((id) => store.projections.lot(id));
  const alive = pieces.some(({ made }) => made.form === 'live' || made.form === 'shell-on');
  if (lots.length > 1 && alive) {
    const groups = states.flatMap(({ species }) => species.map((id) => speciesIn(house.species, id).group));
    if (groups.some((group) => KEPT_APART.has(group)))
      throw refuse('live shellfish of several lots stay apart, each with its tag');
  }
  if (new Set(states.map(({ received }) => received.purpose)).size > 1) {
    throw refuse('some were taken in for sale and some were not');
  }
  if (pieces.some(({ holds }) => holds.length > 0)) throw refuse('one of them is on a tray under time control');
  const cured = pieces.filter(({ cures }) => cures.length > 0).length;
  if (cured > 0 && cured < pieces.length) throw refuse('some are cured and some are not');
  const lineages = pieces.reduce((sum, { id }) => sum + store.projections.lineages(id).length, 0);
  if (lineages > MOST_LINEAGES) {
    throw new EmberError('record.too-many-strands', { field: 'pieces', max: MOST_LINEAGES, seen: lineages });
  }
}

import { theApp } from '$lib/server/app.ts';
import { profileById } from '$lib/core/codes/profiles/index.ts';
import { atBench, pieceChoices } from '$lib/server/facts/choices.ts';
import { planOf, slicedFish, sliceSubject } from '$lib/server/facts/slicing.ts';
import { knifeLately, knivesNow } from '$lib/server/facts/knives.ts';
import { actionsFor, actionsNamed } from '$lib/server/forms.ts';
import { handOf } from '$lib/server/facts/hands.ts';
import { aimOf } from '$lib/server/facts/slicing.ts';
import { trayLabels } from '$lib/server/facts/trays.ts';
import { pieceView } from '$lib/server/views/piece.ts';
import type { PageServerLoad } from './$types';

export const actions = { ...actionsFor('/slice'), ...actionsNamed(['start-hold']) };

export const load = (({ url, locals }) => {
  const app = theApp();
  const { projections } = app.store;
  // What is slices already is cut no more.
  const isCut = new Set(projections.livePieces().flatMap(({ state }) => (state.lifted?.count ? [state.id] : [])));
  const pieces = pieceChoices(app).filter(
    ({ id, may, form }) =>
      may.includes('slice') && ['fillet', 'loin', 'block', 'portion'].includes(form) && !isCut.has(id)
  );
  const { chosen: id, away, left } = atBench(app, url.searchParams.get('piece'), 'slice', pieces);
  const house = projections.currentHouse();
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
    /** What was lifted off a block within the last hours and stands nowhere yet, or on its tray: the newest first. */
    lifted: projections
      .livePieces()
      .filter(
        ({ state }) => state.lifted && app.clock.now() - state.lifted.at < 4 * 3_600_000 && state.slices.length === 0
      )
      .map(({ state }) => ({
        id: state.id,
        seq: state.lastSeq,
        name: state.made.name,
        grams: state.grams,
        count: state.lifted!.count,
        what: state.lifted!.what,
        at: state.lifted!.at,
        onTray: state.holds.length > 0,
        plan: planOf(app, state),
        aim: aimOf(app.store, state)?.aim ?? 1,
        weighed: state.weighed.at(-1) ?? null
      }))
      .filter(({ what }) => what === 'slices')
      .sort((a, b) => b.at - a.at)
      .slice(0, 6),
    hand: locals.person ? handOf(app, locals.person.id) : {},
    scale: app.config.scale !== null,
    playable: app.config.mode !== 'production' && app.config.pan !== null,
    knives: knivesNow(app),
    /** The one that whoever is here cut with last. */
    knife: knifeLately(app, locals.person?.id ?? null),
    places: Object.values(house.places)
      .filter(({ kind }) => kind !== 'freezer' && kind !== 'blast')
      .map(({ id: place, name }) => ({ id: place, name })),
    labels: trayLabels(app),
    control: profileById(house.profile, house.profiles).timeControls[0]?.id ?? '4h'
  };
}) satisfies PageServerLoad;

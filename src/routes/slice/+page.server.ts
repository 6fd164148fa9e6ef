import { theApp } from '$lib/server/app.ts';
import { profileById } from '$lib/core/codes/profiles/index.ts';
import type { StyleId } from '$lib/core/activity/slice/lists.ts';
import { knifeBench } from '$lib/server/facts/knife-bench.ts';
import { actionsFor, actionsNamed } from '$lib/server/forms.ts';
import { handOf } from '$lib/server/facts/hands.ts';
import { aimOf, planOf } from '$lib/server/facts/slicing.ts';
import { trayLabels } from '$lib/server/facts/trays.ts';
import { pieceView } from '$lib/server/views/piece.ts';
import type { PageServerLoad } from './$types';

export const actions = { ...actionsFor('/slice'), ...actionsNamed(['start-hold']) };

export const load = (({ url, locals }) => {
  const app = theApp();
  const { projections } = app.store;
  const bench = knifeBench(
    app,
    url.searchParams.get('piece'),
    locals.person?.id ?? null,
    // What is slices already is cut no more.
    (form, { lifted }) => ['fillet', 'loin', 'block', 'portion'].includes(form) && !lifted?.count
  );
  const house = projections.currentHouse();
  return {
    ...bench,
    notes: Object.fromEntries(
      Object.values(house.styles).flatMap(({ style, note }) => (note === '' ? [] : [[style, note]]))
    ) as Partial<Record<StyleId, string>>,
    cuts: Object.values(house.cuts).map(({ id, name, like, note }) => ({ id, name, like, note })),
    view: bench.chosen ? pieceView(app, bench.chosen) : null,
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
    labels: trayLabels(app),
    control: profileById(house.profile, house.profiles).timeControls[0]?.id ?? '4h'
  };
}) satisfies PageServerLoad;

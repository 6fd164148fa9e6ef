import { profileById } from '$lib/core/codes/profiles/index.ts';
import { theApp } from '$lib/server/app.ts';
import { atBench, pieceChoices } from '$lib/server/facts/choices.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { pieceView } from '$lib/server/views/piece.ts';
import { nowView } from '$lib/server/views/now.ts';
import { trayLabels } from '$lib/server/facts/trays.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/serve');

export const load = (({ url }) => {
  const app = theApp();
  const pieces = pieceChoices(app).sort((a, b) => Number(b.in.includes('tray')) - Number(a.in.includes('tray')));
  const { chosen: id, away, left } = atBench(app, url.searchParams.get('piece'), 'serve', pieces);
  const { profile, profiles } = app.store.projections.currentHouse();
  return {
    pieces,
    chosen: id,
    away,
    left,
    view: id ? pieceView(app, id) : null,
    trays: nowView(app)
      .pieces.flatMap((piece) =>
        piece.steps
          .filter((step) => step.kind === 'hold')
          .map((step) => ({ ...step, id: piece.id, name: piece.name, grams: piece.grams }))
      )
      .sort((a, b) => (a.to ?? 0) - (b.to ?? 0)),
    services: Object.values(app.store.projections.currentHouse().services).sort((a, b) => a.at - b.at),
    labels: trayLabels(app),
    scale: app.config.scale !== null,
    playable: app.config.mode !== 'production' && app.config.pan !== null,
    controls: profileById(profile, profiles).timeControls
  };
}) satisfies PageServerLoad;

import { theApp } from '$lib/server/app.ts';
import { actionsFor } from '$lib/server/forms.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/freeze/import');

const MOST = 12;

export const load = (() => {
  const { store } = theApp();
  const { sensors } = store.projections.currentHouse();
  return {
    sensors: Object.values(sensors).map(({ id, name, place }) => ({ id, name, place })),
    past: store.record.list({ kind: 'log.imported', limit: MOST }).flatMap((event) =>
      event.kind === 'log.imported'
        ? [
            {
              seq: event.seq,
              at: event.recorded,
              by: event.actor,
              file: event.body.file,
              rows: event.body.rows,
              stopped: event.body.stopped,
              taken: event.body.sensors.reduce((sum, { taken }) => sum + taken, 0),
              troubles: Object.values(event.body.counts).reduce((sum, count) => sum + count, 0)
            }
          ]
        : []
    )
  };
}) satisfies PageServerLoad;

import { SHEETS, sheetIn } from '$lib/core/inspect/sheets.ts';
import { theApp } from '$lib/server/app.ts';
import { actionsFor } from '$lib/server/forms.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/house/sheets');

export const load = (({ url }) => {
  const { sheets } = theApp().store.projections.currentHouse();
  const shipped = SHEETS.find(({ id }) => id === url.searchParams.get('sheet')) ?? SHEETS[0]!;
  return {
    all: SHEETS.map(({ id, name }) => ({ id, name, own: sheets[id] !== undefined })),
    shipped,
    sheet: sheetIn(sheets, shipped.id),
    own: sheets[shipped.id] ?? null
  };
}) satisfies PageServerLoad;

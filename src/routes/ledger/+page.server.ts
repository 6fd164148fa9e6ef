import { theApp } from '$lib/server/app.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { ledgerView } from '$lib/server/views/ledger.ts';
import { effectiveEvents } from '$lib/core/record/amend.ts';
import { EVENT_KINDS } from '$lib/core/record/events.ts';
import { addDays, businessDay } from '$lib/core/measure/day.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/ledger');
const PAGE = 60;

export const load = (({ url }) => {
  const app = theApp();
  const { store } = app;
  const house = store.projections.currentHouse();
  const get = (name: string) => url.searchParams.get(name) ?? '';
  const day = /^\d{4}-\d{2}-\d{2}$/.test(get('day')) ? get('day') : '';
  const hour = `T${String(house.dayEndsHour).padStart(2, '0')}:00`;
  const seq = Number(get('seq')) || 0;
  const entries = ledgerView(app, {
    limit: PAGE,
    before: seq ? seq + 20 : Number(get('before')) || undefined,
    lot: get('lot') || undefined,
    actor: get('person') || undefined,
    from: day ? day + hour : undefined,
    to: day ? addDays(day, 1) + hour : undefined
  });
  /** The entry as it stands after the corrections it had. */
  const standingBody = ({ seq, kind, subject, body }: (typeof entries)[number]): object =>
    EVENT_KINDS[kind].amendable
      ? (effectiveEvents(store.record.eventsOf(subject)).find((each) => each.seq === seq)?.body ?? body)
      : body;
  return {
    entries: entries.map((entry) => ({
      ...entry,
      hash: store.record.row(entry.seq)?.hash ?? '',
      // A correction is not corrected: it is struck, and another is written.
      amendable: EVENT_KINDS[entry.kind].amendable && entry.kind !== 'entry.amended',
      standing: standingBody(entry)
    })),
    more: entries.length === PAGE,
    lots: store.projections.lots().map(({ id }) => id),
    asked: { day, lot: get('lot'), person: get('person'), seq },
    today: businessDay(app.clock.now(), house),
    headHash: store.record.row(store.record.head().seq)?.hash ?? ''
  };
}) satisfies PageServerLoad;

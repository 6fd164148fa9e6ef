import { randomUUID } from 'node:crypto';
import { theApp } from '$lib/server/app.ts';
import type { LayoutServerLoad } from './$types';

export const load = (({ locals, depends }) => {
  depends('house:record');
  const { store, clock, movable, executor, readOnly, config } = theApp();
  const head = store.record.head();
  const house = store.projections.currentHouse();
  return {
    now: clock.now(),
    frozen: config.frozenAt !== null && movable !== null,
    // How the house is set, and nothing else: its books go to the pages that show them, its keys nowhere.
    house: {
      name: house.name,
      profile: house.profile,
      zone: house.zone,
      units: house.units,
      currency: house.currency,
      dayEndsHour: house.dayEndsHour,
      warnMinutes: house.warnMinutes,
      dateMarkDays: house.dateMarkDays,
      rawShareOfIceDays: house.rawShareOfIceDays,
      strictAccuracy: house.strictAccuracy,
      countFromCore: house.countFromCore,
      susceptibleGuests: house.susceptibleGuests,
      ingredients: house.ingredients
    },
    houseVersion: store.record.versionOf('house'),
    people: store.people.list().filter((person) => person.name !== null),
    person: locals.person,
    theme: locals.theme,
    locale: locals.locale,
    mode: config.mode,
    readOnly,
    /** Entries that were answered for and are gone; null where the record holds. */
    loss: store.noted.loss() && { noted: store.noted.loss()!.noted.seq, found: store.noted.loss()!.found.seq },
    behind: executor.clockBehindSeconds(),
    ahead: executor.clockAheadSeconds(),
    head: head.seq,
    headHash: head.hash,
    /** One key for each form of this page as it was served: the same form sent twice happens once. */
    formKey: randomUUID()
  };
}) satisfies LayoutServerLoad;

import { randomUUID } from 'node:crypto';
import { theApp } from '$lib/server/app.ts';
import type { LayoutServerLoad } from './$types';

export const load = (({ locals, depends }) => {
  depends('house:record');
  const { store, clock, movable, executor, readOnly, config } = theApp();
  const head = store.record.head();
  // The house's own books go only to the pages that show them.
  const {
    species: _,
    profiles: __,
    sheets: ___,
    notice: ____,
    places: _____,
    templates: ______,
    kitchen: _______,
    racks: ________,
    services: _________,
    pages: __________,
    documents: ___________,
    ...house
  } = store.projections.currentHouse();
  return {
    now: clock.now(),
    frozen: config.frozenAt !== null && movable !== null,
    house,
    houseVersion: store.record.versionOf('house'),
    people: store.people.list().filter((person) => person.name !== null),
    person: locals.person,
    theme: locals.theme,
    locale: locals.locale,
    mode: config.mode,
    readOnly,
    behind: executor.clockBehindSeconds(),
    head: head.seq,
    /** One key for each form of this page as it was served: the same form sent twice happens once. */
    formKey: randomUUID()
  };
}) satisfies LayoutServerLoad;

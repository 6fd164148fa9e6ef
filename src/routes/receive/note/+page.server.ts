import { formOf } from '$lib/server/input/strangers.ts';
import { fail } from '@sveltejs/kit';
import { EmberError } from '$lib/core/errors.ts';
import { NOTE_FIELDS } from '$lib/core/receive/note.ts';
import { theApp } from '$lib/server/app.ts';
import { actionsFor, formInput } from '$lib/server/forms.ts';
import { noteFields, readNote } from '$lib/server/plans/note.ts';
import { standing } from '$lib/server/room.ts';
import { errorSentence } from '$lib/words/errors.ts';
import { fieldName } from '$lib/words/field-names.ts';
import type { Actions, PageServerLoad } from './$types';

export const actions: Actions = {
  ...actionsFor('/receive/note'),
  /** Reads the note and shows what it would bring. Nothing is written. */
  read: async ({ request }) => {
    const form = await formOf(request);
    const given = formInput(form);
    const file = form.get('note');
    if (file instanceof File && file.size > 0) {
      given.text = await file.text();
      given.fileName = file.name.slice(0, 120);
    }
    const columns = Object.fromEntries(
      Object.entries(given).flatMap(([key, value]) => (key.startsWith('column ') ? [[key.slice(7), value]] : []))
    );
    if (Object.keys(columns).length > 0 && !(file instanceof File && file.size > 0)) {
      given.columns = JSON.stringify(columns);
    }
    const parsed = noteFields.safeParse(given);
    if (!parsed.success) return fail(422, { note: null, trouble: errorSentence('note.unreadable'), given });
    try {
      const note = readNote(standing(theApp()), parsed.data);
      return {
        note: {
          ...note,
          rows: note.rows.map(({ row, cells, troubles, input }) => ({
            row,
            cells,
            species: input?.species ?? '',
            troubles: troubles.map(
              ({ field, code, details }) => errorSentence(code, details) || `${fieldName(field)} cannot be read.`
            )
          }))
        },
        trouble: '',
        given: { ...given, columns: JSON.stringify(note.columns) }
      };
    } catch (error) {
      if (!(error instanceof EmberError)) throw error;
      return fail(422, { note: null, trouble: errorSentence(error.code, error.details), given });
    }
  }
};

export const load = (() => ({
  fields: NOTE_FIELDS.map(({ field, label, units }) => ({ field, label, units: units ?? [] }))
})) satisfies PageServerLoad;

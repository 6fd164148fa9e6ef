import { z } from 'zod';
import { query } from './query.ts';
import { ACID_NODES, acidPlan, lookAt } from '../../core/bench/acid/plan.ts';
import { cure } from '../../core/bench/cure/plan.ts';
import { depthPreview } from '../views/depth.ts';
import { numeric, optionalNumeric, optionalQuantity } from '../../core/fields/field.ts';
import { depthFields } from '../plans/depth.ts';
import { arrivalFields, arrivalVerdict } from '../plans/arrival.ts';
import { inspectionFields, inspectionPreview } from '../views/inspection.ts';
import { noteFields, readNote } from '../plans/note.ts';
import { freezePreview } from '../../core/activity/freeze/plan.ts';
import { forecastFreeze } from '../plans/freeze.ts';
import { acidPlanFields } from '../../core/activity/acid/plan.ts';
import { acidSettings } from '../../core/bench/acid/settings.ts';
import { acidSubject, solved } from '../plans/acid.ts';
import { sliceSet, squareSet } from '../../core/activity/slice/plan.ts';
import { plateSet } from '../../core/activity/slice/plate.ts';
import { platesOf } from '../../core/bench/slice/plating.ts';
import { cutFor, squareAs } from '../../core/bench/slice/settings.ts';
import { cutsHere } from '../facts/slicing.ts';
import { curePlan } from '../../core/activity/cure/plan.ts';
import { cureSettingsFor } from '../plans/cure.ts';
import { standing } from '../room.ts';
import { thawPreview } from '../../core/activity/thaw/plan.ts';
import { agePreview } from '../../core/activity/age/plan.ts';
import { hangingAnswer } from '../plans/age.ts';
import { forecastThaw } from '../plans/thaw.ts';

/** What would come of something, before it is done. */
export const PREVIEWS = [
  query({
    name: 'depth-preview',
    path: 'preview/depth',
    summary: 'What it takes to make a piece cure evenly: trim, fold or cut off, and what that costs.',
    example: { piece: 'ARC-0309-1-A', length: '300 mm', t0: '30 mm', t6: '12 mm' },
    input: depthFields.extend({ wanted: optionalQuantity('length', { min: 2, max: 400 }) }),
    run: depthPreview
  }),
  query({
    name: 'inspection-preview',
    path: 'preview/inspection',
    summary: 'What a sheet says so far, and what it would recommend.',
    example: { lot: 'ARC-0309-1', 'level-eye': '1' },
    input: inspectionFields,
    run: inspectionPreview
  }),
  query({
    name: 'note-preview',
    path: 'preview/delivery-note',
    summary: 'A delivery note read row by row. Nothing is written.',
    post: true,
    example: { text: 'Fish;Weight kg;Caught;Temp;Origin\r\nturbot;1.5;8.3.2026;1.2;wild', dateOrder: 'dmy' },
    input: noteFields,
    run: (room, input) => readNote(standing(room), input)
  }),
  query({
    name: 'door-verdict',
    path: 'preview/verdict',
    summary: 'The verdict on a lot still at the door.',
    example: { species: 'turbot' },
    input: arrivalFields,
    run: arrivalVerdict
  }),
  query({
    name: 'freeze-preview',
    path: 'preview/freeze',
    summary: 'When the core would arrive in a freezer.',
    example: { air: '-30 C', thickness: '30 mm', startCore: '2 C', cycle: 'us-168h' },
    input: freezePreview,
    run: (room, input) => forecastFreeze(room.store, room.store.projections.currentHouse(), input)
  }),
  query({
    name: 'age-preview',
    path: 'preview/age',
    summary: 'When a piece would have lost what is wanted on the rack, and how long it may hang.',
    example: { piece: 'ARC-0309-1-A', mass: '1 kg', target: '8 %', celsius: '2 C' },
    input: agePreview,
    run: (room, input) => hangingAnswer(room.store, input)
  }),
  query({
    name: 'thaw-preview',
    path: 'preview/thaw',
    summary: 'How long a thaw takes, and how warm its surface gets.',
    example: { method: 'cold', medium: '3 C', thickness: '30 mm', startCore: '-20 C' },
    input: thawPreview,
    run(room, input) {
      const lot = input.piece ? room.store.projections.piece(input.piece).lot : null;
      return forecastThaw(room.store.projections.currentHouse(), lot, input);
    }
  }),
  query({
    name: 'cure-preview',
    path: 'preview/cure',
    summary: 'A cure as it would run: grams by zone, salt through time, weight, and when.',
    example: {
      piece: 'ARC-0309-1-A',
      method: 'weighed',
      thickness: '28 mm',
      faces: '1',
      celsius: '3 C',
      salt: '2.5 %',
      sugar: '1 %',
      hours: '24 h',
      target: '1 %'
    },
    input: curePlan,
    run(room, input) {
      const { picture, sweet, ...result } = cure(cureSettingsFor(room.store, input));
      return { ...result, picture: Array.from(picture), sweet: Array.from(sweet) };
    }
  }),
  query({
    name: 'acid-preview',
    path: 'preview/acid',
    summary:
      'Fish in acid as it would go: rim and raw share through time, when it is as wanted, and when past its best.',
    example: { piece: 'ARC-0309-1-A', cut: 'slice', size: '6 mm', celsius: '5 C', liquid: 'lime 200', wanted: 'half' },
    input: acidPlanFields.extend({ after: optionalNumeric(0, 7 * 1440).describe('min: what would I have then?') }),
    run(room, { after, ...input }) {
      const { course, ...plan } = acidPlan(
        acidSettings(input, acidSubject(room.store, input.piece)),
        ACID_NODES,
        solved
      );
      const then = after === null ? null : lookAt({ ...plan, course }, after * 60);
      return { ...plan, moments: course.moments, stalls: course.stalls, then };
    }
  }),
  query({
    name: 'slice-preview',
    path: 'preview/slice',
    summary: 'Slices from a block.',
    example: {
      purpose: 'plate',
      style: 'straight',
      by: 'thickness',
      grams: '12 g',
      length: '180 mm',
      height: '30 mm',
      width: '70 mm',
      thickness: '6 mm',
      first: 'head'
    },
    input: z.object(sliceSet),
    run: ({ store }, input) => cutFor(input, { fat: 'mid', ...cutsHere(store.projections.currentHouse()) })
  }),
  query({
    name: 'plate-preview',
    path: 'preview/plate',
    summary: 'Slices of a block on plates: how each lies, how many plates it gives.',
    example: {
      style: 'straight',
      by: 'thickness',
      length: '180 mm',
      height: '30 mm',
      width: '70 mm',
      thickness: '6 mm',
      arrangement: 'leaning',
      plate: '240 mm',
      each: '5'
    },
    input: z.object({ ...sliceSet, ...plateSet, which: numeric(1, 400, { start: '1', fallback: 1, whole: true }) }),
    run: ({ store }, { arrangement, plate, each, which, ...set }) =>
      platesOf(
        cutFor(set, { fat: 'mid', ...cutsHere(store.projections.currentHouse()) }),
        set.style,
        { arrangement, plate, each },
        which - 1
      )
  }),
  query({
    name: 'square-preview',
    path: 'preview/square',
    summary: 'Blocks from a side or a loin, and what is lost by name.',
    example: {
      length: '320 mm',
      height: '36 mm',
      height4: '18 mm',
      width: '120 mm',
      edge: '40',
      skin: '1.5 mm',
      wantHeight: '24 mm',
      wantWidth: '60 mm'
    },
    input: z.object(squareSet),
    run: (_, set) => squareAs({ set, subject: { fat: 'mid' } })
  })
];

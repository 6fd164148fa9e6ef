import { query, type Query } from '../query.ts';
import { acidPlan, lookAt } from '../../core/bench/acid/plan.ts';
import { cure } from '../../core/bench/cure/plan.ts';
import { depthPreview } from '../depth-preview.ts';
import { optionalNumeric, optionalQuantity } from '../operations/fields.ts';
import { depthFields } from '../operations/pieces.ts';
import { arrivalFields, arrivalVerdict } from '../arrival-preview.ts';
import { inspectionFields, inspectionPreview } from '../inspection.ts';
import { noteFields, readNote } from '../note.ts';
import { freezePlan, forecastFreeze } from '../operations/freeze.ts';
import { acidFields, acidSettingsFor } from '../operations/acid.ts';
import { cutFor, slicePlan } from '../operations/knife.ts';
import { curePlan, cureSettingsFor } from '../cure/settings.ts';
import { instantReader } from '../operations/operation.ts';
import { forecastThaw, thawPlan } from '../operations/thaw.ts';

/** What would come of something, before it is done. */
export const PREVIEWS: readonly Query[] = [
  query({
    name: 'depth-preview',
    path: 'preview/depth',
    summary: 'What it takes to make a piece cure evenly: trim, fold or cut off, and what that costs.',
    input: depthFields.extend({ wanted: optionalQuantity('length', { min: 2, max: 400 }) }),
    run: depthPreview
  }),
  query({
    name: 'inspection-preview',
    path: 'preview/inspection',
    summary: 'What a sheet says so far, and what it would recommend.',
    input: inspectionFields,
    run: inspectionPreview
  }),
  query({
    name: 'note-preview',
    path: 'preview/delivery-note',
    summary: 'A delivery note read row by row. Nothing is written.',
    post: true,
    input: noteFields,
    run(app, input) {
      const { store, clock } = app;
      const house = store.projections.currentHouse();
      const now = clock.now();
      return readNote({ store, house, now, actor: 'nobody', instant: instantReader(house, now) }, input);
    }
  }),
  query({
    name: 'door-verdict',
    path: 'preview/verdict',
    summary: 'The verdict on a lot still at the door.',
    input: arrivalFields,
    run: arrivalVerdict
  }),
  query({
    name: 'freeze-preview',
    path: 'preview/freeze',
    summary: 'When the core would arrive in a freezer.',
    input: freezePlan,
    run: (app, input) => forecastFreeze(app.store, app.store.projections.currentHouse(), input)
  }),
  query({
    name: 'thaw-preview',
    path: 'preview/thaw',
    summary: 'How long a thaw takes, and how warm its surface gets.',
    input: thawPlan,
    run(app, input) {
      const lot = input.piece ? app.store.projections.piece(input.piece).lot : null;
      return forecastThaw(app.store.projections.currentHouse(), lot, input);
    }
  }),
  query({
    name: 'cure-preview',
    path: 'preview/cure',
    summary: 'A cure as it would run: grams by zone, salt through time, weight, and when.',
    input: curePlan,
    run(app, input) {
      const { picture, sweet, ...result } = cure(cureSettingsFor(app.store, input));
      return { ...result, picture: Array.from(picture), sweet: Array.from(sweet) };
    }
  }),
  query({
    name: 'acid-preview',
    path: 'preview/acid',
    summary:
      'Fish in acid as it would go: rim and raw share through time, when it is as wanted, and when past its best.',
    input: acidFields.extend({ after: optionalNumeric(0, 7 * 1440).describe('min: what would I have then?') }),
    run(app, { after, ...input }) {
      const { course, ...plan } = acidPlan(acidSettingsFor(app.store, input));
      const then = after === null ? null : lookAt({ ...plan, course }, after * 60);
      return { ...plan, moments: course.moments, stalls: course.stalls, then };
    }
  }),
  query({
    name: 'slice-preview',
    path: 'preview/slice',
    summary: 'Slices from a block.',
    input: slicePlan,
    run: (_, input) => cutFor(input)
  })
];

import { actionsNamed } from './forms.ts';

/** What is done in the row of a task, on whatever page it stands, without going to its bench. */
export const rowActions = actionsNamed([
  'discard-piece',
  'bin-tub',
  'read-place',
  'read-cold',
  'read-freeze',
  'end-acid',
  'end-cure',
  'step-cure',
  'sharpen-knife',
  'look-aged',
  'close-excursion'
]);

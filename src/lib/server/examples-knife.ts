import { act, char, feed, landed, type Example } from './example-acts.ts';

const SLICES = {
  piece: 'ARC-0309-2-C',
  purpose: 'topping',
  style: 'oblique',
  by: 'weight',
  grams: '9 g',
  thickness: '5 mm',
  angle: 40,
  length: '200 mm',
  height: '26 mm',
  height4: '20 mm',
  width: '60 mm',
  count: 12,
  mass: '110 g',
  place: 'Drawer 1'
};
const SQUARE = {
  piece: 'TUR-0309-3-A',
  length: '320 mm',
  height: '36 mm',
  height4: '18 mm',
  width: '150 mm',
  edge: '40',
  skin: '1.5 mm',
  wantHeight: '24 mm',
  wantWidth: '60 mm',
  place: 'Drawer 1'
};
/** What is done under the knife: a board, a slicing, a squaring; each taken back once. */
export const KNIFE: readonly Example[] = [
  landed({ species: 'turbot', form: 'gutted', caughtOn: '2026-03-08', mass: '3 kg' }),
  act('open-board', { piece: 'TUR-0309-2-A' }),
  act('take-part', { piece: 'TUR-0309-2-A', part: 'eye-back', mass: '420 g' }),
  act('put-back', { piece: 'TUR-0309-2-A', child: 'TUR-0309-2-B' }),
  act('take-part', { piece: 'TUR-0309-2-A', part: 'eye-back', mass: '420 g' }),
  act('weigh-waste', { piece: 'TUR-0309-2-A', what: 'frame', mass: '2580 g', sure: true }),
  act('close-board', { piece: 'TUR-0309-2-A' }),
  char(),
  feed('ARC-0309-2'),
  act('set-depth', { piece: 'ARC-0309-2-A', length: '300 mm', t0: '30 mm', t6: '12 mm' }),
  act('trim-piece', { piece: 'ARC-0309-2-A', what: 'skin', mass: '70 g', keep: true, use: 'crisp' }),
  act('divide-piece', { piece: 'ARC-0309-2-A', name: 'Block', form: 'block', mass: '300 g' }),
  act('set-style', { style: 'straight', thickest: '9 mm', note: 'nobody here cuts it thicker' }),
  act('set-cut', { name: 'Sunday cut', like: 'oblique', thickest: '6 mm', note: 'three to a plate' }),
  act('set-knife', { name: 'Long slicer', every: 600 }),
  act('record-slice', { ...SLICES, knife: 'long-slicer' }),
  act('sharpen-knife', { knife: 'long-slicer', how: 'touched-up' }),
  act('weigh-slices', { piece: 'ARC-0309-2-D', weights: '9.2 8.7 9.9' }),
  act('put-slices-back', { piece: 'ARC-0309-2-D' }),
  act('record-slice', SLICES),
  act('reweigh-piece', { piece: 'ARC-0309-2-A', mass: '1600 g', cause: 'drip' }),
  act('split-piece', { piece: 'ARC-0309-2-A', count: 3 }),
  act('combine-pieces', { pieces: ['ARC-0309-2-E', 'ARC-0309-2-F'], name: 'Mince' }),
  landed({ species: 'turbot', form: 'fillet', thickness: '36 mm', mass: '1200 g' }),
  act('square-piece', SQUARE),
  act('put-blocks-back', { piece: 'TUR-0309-3-B' }),
  act('square-piece', { ...SQUARE, knife: 'long-slicer', mass: '510 g', skinMass: '60 g', waste: '40 g' })
];

import { words, type Said } from '../speech.ts';

export const slicePage = /* @__PURE__ */ words({
  slice: 'Slice',
  nothingToSliceYet: 'Nothing to slice yet.',
  theBlockAndThe: 'The block and the blade',
  recordTheseSlices: 'Keep these slices',
  bladeAngleInDegrees: 'Blade angle in degrees',
  toHit: 'To hit',
  gASlice: 'g a slice',
  setTheThickness: 'Set the thickness',
  slices: 'slices',
  each: 'each',
  offCut: 'off-cut',
  sliceFaceLongThe: (length: Said, length2: Said, length3: Said, mass: Said, mass2: Said) =>
    `Slice ${length}, face ${length2} long, the blade moves ${length3} along the board each time. Block by the ruler ${mass}, on the scale ${mass2}. Density 1.05 g/ml.`,
  theRulerSaysMore: 'By the ruler there is more fish than on the scale. Measure again.',
  slicesOf: (dayAndTime: Said, pieces: Said, mass: Said) => `${dayAndTime}: ${pieces} slices of ${mass}.`,
  oneLongDrawFingers:
    'One long draw, fingers curled behind the blade. Clean board and knife between species; a cut hand is covered and gloved, or off raw work.',
  tightFleshCutIt: 'Tight flesh: cut it thin, translucent if you can.',
  acrossTheGrainAt: 'Across the grain, at a thickness the tooth likes.',
  softFleshAThicker: 'Soft flesh: a thicker slice, one long draw of the blade.'
});

import { words, type Said } from '../speech.ts';

export const field = /* @__PURE__ */ words({
  optional: '· optional',
  unitOf: (label: Said) => `Unit of ${label}`
});

export const operationForm = /* @__PURE__ */ words({
  bothSideBySide: 'Both, side by side',
  lookAtItAs: 'Look at it as it is now',
  doneAndInThe: 'Done, and in the ledger.',
  itDidNotReach: 'It did not reach the house. What you typed is kept; send it again.',
  writing: 'Writing …'
});

export const piecePick = /* @__PURE__ */ words({
  whateverIsReceivedAnd: (empty: Said) =>
    `${empty} Whatever is received, and every piece taken from it, lies here to be picked.`,
  pieceOnTheBench: 'Piece on the bench',
  moreFindThemWith: (what: Said) => `${what} more: find them with`
});

export const pieceTicks = /* @__PURE__ */ words({
  moreAreNotListed: (what: Said) => `${what} more are not listed.`
});

export const scalePanel = /* @__PURE__ */ words({
  takeThisWeight: 'Take this weight',
  tare: 'Tare',
  zero: 'Zero',
  onTheSimulatedPan: 'On the simulated pan, g',
  put: 'Put',
  nothingOnItTo: 'Nothing on it to take.',
  notAtRestYet: 'Not at rest yet.',
  theScaleDidNot: 'The scale did not take that.',
  lookingForTheScale: 'Looking for the scale',
  noScaleIsSet: 'No scale is set: type the weights',
  theScaleDoesNot: 'The scale does not answer: type the weights',
  tooMuchOnThe: 'Too much on the scale',
  belowZeroSetIt: 'Below zero: set it to zero with nothing on it',
  atRest: 'at rest',
  moving: 'moving',
  tare2: (mass: Said) => `, tare ${mass}`
});

export const beside = /* @__PURE__ */ words({
  leaveIt: 'Leave it'
});

export const planField = /* @__PURE__ */ words({
  text: 'text'
});

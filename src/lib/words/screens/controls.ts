import * as say from '../say.ts';
import { words, type Said } from '../speech.ts';

export const field = /* @__PURE__ */ words({
  optional: '\u00a0· optional',
  unitOf: (label: Said) => `Unit of ${label}`,
  among: (label: Said) => `${label}: touch one`
});

export const operationForm = /* @__PURE__ */ words({
  bothSideBySide: 'Both, side by side',
  lookAtItAs: 'See it as it is now',
  doneAndInThe: 'Done. It is in the ledger.',
  itDidNotReach: 'Not sent: no connection. What you typed is kept. Send it again.',
  itCame: 'It came through before the line broke. It is in the ledger.',
  notWritten: (why: Said) => `Not written. ${why}`,
  writing: 'Writing …'
});

export const hold = /* @__PURE__ */ words({
  holdIt: 'Hold it down for a second.',
  pressAgain: 'Press it again to do it.'
});

export const piecePick = /* @__PURE__ */ words({
  whateverIsReceivedAnd: (empty: Said) => `${empty} Every piece you receive or cut can be picked here.`,
  pieceOnTheBench: 'Piece on the bench',
  moreFindThemWith: (what: Said) => `${what} more: type three letters.`,
  isNotForThis: (name: Said, why: Said) => `${name} is not for this bench: ${why}.`,
  notAsItIs: 'nothing is done here with a piece like it',
  chooseAnother: 'Choose another below.',
  threeLetters: 'Three letters, or scan it',
  inWhichOrder: 'In which order',
  soonest: 'Soonest',
  byPlace: 'By place',
  byStage: 'By stage',
  nowhereSaid: 'Nobody said where',
  leftOut: (count: number, why: Said) => `${say.number(count, 0)} ${why}`,
  notForIt: 'of another kind',
  notHere: (what: Said) => `Not offered here: ${what}.`,
  nothingHere: 'Nothing here by that name.',
  findIt: 'Find it in the house',
  photographALabel: 'Photograph a label',
  looking: 'Looking for its code …',
  noCodeInIt: 'No code of a piece in it. Take it nearer, with light on it.'
});

export const pieceTicks = /* @__PURE__ */ words({
  threeLetters: 'Three letters, or scan them',
  moreAreNotListed: (what: Said) => `${what} more are not listed.`
});

export const scalePanel = /* @__PURE__ */ words({
  takeThisWeight: 'Take this weight',
  byItself: 'Takes them by itself',
  oddForIt: (mass: Said) => `${mass} is odd for this part. Touch to take it, or touch another part.`,
  tare: 'Tare',
  zero: 'Zero',
  onTheSimulatedPan: 'On the simulated pan, g',
  put: 'Put',
  nothingOnItTo: 'Nothing on it to take.',
  notAtRestYet: 'Not at rest yet.',
  wasTaken: (mass: Said) => `${mass} taken. Change what lies on the pan before the next.`,
  theScaleDidNot: 'The scale did not answer. Try again, or type the weight.',
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
  leaveIt: 'Close'
});

export const when = /* @__PURE__ */ words({
  comesTwice: (time: Said) => `The clocks go back that night: ${time} comes twice. Which one?`,
  theFirst: 'the first',
  theSecond: 'the second',
  isJumpedOver: (time: Said) => `The clocks go forward that night: there is no ${time}.`
});

export const withOthers = /* @__PURE__ */ words({
  none: 'More pieces with it',
  some: (count: number) => `More pieces with it: ${say.number(count, 0)}`
});

export const conflict = /* @__PURE__ */ words({
  writtenMeanwhile: 'Written meanwhile',
  whatYouSent: 'What you sent, not written'
});

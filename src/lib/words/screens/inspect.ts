import { words, type Said } from '../speech.ts';

export const inspectOnePage = /* @__PURE__ */ words({
  inspect: (name: Said) => `Inspect ${name}`,
  inspect2: (name: Said) => `Inspect: ${name}`,
  from: (id: Said, form: Said, typed: Said, supplier: Said) => `${id} · ${form}, ${typed} · from ${supplier}`,
  thePiece: 'the piece',
  delivery: (delivery: Said) => `delivery ${delivery}`,
  sheet: 'Sheet',
  writeTheInspectionDown: 'Write the inspection down',
  couldNotSee: 'could not see',
  whatTheSheetSays: 'What the sheet says',
  ofDaysOnIce: (iceDays: Said) => `of ${iceDays} days on ice, by eye`,
  likelyToDOf: (low: Said, high: Said, points: Said, most: Said, answered: Said, length: Said) =>
    `likely ${low} to ${high} days · ${points} of ${most} points · ${answered} of ${length} looked at`,
  theEmberLineEnds: (what: Said) => `Raw service ends at the red line (${what} % of its days).`,
  itRecommends: 'It recommends:',
  touchWhatYouSee: 'Touch what you see, row by row. What you cannot see counts as the worst.',
  youDecide: 'You decide',
  iAnswerForBeing: 'I take responsibility for being looser than the sheet, or than before',
  aScoreIsNo: 'A good score clears nothing: no sheet sees parasites, histamine, toxins or germs.',
  blocksFrom: (supplier: Said) => `Blocks from ${supplier}`,
  came: 'Came',
  lot: 'Lot',
  grade: 'Grade',
  aKilogram: 'A kilogram',
  inspectedBefore: 'Inspected before',
  daysOnIceBy: (dayAndTime: Said, what: Said, likely: Said, decisionName: Said, what2: Said, what3: Said) =>
    `${dayAndTime}, ${what}: ${likely} days on ice by eye, ${decisionName}${what2}${what3}`,
  entry: (seq: Said) => `entry ${seq}`,
  unidentifiedFish: 'Unidentified fish',
  weight: (weight: Said) => `weight ${weight}`,
  notCountedAsDays: 'not counted as days',
  endsItSendBack: 'ends it: send back',
  endsRawUse: 'ends raw use',
  noPrice: 'no price',
  theSheetSaid: (decisionName: Said) => ` (the sheet said ${decisionName})`
});

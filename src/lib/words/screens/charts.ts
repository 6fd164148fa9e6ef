import { words, type Said } from '../speech.ts';

export const coldLog = /* @__PURE__ */ words({
  toArrowKeysMove: (name: Said, dayAndTime: Said, dayAndTime2: Said) =>
    `${name}: ${dayAndTime} to ${dayAndTime2}. Arrow keys move the window, plus and minus zoom. The figures stand in the table below.`,
  windowOnTheLog: 'Window on the log',
  allOfIt: 'All of it',
  lastDay: 'Last day',
  lastWeek: 'Last week',
  closer: 'Closer',
  to: (dayAndTime: Said, dayAndTime2: Said) => `${dayAndTime} to ${dayAndTime2}`,
  limit: (degree: Said) => `limit ${degree}`
});

export const depthDrawing = /* @__PURE__ */ words({
  longSectionOfThe: 'Long section of the piece; its depths stand in the fields below',
  wanted: (length: Said) => `wanted ${length}`,
  foldHere: 'fold here'
});

export const massFlow = /* @__PURE__ */ words({
  flowOfTheSame: (by: Said) => `Flow of ${by}; the same figures stand in the table below`,
  nothingHasBeenCut: 'Nothing has been cut yet.',
  noPriceIsOn: 'No price is on record, so no money can be drawn.',
  what: 'What',
  weight: 'Weight',
  money: 'Money'
});

export const thermalSection = /* @__PURE__ */ words({
  thePieceCutThrough: (said: Said) => `The piece cut through. ${said}.`,
  face: 'face',
  face2: (length: Said, what: Said) => `face · ${length} ${what}`,
  timeSinceItWent: 'Time since it went in',
  inMiddleUnderThe: (duration: Said, temperature: Said, temperature2: Said) =>
    `${duration} in: middle ${temperature}, under the face ${temperature2}; `,
  iceAllThrough: 'ice all through',
  noIceYet: 'no ice yet',
  iceBelowTheFace: (what: Said, length: Said) => `ice ${what} ${length} below the face`,
  downTo: 'down to',
  leftFrom: 'left from'
});

export const tide = /* @__PURE__ */ words({
  tideChart: 'Tide chart',
  routeShownAsWater: 'Route shown as water',
  stretchOfTime: 'Stretch of time',
  moveAlongTime: 'Move along time',
  toNow: 'To now',
  tideChartWindowsArrow: (word: Said) =>
    `Tide chart of ${word} windows. Arrow keys move along time; plus and minus zoom.`,
  besideEachNameWhat: 'Beside each name: days on ice left (raw service ends at the line), and time in the warm left.',
  theSameAsA: 'The same as a table',
  used: 'Used',
  ofItsTimeIn: (what: Said, what2: Said) => `${what}, ${what2} % of its time in the warm`,
  notKnown: 'not known',
  to: (moment: Said) => ` to ${moment}`,
  daysOnIceNot: 'days on ice not known',
  ofItsDaysOn: (what: Said) => `${what} % of its days on ice`
});

export const yields = /* @__PURE__ */ words({
  noBoardHasBeen:
    'No board is finished yet. Finish one, and you see here what each gave: by kind, supplier, hand and part.',
  yieldsTheSameFigures: 'Yields; the same figures stand in the table below',
  board: (runs: Said, what: Said) => `${runs} board${what}`,
  what: 'What',
  boards: 'Boards',
  middle: 'Middle',
  eightInTen: 'Eight in ten',
  to: (percent: Said, percent2: Said) => `${percent} to ${percent2}`
});

/** How far the tide chart looks. */
export const SPAN_NAMES = /* @__PURE__ */ words({
  tonight: 'Tonight',
  days: '3 days',
  week: 'Week',
  fortnight: 'Two weeks'
});

export const asTable = /* @__PURE__ */ words({ name: 'The same as a table' });

export const coldLogTable = /* @__PURE__ */ words({ head: ['Sensor', 'From', 'Coldest', 'Warmest'] });

export const yieldsBy = /* @__PURE__ */ words({ species: 'Kind', supplier: 'Supplier', hand: 'Hand', part: 'Part' });

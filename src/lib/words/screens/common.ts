import { said, words } from '../speech.ts';

export const common = /* @__PURE__ */ words({
  computing: 'Computing …',
  needsScripts: 'This browser does not run scripts: these figures cannot be computed here.',
  skinWasWeighed: 'Its skin was weighed off it.',
  note: 'Note',
  whereTo: 'Where to',
  weightNow: 'Weight now',
  drawer: 'Drawer 1',
  name: 'Name',
  kind: 'Kind',
  goodFor: 'Good for',
  steps: 'Steps',
  oneALine: 'One a line.',
  itReallyWeighsThat: 'It really weighs that',
  itReallyIsSo: 'It is so, weight and core',
  piece: 'Piece',
  weight: 'Weight',
  earlier: 'Earlier',
  later: 'Later',
  writeItDown: 'Write it down',
  when: 'When',
  emptyMeansNow: 'Empty means now.',
  coldPlaces: 'Cold places',
  receiveALot: 'Receive a lot',
  school: 'School',
  why: 'Why',
  waste: 'Waste',
  itsUse: 'Its use',
  core: 'Core',
  reason: 'Reason',
  what: 'What',
  weigh: 'Weigh',
  asAFile: 'as a file',
  house: 'House'
});

/** The title of a page, in the tab of the browser. */
export const titled = /* @__PURE__ */ said((page: string): string => `${page} · Ember Tide`);

import { words, type Said } from '../speech.ts';

export const acidBench = /* @__PURE__ */ words({
  allFigures: 'The figures',
  oneBathIsShared:
    'They share the liquid above: it is reckoned for all of them. A whole side goes by its own thickness, what is cut by its cut.',
  intoAcid: 'Into acid',
  coverItNow: 'Start it now',
  cutOpen: 'Cut open',
  layAnotherBesideIt: 'Lay another beside it',
  whatDoIHave: 'What do I have after, min',
  emptyWhenItIs: 'empty: when it is ready',
  theOther: 'The other',
  theOtherCutOpen: 'The other, cut open',
  whyTheseTimes: 'Why these times',
  acidMovesThroughFlesh:
    'Acid turns the flesh white where it arrives and is held there, so the white rim has a sharp edge. How fast the rim grows follows from the size (twice the size takes four times as long), from the fish (dark flesh holds more back), from the warmth, and from how much acid the liquid can give: water in it, or too little of it, slows it down. The band covers two hundred fish and limes, from fast to slow. Cut one open: it says more than any of this.',
  liftItOutWhen:
    'Take it out when it is as you want it. Keep fish and liquid cold and apart; left in, it goes mushy. Guidance only: your local code and licensed practice decide.',
  forecastAtOfThe: (pace: Said, runs: Said, what: Said) =>
    `Forecast at ${pace} of the shipped pace, as ${runs} ${what} of this species cut open here taught.`,
  forecastWithPublishedRanges: 'Forecast with published ranges: none of this species was cut open here yet.'
});

export const acidFields = /* @__PURE__ */ words({
  beginWith: 'Begin with',
  dragTheSize: 'Drag the size',
  size: 'Size',
  theLiquid: 'The liquid',
  part: (what: Said) => `Part ${what}`,
  millilitresOfPart: (what: Said) => `Millilitres of part ${what}`,
  leaveOutPart: (what: Said) => `Leave out part ${what}`,
  anotherPart: 'Another part',
  water: 'water',
  oil: 'oil'
});

export const acidFigures = /* @__PURE__ */ words({
  noAcidToSpeak: 'Hardly any acid: it will not turn. It stays raw.',
  to: (word: Said, what: Said) => `to ${word}${what}`,
  pastItsBest: (what: Said) => `past its best${what}`,
  whatYouHaveThen: 'What you have then',
  rimOfItStill: (length: Said, what: Said) => `rim ${length}, ${what} % of it still raw`,
  setThrough: 'Set through',
  liquid: 'Liquid',
  coversIt: 'Covers it',
  phAcidItCan: 'pH, acid it can give',
  molHL: (pH: Said, available: Said) => `${pH}, ${available} mol H⁺/l`,
  toSqueeze: 'To squeeze',
  toBeSure: (likely: Said, word: Said, enough: Said) => `${likely} ${word}, ${enough} to be sure`,
  darkFish: 'Dark fish',
  bindsAboutTwiceAs: 'binds about twice as much: slower',
  workingItOut: 'Working it out …',
  takesMl: (ml: Said) => `It takes ${ml} ml of it`,
  orAsFarAs: (look: Said) => `Or go only as far as ${look}`,
  noneGetsThere: 'No amount of it gets there: take a sourer liquid, or less water.',
  never: 'never',
  theAcidRunsOut: ': the acid runs out first',
  not: 'not',
  withThisLittleAcid: ' with this little acid',
  notWithThisLiquid: 'not with this liquid',
  andOilWhichAdds: (ml: Said) => ` and ${ml} oil, which adds no acid`,
  pokesOut: (ml: Said, what: Said, ml2: Said, what2: Said) =>
    `What pokes out stays raw. About ${ml} ${what}; top up ${ml2}${what2}.`,
  yesFromAboutOn: (ml: Said, what: Said) => `yes, from about ${ml} on${what}`,
  standMmDeepUnder: 'stand 4 mm deep under it',
  coverIt: 'cover it',
  orTurnIt: ', or turn it',
  fleshSideDownMm: ' flesh side down, 4 mm deep'
});

export const acidRun = /* @__PURE__ */ words({
  inAcid: (name: Said) => `${name} in acid`,
  sinceWanted: (dayAndTime: Said, poured: Said, word: Said) => `Since ${dayAndTime}: ${poured}; wanted ${word}.`,
  inIt: 'in it',
  readyTo: (clockTime: Said, duration: Said, duration2: Said, what: Said) =>
    `ready ${clockTime}, ${duration} to ${duration2}${what}`,
  never: 'never',
  asWantedTheAcid: 'as wanted: the acid runs out first',
  pastItsBest: 'past its best',
  forThoseWhoWant: (word: Said) => `${word}, for those who want it less raw`,
  lifted: (clockTime: Said, mass: Said, word: Said) => `${clockTime}: ${mass} taken out, ${word}:`,
  pastItsBestLift: 'Past its best. Take it out now, or make another dish of it.',
  backToNow: 'Back to now',
  rawMiddleTheForecast: (clockTime: Said, what: Said, length: Said, what2: Said, what3: Said) =>
    `${clockTime}, ${what}: raw middle ${length}; the forecast goes ${what2} from there${what3}.`,
  cutOne: 'Cut one',
  howWideIsIts: 'How wide is its raw middle? Type it, or touch the drawing where raw begins.',
  putTheForecastRight: 'Put the forecast right',
  rawMiddle: 'Raw middle',
  someOfItNow: 'Some of it now',
  liftThisMuch: 'Take this much out',
  howMuch: 'How much',
  of: (mass: Said) => `of ${mass}`,
  outOfIt: 'Take it out',
  liftItOut: 'Take it out',
  then: 'Then',
  liquidKeptForA: 'Liquid kept for a sauce',
  aPieceOfIts: 'It becomes a piece of its own, with this fish’s windows. Use it within a day.',
  howItLooksAnd: 'How it looks and tastes',
  guidanceOnlyYourLocal: 'Guidance only: your local code and licensed practice decide.',
  mayNeverOf: (what: Said) => `; may never (${what} of 100)`,
  never2: 'never',
  timesAsFast: (pace: Said) => `${pace} times as fast`,
  atOfItsPace: (pace: Said) => `at ${pace} of its pace`,
  thePartThatIs: (word: Said) => `Take out the part that is wanted ${word}. The rest stays in.`,
  liftedOutAsA: 'It becomes a piece of its own. The rest stays in for guests who want it less raw.',
  drainedKeptColdApart: 'drained, kept cold apart from its liquid',
  servedFromItAt: 'served from it at once'
});

export const acidSection = /* @__PURE__ */ words({
  timeInAcid: 'Time in acid',
  afterRimOfIt: (duration: Said, length: Said, what: Said, word: Said) =>
    `After ${duration}: rim ${length}, ${what} % of it still raw, ${word}`
});

export const acidTabs = /* @__PURE__ */ words({
  roomsOfAcid: 'Acid',
  acid: 'Acid',
  sauces: 'Sauces'
});

export const dress = /* @__PURE__ */ words({
  joinAtService: 'Join at service',
  dressIt: 'Dress it',
  sauce: 'Sauce',
  ofIt: 'Of it',
  itsOwnLiquid: 'Its own liquid',
  emptyMeansAll: 'Empty means all.',
  dish: 'Dish',
  and: 'And',
  redOnionCoriander: 'Red onion, Coriander',
  itsLiquid: (mass: Said) => `its liquid, ${mass}`,
  none: 'none',
  forThisMuchFish: (mass: Said) => `${mass} for this much fish`
});

export const sauceForm = /* @__PURE__ */ words({
  allOfItOf: 'All of it, of the fish',
  foldedIn: 'Folded in',
  perCentTastingBetween: 'Per cent, tasting between.',
  lines: 'Lines',
  oneALineAn: 'One a line: an ingredient; parts by weight; each 18 (g) for what comes whole.',
  limeJuiceOliveOil: 'Lime juice; 60\nOlive oil; 30\nEgg yolk; 18; each 18',
  keepAsTheNext: 'Keep as the next version',
  writeItIntoThe: 'Write it into the book'
});

export const acidPage = /* @__PURE__ */ words({
  acid: 'Acid',
  nothingToDressYet: 'Nothing to dress yet.'
});

export const acidSaucesPage = /* @__PURE__ */ words({
  sauces: 'Sauces',
  saucesAndDressings: 'Sauces and dressings',
  writeANewSauce: 'Write a new sauce',
  ratiosAreStartingPoints: 'Ratios are starting points, to be tasted. What a line holds is added up from the',
  listOfIngredients: 'list of ingredients',
  aMakersLabelGoes: '; a maker’s label goes before it. Guidance only: your local code and licensed practice decide.'
});

export const acidSaucesOnePage = /* @__PURE__ */ words({
  aSaucePouredOver:
    'A sauce poured over raw fish is acid, not heat: it kills nothing. Guidance only: your local code and licensed practice decide.',
  forOfFish: (mass: Said, mass2: Said) => `${mass} for ${mass2} of fish`,
  whatWasAddedBecomes: 'What was added becomes the next version',
  addedByTasteG: 'Added by taste, g',
  take: (fractions: Said, take: Said) => `: ${fractions}; take ${take}`,
  addedG: (what: Said) => `Added ${what}, g`,
  whatComesWholeDoes: (mass: Said) =>
    `What comes whole does not scale smoothly: a whole number of it is right for ${mass} of fish.`,
  foldItInPortion: 'Fold it in portion by portion and taste between; write down what you added.',
  newInIt: 'New in it',
  gingerGSugarG: 'Ginger 4 g, Sugar 2 g',
  fromTheListElse: 'From the list; else say what it holds: Shiso oil = sesame 2 g.',
  tooSharpForTurbot: 'too sharp for turbot',
  anEarlierVersionWhat: 'An earlier version: what is added by taste is written to the newest.',
  andTheFish: (tell: Said, toldLine: Said) => `${tell} ${toldLine}; and the fish.`,
  aKilogramOfFish: 'a kilogram of fish',
  dressAPieceWith: 'Dress a piece with it',
  writeTheNextVersion: (version: Said) => `Write the next version from version ${version}`,
  justRight: 'just right',
  first: 'First',
  then: 'then',
  last: 'last'
});

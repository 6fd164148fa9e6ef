import * as say from '../say.ts';
import { words, type Said } from '../speech.ts';

export const cureBench = /* @__PURE__ */ words({
  beginTheCureOf: (count: number) => `Begin the cure of ${say.plural(count, { one: 'piece', other: 'pieces' })}`,
  eachByItsThickness:
    'Each is salted by its own weight. Its times are these by the square of its own thickness, as salt goes in.',
  theCure: 'The cure',
  beginTheCure: 'Begin the cure',
  readyBy: 'Ready by',
  saltMovingIn: 'Salt moving in',
  compareWithAnotherPlan: 'Compare with another plan',
  byDepthAtThe: 'By depth, at the end',
  stepsAndClocks: 'Steps and clocks',
  begunNowItIs: (dayAndTime: Said) => `Begun now, it is through ${dayAndTime}.`,
  tooLateByShorten: (duration: Said) => `Too late by ${duration}: shorten it, cut it thinner, or serve it another day.`,
  startByWithMin: (dayAndTime: Said, until: Said, what: Said) =>
    `Start by ${dayAndTime}, ${until} (with ${what} min to dry and cut).`,
  firstPlan: 'first plan',
  salt: 'salt',
  secondPlan: 'second plan',
  gramsAndHoursBy: 'Grams and hours by zone',
  gramsAndHours: 'Grams and hours',
  atOnce: 'at once',
  after: (duration: Said) => `after ${duration}`
});

export const cureCompare = /* @__PURE__ */ words({
  theSecondPlan: 'The second plan',
  sideBySide: 'Side by side',
  firstPlan: 'First plan',
  secondPlan: 'Second plan',
  notWithinWhatWas: 'not within what was followed',
  school: 'School',
  saltSugar: 'Salt, sugar',
  hoursInAll: 'Hours in all',
  begunNowReady: 'Begun now, ready',
  startBy: 'Start by',
  saltOnAverage: 'Salt, on average',
  atTheFace: 'At the face',
  middleOfTheThickest: 'Middle of the thickest',
  thinEndOnAverage: 'Thin end, on average',
  middleReachesWhatIs: 'Middle reaches what is wanted',
  evenedOut: 'Evened out',
  weightAfter: 'Weight after',
  waterPhaseSaltLeast: 'Water-phase salt, least',
  waterActivity: 'Water activity',
  risk: 'Risk',
  to: (percent: Said, percent2: Said, percent3: Said) => `${percent} (${percent2} to ${percent3})`
});

export const cureDepths = /* @__PURE__ */ words({
  saltByDepthAt: (curves: Said) => `Salt by depth at the end. ${curves}.`,
  wantedInside: 'wanted inside',
  face: 'face',
  middleOrSkin: 'middle, or skin',
  thickEnd: ', thick end',
  thinEnd: ', thin end',
  atTheFaceAt: (name: Said, percent: Said, percent2: Said) =>
    `${name}: ${percent} at the face, ${percent2} at the inside`
});

export const cureFields = /* @__PURE__ */ words({
  byWeightMeasureIt: 'Estimated from its weight and form. Measure it.',
  fromTheRecipeBook: 'From the recipe book',
  asSetHere: 'as set here',
  itsHoursAreFor: (length: Said, what: Said) =>
    `Its hours are for ${length}, ${what}; a thicker piece takes longer: see when its middle gets there.`,
  atAsTheSalts: (salt: Said, parts: Said, grams: Said, grams2: Said, grams3: Said, grams4: Said) =>
    `${salt} % at ${parts}: as the salt’s rate ${grams} salt and ${grams2} sugar; as the mix’s ${grams3} and ${grams4}. Cooks mean either: ask.`,
  byWeightIsG: (salt: Said, gramsPerLitreOfWater: Said, gramsPerKilogram: Said, salometer: Said, density: Said) =>
    `${salt} % by weight is ${gramsPerLitreOfWater} g to a litre of water, ${gramsPerKilogram} g in a kilogram, ${salometer}° salometer, density ${density}.`,
  dragTheTime: 'Drag the time',
  timeInHours: 'Time in hours',
  whereCooksDisagree: 'Where cooks disagree',
  saltToSugarThe: (skin: Said) =>
    `${skin} Salt to sugar, the rate, the liquid and the faces: change them, and the figures beside change.`,
  skinOn: 'skin on',
  bothFacesOpen: 'both faces open',
  orTheSugarBy: 'or the sugar by itself, below',
  here: (grams: Said) => `here ${grams}`,
  alongItsMeasuredDepth: 'along its measured depth',
  emptyAsMeasured: 'empty: as measured',
  emptyEven: 'empty: even',
  inTheLastDay: (place: Said, temperature: Said) => `${place}: ${temperature} in the last day`
});

export const cureFigures = /* @__PURE__ */ words({
  figuresAtTheEnd: 'Figures at the end',
  waterEachTime: 'water, each time',
  salt: 'salt',
  sugar: 'sugar',
  inAll: 'in all',
  ofAfter: (grams: Said) => `of ${grams} after`,
  atTheEnd: (duration: Said) => `At the end, ${duration}`,
  likely: 'Likely',
  nineTimesInTen: 'Nine times in ten',
  saltOnAverage: 'Salt, on average',
  saltMiddleOfThe: 'Salt, middle of the thickest',
  waterPhaseSaltLeast: 'Water-phase salt, least anywhere',
  waterPhaseSaltAt: 'Water-phase salt at the face',
  weightAfter: 'Weight after',
  middle: (what: Said, percent: Said) => `Middle ${what} ${percent}`,
  evenedOutFaceAnd: 'Evened out (face and middle within 0.5 %)',
  thinEndHasWhat: 'Thin end has what the thick end will have',
  waterActivityOnAverage: 'Water activity, on average',
  twoHundredDraws: 'Two hundred draws',
  twoHundredDraws2: 'two hundred draws …',
  stop: 'Stop',
  forecastWithWhatOf: (runs: Said, what: Said, what2: Said) =>
    `Forecast with what ${runs} ${what} of this house taught (${what2}).`,
  forecastWithPublishedRanges: 'Forecast with published ranges: no cure of this kind was weighed here yet.',
  whatCameOut: 'What came out',
  to: (show: Said, show2: Said) => `${show} to ${show2}`,
  notWithin: (duration: Said) => `not within ${duration}`,
  after: (duration: Said) => `after ${duration}`,
  fallsTo: 'falls to',
  thisSpecies: 'this species',
  itsFatClass: 'its fat class'
});

export const cureGuide = /* @__PURE__ */ words({
  stepsReasonsMistakes: (name: Said) => `${name}: steps, reasons, mistakes`,
  usual: 'Usual:',
  lookAt: 'Look at:',
  mistakes: 'Mistakes:',
  saltDiffusesThroughThe:
    'Salt works its way inward through the water of the flesh. Under laid salt the face stays as salty as it can be until the salt is gone, then weakens; a bath is finite and stirred; a rest only evens out. It goes slower in fat, faster in the warm and in flesh that was frozen. Salt along the length, a paste that is not stirred, and what pressing does are not followed. The band covers two hundred fish of this kind, from fast to slow.',
  cautions: 'Cautions',
  aHistamineSpeciesEvery: 'A histamine species: every warm minute counts, and no salt undoes it.',
  theDateMarkCounts:
    'The date mark counts from the first day of the cure. Lightly cured fish is not shelf-stable. Guidance only: your local code and licensed practice decide.'
});

export const cureLearned = /* @__PURE__ */ words({
  forecastAgainstMeasurementOf: (what: Said, length: Said, what2: Said, held: Said) =>
    `${what}: forecast against measurement of ${length} ${what2}; ${held} came out within the band.`,
  forecastMeasured: (name: Said, piece: Said, likely: Said, measured: Said) =>
    `${name}, ${piece}: forecast ${likely}, measured ${measured}`,
  forecast: 'forecast, %',
  measured: 'measured, %',
  ofWithinTheBand: (held: Said, length: Said) =>
    `${held} of ${length} within the band that was said (nine in ten is the aim).`
});

export const curePicture = /* @__PURE__ */ words({
  openFace: 'open face',
  long: (length: Said) => `${length} long`,
  thickestZone: (length: Said) => `thickest zone ${length}`,
  hourShown: 'Hour shown',
  show: (what: Said) => `Show ${what}`,
  afterAtTheFace: (hours: Said, cureStageWords: Said, percent: Said, percent2: Said, percent3: Said) =>
    `After ${hours}, ${cureStageWords}: at the face ${percent}, middle of the thickest ${percent2}, on average ${percent3}`,
  openFace2: 'open face',
  skinClosed: 'skin, closed',
  theSalt: 'the salt',
  theSugar: 'the sugar',
  sugar: 'sugar',
  salt: 'salt'
});

export const cureRun = /* @__PURE__ */ words({
  desalting: 'Desalting',
  saltSugarOn: (mass: Said, mass2: Said) => `${mass} salt, ${mass2} sugar on`,
  since: (mass: Said, dayAndTime: Said, what: Said, what2: Said) => `${mass}, since ${dayAndTime}${what}${what2}.`,
  leftOfIt: (duration: Said) => `${duration} left of it`,
  due: (dayAndTime: Said) => `due ${dayAndTime}`,
  wantedByThroughLater: (dayAndTime: Said, duration: Said) =>
    `Wanted by ${dayAndTime}; ready ${duration} later. Shorten it, or tell the pass.`,
  backToNow: 'Back to now',
  byZone: 'By zone',
  begunInAnEarlier: (range: Said, range2: Said) =>
    `Begun in an earlier version of this record: forecast ${range} salt on average, ${range2} in the middle.`,
  done: (dayAndTime: Said, what: Said) => `done ${dayAndTime}, ${what}`,
  doneAtTheStart: 'done at the start',
  done2: (cureStepWords: Said) => `${cureStepWords}: done`,
  takeItOut: 'Take it out',
  forecastTo: (mass: Said, mass2: Said) => `forecast ${mass} to ${mass2}`,
  saltTasted: 'Salt, tasted',
  howGoodTo: 'How good, 1 to 5',
  saltMeter: 'Salt meter',
  itsProbeStoodIn: 'Its probe stood in',
  howItFeelsAnd: 'How it feels and tastes',
  change: 'Change',
  fromNow: 'From now',
  to: (percent: Said, percent2: Said) => `${percent} to ${percent2}`,
  version: (name: Said, version: Said) => `; ${name}, version ${version}`,
  programmeOver: 'programme over',
  paused: 'paused',
  simulatedInTheAir: (place: Said, temperature: Said) =>
    `Simulated in the air of ${place} as it was read, then at ${temperature}.`,
  simulatedAtNoSensor: (temperature: Said) => `Simulated at ${temperature}: no sensor reads its place.`,
  fromThen: (duration: Said) => `${duration} from then`,
  takenUpAgain: 'went on',
  pausedTakeItUp: 'Paused: go on with it',
  pauseItShortenIt: 'Pause it, shorten it, give it more',
  backIntoIt: 'Back into it',
  changeIt: 'Change it',
  soMuchLongerFrom: 'so much longer from now (0: this stage ends)',
  liftItOutAnd: 'take it out, and keep what it was in'
});

export const cureTabs = /* @__PURE__ */ words({
  roomsOfCuring: 'Curing',
  cure: 'Cure',
  recipeBook: 'Recipe book',
  whatCameOut: 'What came out'
});

export const cureZones = /* @__PURE__ */ words({
  fromTheHeadEnd: 'From the head end',
  thick: 'Thick',
  weighs: 'Weighs',
  saltOnIt: 'Salt on it',
  sugar: 'Sugar',
  meanEnd: 'Mean, end',
  middleEnd: 'Middle, end',
  waterEnd: 'Water, end',
  middleWantedAt: 'Middle wanted at',
  asTheThickEnd: 'As the thick end at',
  to: (length: Said, length2: Said) => `${length} to ${length2}`
});

export const recipeForm = /* @__PURE__ */ words({
  amountsAre: 'Amounts are',
  theMixOfThe: 'The mix, of the fish',
  lines: 'Lines',
  oneALineAn:
    'One a line: an ingredient; salt, sugar, water, paste, sour, spirit or aromatic; how much; then the kind of salt (fine, coarse, flake), or what a paste holds: salt 12, sugar 10, water 46 (%).',
  timeInIt: 'Time in it',
  restAfter: 'Rest after',
  forHowThick: 'For how thick',
  open: 'Open',
  wantedInTheMiddle: 'Wanted in the middle',
  saltInItNow: 'Salt in it now',
  watersInAll: 'Waters in all',
  saltedFirstWith: 'Salted first with',
  forMinutes: 'for, minutes',
  fineSaltSaltFine: 'Fine salt; salt; 2 %; fine\nWhite sugar; sugar; 0.8 %\nDill; aromatic; 1 %',
  keepAsTheNext: 'Keep as the next version',
  writeItIntoThe: 'Write it into the book',
  ofTheFishsWeight: '% of the fish’s weight',
  partsOfAMix: 'parts of a mix',
  bothFaces: 'both faces',
  oneFaceSkinOn: 'one face (skin on)'
});

export const curePage = /* @__PURE__ */ words({
  cure: 'Cure',
  nothingToCureYet: 'Nothing to cure yet.'
});

export const cureLearningPage = /* @__PURE__ */ words({
  whatCameOut: 'What came out',
  noCureWasWeighed:
    'No cure was weighed or measured at its end yet. Weigh each piece when it comes out, and put the salt meter in once in a while: two or three runs already move the forecast.',
  toTheBench: 'To the bench',
  weightLost: 'Weight lost',
  nothingWasWeighedAt: 'Nothing was weighed at its end yet.',
  saltByMeter: 'Salt, by meter',
  noSaltMeterWas: 'No salt meter was read yet: the forecast of salt leans on published ranges.',
  whatItTaught: 'What it taught',
  cures: 'Cures',
  paceOfSalt: 'How fast salt goes in, as shipped = 1',
  mostWaterDrawn: 'Most water drawn',
  weightWasOffBy: 'Weight was off by',
  saltWasOffBy: 'Salt was off by',
  to: (pace: Said, pace2: Said) => `${pace} to ${pace2}`,
  to2: (share: Said, share2: Said) => `${share} to ${share2}`,
  asShipped: 'as shipped',
  leastSquaresOnWeights: (most: Said) =>
    `Fitted to what was weighed and metered in the last ${most} cures, beginning with the shipped range. A species without cures of its own leans on its fat class, more widely. “Off by” stands before and after learning: weight in % of the raw weight, salt in % of the reading.`,
  everyFinishedCure: 'Every finished cure',
  ended: 'Ended',
  forecast: 'Forecast',
  measured: 'Measured',
  tasted: 'Tasted',
  to3: (low: Said, high: Said) => `(${low} to ${high})`,
  aMeterAndA:
    'A meter and a scale say what was in these pieces, not what is in the next. Guidance only: your local code and licensed practice decide.',
  notMeasured: 'not measured',
  switchLearningOff: 'Switch learning off',
  switchLearningOn: 'Switch learning on',
  forecastsLeanOnWhat: 'Forecasts lean on what this house weighed and measured.',
  switchedOffForecastsUse: 'Switched off: forecasts use the shipped ranges.',
  weightLost2: 'weight lost',
  salt: 'salt',
  of: (taste: Said) => `, ${taste} of 5`,
  fat: { lean: 'lean', mid: 'middling fat', rich: 'fat' } as Readonly<Record<string, string>>
});

export const cureRecipesPage = /* @__PURE__ */ words({
  recipeBook: 'Recipe book',
  writeANewRecipe: 'Write a new recipe',
  ratiosAreStartingPoints:
    'Ratios are starting points, tasted and not measured. Volumes are no weights: fine and flake salt differ almost two-fold. Guidance only: your local code and licensed practice decide.'
});

export const cureRecipesOnePage = /* @__PURE__ */ words({
  ratiosAreStartingPoints:
    'Ratios are starting points, tasted and not measured. Cured is still a raw route. Guidance only: your local code and licensed practice decide.',
  forOfFish: (mass: Said) => `For ${mass} of fish`,
  written: 'Written',
  spoon: 'Spoon',
  gTooLittleFor: (grams: Said) => `(${grams} g: too little for this scale)`,
  roundedToGWhich: (interval: Said) => `Rounded to ${interval} g, which the scale shows (House, Knife work).`,
  theMixIsOf: (what: Said) => `The mix is ${what} % of the fish.`,
  theSaltIsWhat: 'The salt is what brings the finished piece to its share: a little more than of the raw weight.',
  noScaleSaltBy: 'No scale: salt by volume',
  aMakeshiftGoodTo:
    'A makeshift, good to a fifth at best: fine and flake salt differ almost two-fold. Weigh a level spoon of yours and set its density.',
  time: 'Time',
  saltedFirst: 'Salted first',
  rest: 'Rest',
  madeFor: 'Made for',
  middle: 'Middle',
  salt: (what: Said) => `${what} % salt`,
  allergens: 'Allergens',
  andTheFish: (toldLine: Said) => `${toldLine}; and the fish`,
  aKilogramOfFish: 'a kilogram of fish',
  takeItToThe: 'Take it to the bench',
  writeTheNextVersion: (version: Said) => `Write the next version from version ${version}`,
  asItIsTyped: 'As it is typed:',
  aboutMl: (saltVolume: Said) => `about ${saltVolume} ml`,
  waters: (changes: Said) => `, ${changes} waters`,
  skinOn: 'skin on',
  bothFacesOpen: 'both faces open'
});

export const cureAnswer = /* @__PURE__ */ words({
  workingItOut: 'Working it out …',
  through: (span: Said) => `Through after ${span}.`,
  notThrough: (span: Said) => `Not through after ${span}.`,
  middleHas: (has: Said, wanted: Said) => `Its middle has ${has} of the ${wanted} wanted.`,
  takes: (span: Said) => `It takes ${span}`,
  strongerBrine: (salt: Said, span: Said) => `Or ${salt} brine for ${span}`,
  moreSalt: (salt: Said, span: Said) => `Or ${salt} salt for ${span}`,
  neither: 'No time and no salt does it as it lies: make it thinner, or open both faces.'
});

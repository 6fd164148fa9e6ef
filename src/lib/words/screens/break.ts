import { words, type Said } from '../speech.ts';

export const balance = /* @__PURE__ */ words({
  onTheBoard: 'On the board',
  parts: 'Parts',
  drip: 'Drip',
  open: 'Open',
  waste: 'waste',
  open2: 'open',
  over: 'over',
  itBalancesAndThe: (mass: Said, what: Said, mass2: Said) =>
    `It balances: ${mass} ${what}, and the scale may be out by ${mass2}.`,
  wereNeverWeighed: 'were never weighed',
  stillToWeigh: 'still to weigh',
  moreCameOffThan: (mass: Said) => `${mass} more came off than went on.`
});

export const boardClose = /* @__PURE__ */ words({
  closeTheBoard: 'Finish the board',
  staysUncut: 'Stays uncut',
  partsGoTo: 'Parts go to',
  theColdestDrawer: 'the coldest drawer',
  warmestCoreNow: 'Warmest core now',
  nameAPlaceOn: 'Name one of your cold places. Without one the parts count as out of the cold.',
  whereTheRestWent: 'Where the rest went',
  askedForWhereMore: 'Asked for where more is missing than the scale can be out by.'
});

export const boardMoney = /* @__PURE__ */ words({
  yieldAndCost: 'Yield and cost',
  usableSoFarForecast: (mass: Said, percent: Said, percent2: Said) =>
    `usable so far: ${mass}; forecast ${percent} to ${percent2}`,
  cameInAt: 'Came in at',
  usable: 'Usable:',
  afterByProductsAre: ', after by-products are credited.',
  atTheLikelyYield: 'At the likely yield a usable kilogram comes to',
  beforeByProductsAre: ', before by-products are credited.',
  nobodyWroteDownWhat: (what: Said) => `Nobody wrote down what ${what} cost: no cost can be said.`,
  whyIsItSo: 'Why is it so dear? Mass and money of the lot',
  portionsItCouldGive: 'Portions it could give now',
  noneByItsVerdict: 'None: by its verdict it may be served in none of the ways your portions name.',
  byItsVerdictAnd: 'By its verdict and what it was cut for. Each row takes all of it: they do not add up.',
  setPortions: 'Set portions',
  kgWhole: (money: Said) => `, ${money} / kg whole`,
  thisLot: 'this lot',
  to: (low: Said, high: Said) => `${low} to ${high}`
});

export const boardOpen = /* @__PURE__ */ words({
  beforeTheKnife: 'Before the knife',
  usableLikely: (percent: Said) => `usable, likely: ${percent}`,
  eightBoardsInTen: (kilo: Said, kilo2: Said, percent: Said, percent2: Said) =>
    `Eight boards in ten: ${kilo} to ${kilo2} (${percent} to ${percent2}).`,
  byTypicalSharesOf: 'By typical shares of its kind and form; no board of this house yet.',
  fromBoardOfThis: (runs: Said, what: Said, ofSupplier: Said) =>
    `From ${runs} board${what} of this kind here, ${ofSupplier} of them from this supplier, and typical shares.`,
  putItOnThe: 'Start cutting',
  cutMap: 'Cut map',
  division: 'Division',
  weighedNow: 'Weighed now',
  coreNow: 'Core now',
  fromHereItsTime: (temperature: Said) =>
    `From here its time out of the cold runs, taken as ${temperature} until you read the core.`,
  itHasLeftIn: (duration: Said, duration2: Said, duration3: Said) =>
    `It has ${duration} left in the warm. A board of ${duration2} leaves ${duration3} for the tray.`,
  coldCoresReadBefore: 'Read the core cold before and after a short board, and it costs no time.',
  fits: ' · fits'
});

export const combine = /* @__PURE__ */ words({
  putPiecesTogetherInto: 'Put pieces together into one batch',
  spoonMeatAndTrim:
    'Spoon meat and trim, for instance. The batch keeps every parent and is only as good as its worst. Live shellfish of several lots are never put together.',
  putThemTogether: 'Put them together',
  whatTheBatchIs: 'What the batch is',
  minceForChoppedDishes: 'mince, for chopped dishes',
  pickedTogether: (length: Said, mass: Said) => `${length} picked, ${mass} together`
});

export const cutMap = /* @__PURE__ */ words({
  cutMapTouchA: 'Cut map: touch a part to weigh it',
  parts: 'Parts',
  waste: 'waste'
});

export const orderOfWork = /* @__PURE__ */ words({
  orderOfWork: 'Order of work',
  steps: (length: Said) => `${length} steps`
});

export const taken = /* @__PURE__ */ words({
  putBack: 'Undo',
  whatCameOff: 'What came off',
  labelsForThese: 'Labels for these',
  nothingYetTheFirst: 'Nothing yet. Weigh a part, and see its use and its share of the cost here.',
  use: 'Use',
  waste: 'waste',
  borneByTheParts: 'borne by the parts',
  costSoFar: 'Cost so far',
  cost: 'Cost',
  byProduct: ', by-product',
  notKnown: 'not known',
  waste2: (seq: Said) => `waste ${seq}`
});

export const weighPart = /* @__PURE__ */ words({
  onTheScale: 'On the scale',
  touchAPartOf: 'Touch a part of the fish, or its name, then weigh it.',
  weighItAsWaste: 'Weigh it as waste',
  dripOrOtherWaste: 'Drip, or other waste',
  usuallyToOfThis: (mass: Said, mass2: Said) => `usually ${mass} to ${mass2} of this`,
  whatBecomesOfIt: 'What becomes of it',
  aPiece: 'A piece',
  whatItIs: 'What it is',
  itBecomesAPiece: 'It becomes a piece',
  moreAboutIt: 'More about it',
  itsOwnName: 'Its own name',
  grade: 'Grade',
  firstGradeBearsThe: 'first grade: bears the cost',
  byProductAtIts: 'by-product: at its own value'
});

export const breakPage = /* @__PURE__ */ words({
  breakDown: 'Break down',
  nothingLiesHereTo: 'Nothing to cut yet.',
  from: (word: Said, what: Said) => `${word}${what} · from`,
  outOfTheCold: 'out of the cold, counted as time in the warm',
  thisMayBeA:
    'This may be a kind that only licensed hands may open, through a licensed channel. No map and no order of work is given for it here.',
  balance: 'Balance',
  theRest: (gapReason: Said) => `The rest: “${gapReason}”`,
  guidanceOnlyYourLocal: (word: Said) => `${word} Guidance only: your local code and licensed practice decide.`,
  boardClosed: ' · board finished',
  onTheBoard: 'on the board',
  left: (word: Said) => `left, ${word}`,
  beforeTheKnife: 'before the knife'
});

export const breakDepthPage = /* @__PURE__ */ words({
  evenDepth: 'Even depth',
  howThickAPiece: 'How thick a piece is along its length: salt and cold reach the middle of the thick end last.',
  nothingLiesHereTo: 'Nothing to measure yet.',
  keepThisDepth: 'Keep this depth',
  length: 'Length',
  twoAreEnoughLeave: 'Two are enough; leave out what was not measured. Or draw: drag the points of the upper edge.',
  thisPieceWasMeasured: 'This piece was measured before; it stands as it was kept.',
  forAnEvenCure: 'For an even cure',
  depthWanted: 'Depth wanted',
  longerToTheMiddle: 'longer to the middle of the thick end than of the thin',
  atTheThickestAt: (length: Said, length2: Said, length3: Said) =>
    `${length} at the thickest, ${length2} at the thinnest; worked to ${length3}.`,
  shaveTheThickEnd: 'Shave the thick end',
  nothingStandsAboveThat: 'Nothing stands above that.',
  costs: 'Costs',
  then: (what: Said, times: Said) => `${what}; then ${times}.`,
  foldTheThinEnd: 'Fold the thin end under',
  atFromTheHead: (length: Said, length2: Said, times: Said) =>
    `At ${length} from the head end, ${length2} under: costs nothing; then ${times}.`,
  noFoldStaysWithin: 'No fold stays within a tenth over that depth and makes it more even.',
  cutTheThinEnd: 'Cut the thin end off, cure it apart',
  at: (length: Said) => `At ${length}:`,
  apartThen: (times: Said) => `apart; then ${times}.`,
  noEndIsThinner: 'No end is thinner than six tenths of it.',
  timeToTheMiddle:
    'Time to the middle goes as the square of the depth, as in diffusion from both faces (Crank 1975). The piece is taken as one width. The six-tenths rule is the house’s; check it against your own cures.',
  headEnd: 'Head end',
  tailEnd: 'Tail end',
  times: (what: Said) => `${what} times`,
  giveTwoThicknessesAnd: 'Give two thicknesses to see the rest.',
  middle: 'Middle'
});

import { words, type Said } from '../speech.ts';

export const slicePage = /* @__PURE__ */ words({
  slice: 'Slice',
  nothingToSliceYet: 'Nothing to slice yet.'
});

export const sliceFields = /* @__PURE__ */ words({
  suits: 'It suits: ',
  betterSuits: (style: Said) => `${style} suits better: `,
  takeIt: 'Take that cut',
  ofOurs: 'Cuts of ours',
  usually: (least: Said, most: Said) => `usually ${least} to ${most}`,
  usuallyAngle: (least: Said, most: Said) => (least === most ? `${least}°` : `usually ${least} to ${most}°`),
  dragTheWeight: 'Weight of one slice',
  dragTheThickness: 'Thickness of one slice',
  dragTheAngle: 'Blade angle in degrees',
  dragTheGrain: 'Grain in degrees off the length',
  grainRuns: (degrees: Said) =>
    `The block from above: its grain runs ${degrees}° off its length, the blade goes across it.`,
  theBlock: 'The block',
  guessed: 'Guessed from its weight. Lay a ruler on it.',
  ofItsSide: 'Read off the side it was cut from. Lay a ruler on it to be sure.',
  moreOfTheBlock: 'It is not even: heights and widths between, slants, a thin edge',
  grainAndEnds: 'Grain, which end first, the stringy tail',
  howMany: 'How many, and what then'
});

export const sliceBench = /* @__PURE__ */ words({
  theBlockAndThe: 'The block and the blade',
  recordTheseSlices: 'Keep these slices',
  slicesOf: (grams: Said, thick: Said) => `slices of ${grams}, ${thick} thick`,
  cubesOf: (grams: Said) => `cubes of ${grams}`,
  shortBy: (count: Said) => `${count} fewer than asked for: the block ends.`,
  allHeavier: 'Heavier than asked for: no thinner slice of this cut holds together.',
  noneSoHeavy: (grams: Said) => `No slice of this cut weighs that much here. The heaviest is ${grams}.`,
  tooShort: 'Too short for one whole slice at this angle. Stand the blade steeper, or cut cubes.',
  takeGrams: (grams: Said) => `Slices of ${grams}`,
  fromOtherEnd: {
    head: (pieces: Said) => `Begin at the head end: ${pieces}`,
    tail: (pieces: Said) => `Begin at the tail end: ${pieces}`
  },
  onTheScale: 'On the scale, and where it goes',
  theRestOfIt: 'Off-cut, trim, time out of the cold',
  slicesTogether: 'All slices',
  orByRuler: 'empty: by the ruler',
  offCutWeight: 'Off-cut kept',
  theRest: 'empty: all the rest',
  stays: 'empty: none; the block stays',
  offCutFor: 'Off-cut for',
  trim: 'Trim binned',
  place: 'Back in the cold',
  emptyStaysOut: 'empty: it stays out, and its time runs',
  outSince: 'Out of the cold since',
  emptyByKnife: 'empty: as long as so many slices take',
  core: 'Core now',
  nothingStays: 'Nothing of the block stays',
  gapReason: 'Where the rest went',
  inPieces: 'in pieces',
  offCut: 'off-cut',
  tailKept: 'tail kept back',
  thenRow: (pieces: Said, grams: Said) => `Then ${pieces} of ${grams}.`,
  thenNone: 'Then none: the block ends.',
  rulerAndScale: (ruler: Said, scale: Said) => `By the ruler ${ruler}, on the scale ${scale}.`,
  rulerLess: (share: Said) => `The ruler misses ${share} of it.`,
  rulerMore: (share: Said) => `By the ruler there is ${share} more fish than on the scale.`,
  toLose: 'Its skin and edges are still to lose.',
  squareFirst: 'Square it first',
  here: (note: Said) => `Here: ${note}`,
  letTheScaleDecide: 'Let the scale decide the width',
  yourHand: (times: Said, low: Said, high: Said) =>
    `Your slices of this cut weigh ${times} of what is wanted (${low} to ${high}).`,
  notKnownYet: (slices: Said) => `How your hand is out at this cut is not known yet: ${slices} weighed so far.`,
  correctForIt: 'Correct for it',
  leftHanded: 'I cut left-handed',
  theHand: 'The hand',
  slicedThen: (dayAndTime: Said, pieces: Said, mass: Said) => `${dayAndTime}: ${pieces} slices of ${mass}.`,
  fingers:
    'Fingers curled behind the blade. Clean board and knife between species; a cut hand is covered and gloved, or off raw work.'
});

export const squarePage = /* @__PURE__ */ words({
  square: 'Square into blocks',
  nothingToSquare: 'No side or loin to square.',
  theSide: 'As it lies there',
  theBlocks: 'The blocks',
  moreOfTheSide: 'It is not even: heights and widths between, slanted ends',
  blocksOf: (count: number, grams: Said, share: Said) =>
    `${count === 1 ? 'block' : 'blocks'}, ${grams}: ${share} of it`,
  blockLengths: (lengths: Said) => `${lengths} long`,
  none: 'No block of this height and width lies in it.',
  lower: (height: Said, grams: Said) => `Blocks ${height} high: ${grams}`,
  bound: (grams: Said) =>
    `Straight rows from the thick edge. No blocks of this height can weigh more than ${grams}, however they are laid.`,
  lost: 'What is lost, by name',
  head: ['Part', 'Weight', 'Money'],
  fromAbove: (blocks: Said) => `The side from above with ${blocks} blocks in it, thick edge at the top.`,
  fromTheEnd: 'Its section where it is highest',
  everyBlock: 'Every block',
  blockHead: ['Block', 'From', 'To', 'Layer', 'Weighs'],
  squareIt: 'Keep these blocks',
  blocksTogether: 'All blocks',
  skinWeight: 'Skin',
  sliceIt: 'Slice it',
  made: (count: number, grams: Said) => `${count} ${count === 1 ? 'block' : 'blocks'}, ${grams}.`,
  notSquared: 'Undo: not squared after all',
  guessed: 'Guessed from its weight. Lay a ruler on it.',
  emptyByKnife: 'empty: as long as so many blocks take',
  headEnd: 'head end',
  tailEnd: 'tail'
});

export const knifeLog = /* @__PURE__ */ words({
  knives: 'Knives',
  none: 'No knife is named yet. Name one, and its strokes are counted from the slices cut with it.',
  strokes: (strokes: Said, every: Said) => `${strokes} of ${every} strokes`,
  due: 'It wants its edge.',
  never: 'Not sharpened since it was named.',
  sharpenedThen: (dayAndTime: Said, by: Said, how: Said) => `Sharpened ${dayAndTime}, ${by}, ${how}.`,
  sharpened: 'Sharpened now',
  how: 'How',
  note: 'Note',
  nameAKnife: 'Name a knife, or change one',
  name: 'Knife',
  every: 'Strokes to the next edge',
  nameIt: 'Keep this knife',
  takeOut: 'Take it out',
  withIt: 'With',
  noKnife: 'not said',
  wantsItsEdge: (name: Said, strokes: Said) => `${name} wants its edge: ${strokes} strokes since.`,
  writeItDown: 'Write down its sharpening'
});

export const handWeeks = /* @__PURE__ */ words({
  hands: 'Hands over the weeks',
  none: 'No slices were weighed yet. Weigh a row after slicing, and each hand gets a mark here.',
  picture: (name: Said, count: Said) =>
    `${name}: ${count} weighings over twelve weeks, by how far each is off what was wanted.`,
  everyWeighing: 'Every weighing',
  head: ['When', 'Cut', 'Slices', 'Off by', 'Scatter', 'In tolerance'],
  heavy: 'heavy',
  light: 'light',
  legend: 'A mark a weighing, as large as the share within a tenth of what was wanted. On the line: just right.'
});

export const togetherPage = /* @__PURE__ */ words({
  together: 'Several kinds on one plate',
  none: 'No slices lie ready.',
  sliceSome: 'Slice a block first',
  howMany: 'How many of each',
  thereAre: (left: Said) => `${left} there`,
  leftHanded: 'For a left-handed guest',
  thePlate: 'The plate',
  saySome: 'Say how many of each go on it.',
  tooManyKinds: (most: Said) => `A plate takes ${most} kinds at most here.`,
  onlySoMany: (name: Said, left: Said) => `There are only ${left} of ${name}.`,
  doNotFit: 'So many do not lie on it.',
  only: (count: Said, name: Said) => `${count} of ${name}`,
  without: (name: Said) => `Without ${name}`,
  head: ['Kind, top row first', 'Slices', 'Weighs'],
  inAll: (grams: Said) => `${grams} in all. Eaten from the top row down.`
});

export const plateWords = /* @__PURE__ */ words({
  onAPlate: 'On a plate',
  platesOf: (plates: number, each: Said) => `${plates === 1 ? 'plate' : 'plates'} of ${each}`,
  over: (over: number) => (over === 1 ? '1 slice is left over.' : `${over} slices are left over.`),
  tooMany: (most: Said) => `So many do not lie on it. ${most} do.`,
  noneLies: 'A slice is larger than the plate.',
  takeSoMany: (most: Said) => `${most} a plate`,
  overlap: (share: Said, grams: Said) => `Each lies over the next by ${share}; ${grams} a plate.`,
  loose: (grams: Said) => `${grams} a plate.`,
  fromAbove: (arrangement: Said, numbers: Said) =>
    `The plate from above, ${arrangement}: slices ${numbers} by their numbers.`,
  nextPlate: 'Next plate',
  plateNumber: (which: Said, plates: Said) => `Plate ${which} of ${plates}`,
  order: 'Several kinds on one plate: lean and pale first, rich and dark after, vinegared last.'
});

export const rulerWords = /* @__PURE__ */ words({
  printIt: 'Print the ruler, true size',
  title: (name: Said) => `Where the blade stands: ${name}`,
  slices: (pieces: Said, grams: Said, angle: Said) =>
    `${pieces} pieces of about ${grams}, blade at ${angle} from the board.`,
  zero: {
    head: 'Nought is the head end, which is cut first. Each line is where the blade meets the board.',
    tail: 'Nought is the tail end, which is cut first. Each line is where the blade meets the board.'
  },
  check: 'This bar has to be 100 mm long. If it is not, print again at actual size, not fitted to the page.'
});

export const houseStyles = /* @__PURE__ */ words({
  cuts: 'How cuts are cut here',
  head: ['Cut', 'How', 'Thick', 'Weighs', 'Blade'],
  ours: 'Ours.',
  drawn: (style: Said) => `${style}: the block from the side, with the blade’s way through it.`,
  like: (style: Said) => `Like ${style}.`,
  addOne: 'Add a cut of ours, or change one',
  keepIt: 'Keep this cut of ours',
  name: 'What we call it',
  likeWhat: 'Made like',
  takeOut: 'Take it out of the book',
  move: 'Move a range, or put a word to a cut',
  keep: 'Keep this cut so',
  cut: 'Cut',
  thinnest: 'Thinnest',
  thickest: 'Thickest',
  lightest: 'Lightest',
  heaviest: 'Heaviest',
  flattest: 'Flattest, °',
  steepest: 'Steepest, °',
  note: 'The house’s word on it',
  emptyAsUsual: 'What stays empty is as usual.',
  asUsual: 'As usual again'
});

export const blockCut = /* @__PURE__ */ words({
  fromTheSide: (pieces: Said, length: Said) => `The block from the side, ${length} mm long, cut into ${pieces} pieces.`,
  endFirst: { head: 'Head end first', tail: 'Tail end first' },
  everyCut: 'Every cut',
  cutHead: ['Slice', 'Blade at', 'Angle', 'Thick', 'Weighs', 'Pieces']
});

export const lifted = /* @__PURE__ */ words({
  ofThem: (count: Said, grams: Said) => `${count} pieces, ${grams}`,
  onItsTray: 'On its tray.',
  serveThem: 'Serve',
  tray: 'Tray',
  warmest: 'Warmest of them',
  howMany: 'How many of them',
  emptyAll: 'empty: all',
  putOnTray: 'Put them on a tray',
  howEven: 'How even they are',
  notCut: 'Undo: not cut after all'
});

export const evennessWords = /* @__PURE__ */ words({
  liftThem: 'Lift them off the pan one by one',
  keepThem: 'Keep these weights',
  weights: 'Weights',
  inOrder: 'in the order of cutting: 12.1 11.8 13',
  eachWeighing: 'On the scale at a time',
  oneSlice: 'one slice',
  fiveSlices: 'a row of five',
  withinATenth: (grams: Said) => `within a tenth of ${grams}`,
  onAverage: (share: Said) => `on average, ${share}`,
  scatter: 'scatter',
  inOrderOfCutting: (count: Said) => `${count} slices in the order of cutting, by how far each is off what was wanted.`,
  head: ['Slice', 'g', 'Off by'],
  oddOnes: (numbers: Said) => `Odd: ${numbers}. Dice them, or keep them for a bowl.`,
  heavierTowardsTheEnd: 'They get heavier towards the end.',
  lighterTowardsTheEnd: 'They get lighter towards the end.'
});

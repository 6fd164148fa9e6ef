import { said, words } from './speech.ts';
import { safety } from './safety.ts';
import type { MapId } from '../core/bench/breakdown/map-types.ts';

/** Words for cut maps: parts, uses, schools, each step and why it stands where it stands. */
export const MAP_WORDS: Record<MapId, string> = /* @__PURE__ */ words({
  round: 'Round fish',
  'four-loins': 'Tuna-like, four loins',
  side: 'Side of a salmonid',
  flatfish: 'Flatfish in four',
  'small-oily': 'Small oily fish',
  cephalopod: 'Squid, cuttlefish, octopus',
  bivalve: 'Shellfish',
  crustacean: 'Prawn, crab, lobster',
  fillet: 'Fillet or loin to blocks'
});

const PARTS: Record<string, string> = /* @__PURE__ */ words({
  'fillet-first': 'first fillet',
  'fillet-second': 'second fillet',
  belly: 'belly',
  cheeks: 'cheeks',
  collars: 'collars',
  head: 'head',
  frame: 'frame',
  'spoon-meat': 'spoon meat',
  skin: 'skin',
  'liver-roe': 'liver and roe',
  viscera: 'viscera',
  gills: 'gills',
  scales: 'scales',
  fins: 'fins',
  'back-first': 'first back loin',
  'back-second': 'second back loin',
  'belly-first': 'first belly loin',
  'belly-second': 'second belly loin',
  'dark-muscle': 'dark muscle',
  tail: 'tail',
  'pin-strip': 'pin-bone strip',
  trim: 'trim',
  'eye-back': 'eye-side back',
  'eye-belly': 'eye-side belly',
  'blind-back': 'blind-side back',
  'blind-belly': 'blind-side belly',
  'fin-edge': 'fin-edge muscle',
  'slime-scales': 'slime and scales',
  fillets: 'fillets',
  backbones: 'backbones',
  'belly-trim': 'belly trim',
  heads: 'heads',
  mantle: 'mantle',
  arms: 'arms',
  tentacles: 'long tentacles',
  ink: 'ink',
  'head-eyes': 'head and eyes',
  'quill-beak': 'quill and beak',
  membranes: 'membranes',
  meat: 'meat, or foot',
  adductor: 'adductor',
  siphon: 'siphon',
  coral: 'coral',
  liquor: 'liquor',
  shell: 'shell',
  gut: 'gut',
  'leg-meat': 'leg meat',
  roe: 'roe',
  vein: 'vein',
  'block-front': 'front block',
  'block-tail': 'tail block',
  sinew: 'sinew',
  bones: 'bones',
  'blood-line': 'blood line',
  drip: 'drip',
  other: 'other',
  '': 'unnamed part'
});
/** The name of a part; of a house's own division its own. */
export const partWord = /* @__PURE__ */ said((part: { id: string; name?: string } | string): string =>
  typeof part === 'string' ? (PARTS[part] ?? part) : (part.name?.toLowerCase() ?? PARTS[part.id] ?? part.id)
);

export const USE_WORDS: Record<string, string> = /* @__PURE__ */ words({
  '': 'not said',
  raw: 'raw',
  cure: 'cure',
  acid: 'acid',
  sear: 'sear',
  cook: 'cook',
  mince: 'mince',
  stock: 'stock',
  crisp: 'crisp',
  roe: 'roe, liver',
  other: 'other'
});
export const WASTE_WORDS: Record<string, string> = /* @__PURE__ */ words({
  viscera: 'viscera',
  gills: 'gills',
  scales: 'scales',
  head: 'head',
  frame: 'frame',
  fins: 'fins',
  skin: 'skin',
  shell: 'shell',
  bones: 'bones',
  'blood-line': 'blood line',
  trim: 'trim',
  liquor: 'liquor',
  drip: 'drip',
  other: 'other'
});

export const SCHOOL_WORDS: Record<string, { name: string; why: string }> = /* @__PURE__ */ words({
  'both-backs': { name: 'Both back cuts first', why: 'the frame still stands under the second side' },
  through: { name: 'Back strokes, then through', why: 'one side is done before the fish is turned' },
  'tail-to-head': { name: 'Guide cut, tail to head', why: 'one long run: fast on firm fish, needs a flexible blade' },
  ungutted: { name: 'Filleted ungutted', why: 'nothing of the gut touches the flesh, if the blade stays off it' },
  'lateral-line': { name: 'Along the lateral line', why: 'four loins, each lifted off the bone on its own' },
  'divide-then-skin': { name: 'Divide, then skin', why: 'short pieces are skinned without tearing' },
  'skin-then-divide': { name: 'Skin, then divide', why: 'one draw of the blade, one long skin' },
  'four-fillets': { name: 'Four fillets', why: 'from the spine outward: long blade, little left on the frame' },
  'double-fillets': { name: 'Two doubles, then split', why: 'edge to edge in one piece, for wide plates' },
  'two-fillets': { name: 'Two fillets', why: 'for salt and vinegar on both faces' },
  'opened-flat': { name: 'Opened flat', why: 'one piece; the bone lifts out whole' },
  'pull-then-open': { name: 'Pull, then open', why: 'the mantle stays whole for rings and strips' },
  'open-then-lift': { name: 'Open, then lift out', why: 'the ink and the gut are seen and stay whole' },
  hinge: { name: 'In by the hinge', why: 'the shell breaks least there' },
  side: { name: 'In by the side', why: 'quick where the lip is thin; look for chips' },
  'twist-and-peel': { name: 'Twist and peel', why: 'for raw: cold hands, no water' },
  'scald-and-pick': { name: 'Scald and pick', why: 'for kinds that are cooked before use' },
  'square-blocks': { name: 'Squared into blocks', why: 'even blocks slice even' }
});
export const CHOICE_WORDS: Record<string, string> = /* @__PURE__ */ words({
  'pin-bones': 'Pin bones',
  skin: 'Skin',
  belly: 'Belly'
});

/** Each step, and why it comes when it comes. */
export const STEP_WORDS: Record<string, { do: string; why: string }> = /* @__PURE__ */ words({
  chill: { do: 'Chill it to the bone before the first cut', why: 'cold flesh cuts clean, and every minute out counts' },
  scale: {
    do: 'Scale from tail to head, lightly',
    why: 'before it is opened, so that no scale gets inside; pressing bruises'
  },
  'gills-out': { do: 'Gills out', why: 'they spoil first' },
  'open-belly': {
    do: 'Open the belly, take out what is in it whole',
    why: 'a cut gut soils the flesh and lets larvae out'
  },
  'blood-line-out': { do: 'Brush the blood line along the spine clean', why: 'blood turns and tastes first' },
  'rinse-dry': {
    do: 'One quick cold rinse, then dry, and dry from here on',
    why: 'water left on it carries everything onto the flesh'
  },
  'rinse-brine': {
    do: 'One quick rinse in cold salt water, then dry',
    why: 'soft flesh drinks fresh water and goes pale'
  },
  'head-off-slant': {
    do: 'Head off at a slant behind the fin',
    why: 'the slant keeps the shoulder meat on the fillet'
  },
  'head-off': { do: 'Head off', why: 'the first handle to the gut' },
  'both-back-cuts': {
    do: 'Cut along the back on both sides, to the spine',
    why: 'while the fish is still firm on its frame'
  },
  'lift-first': { do: 'Lift the first side', why: 'the other side still holds the frame flat' },
  'lift-second': { do: 'Lift the second side', why: 'its back cut is there already' },
  'back-strokes': {
    do: 'Shallow strokes from the back along the spine',
    why: 'the blade feels the bone and leaves no meat'
  },
  'through-belly': { do: 'Over the spine and through to the belly', why: 'ribs are cut once, from above' },
  'turn-over': { do: 'Turn it over, the same on the other side', why: 'wipe board and blade first' },
  'guide-cut': { do: 'One shallow guiding cut along the back', why: 'the run follows it' },
  'run-tail-head': { do: 'Run from tail to head along the bone', why: 'with the grain of the ribs; saw and it tears' },
  'lift-over-gut': { do: 'Lift the sides above the ribs, away from the gut', why: 'the gut stays closed in the frame' },
  ribs: { do: 'Ribs off, thin', why: 'the belly meat under them is the richest' },
  'pin-drawn': { do: 'Draw the pin bones along their slant', why: 'keeps the piece whole; counts the bones' },
  'pin-cut-out': { do: 'Cut the pin bones out as a strip', why: 'fast and sure in soft flesh; costs the strip' },
  'belly-straight': { do: 'Belly off straight', why: 'square blocks' },
  'belly-angled': { do: 'Belly off at an angle', why: 'leaves more of the rich edge on the loin' },
  'skin-last': { do: 'Skin off last', why: 'it holds the flesh while you trim' },
  'skin-first': { do: 'Skin off first', why: 'the dark side shows while you trim' },
  'skin-on': { do: 'Skin stays on', why: 'for searing the skin, or to slow a cure from below' },
  'skin-shaved': { do: 'Shave the skin off under the scales', why: 'on thick skin it leaves the silver on the flesh' },
  'skin-strip-line': { do: 'Take a strip of skin off along the lateral line', why: 'the blade sees where it goes' },
  'line-cut': { do: 'Cut down the lateral line to the bone', why: 'parts back from belly' },
  'lift-back-loin': { do: 'Lift the back loin off the spine', why: 'the heavy one first, while all is firm' },
  'lift-belly-loin': { do: 'Lift the belly loin off the ribs', why: 'thin and rich: hold it flat' },
  'dark-off': { do: 'Dark muscle off', why: 'it turns first and tastes of iron' },
  'sinew-off': { do: 'Tough strip and sinew off', why: 'no slice is tender across it' },
  square: { do: 'Square it into blocks', why: 'even faces slice even; corners go to mince' },
  spoon: { do: 'Spoon the frame', why: 'the meat between the bones is clean and sweet' },
  'weigh-waste': { do: 'Weigh what is left, all of it', why: 'what is not weighed cannot be paid for' },
  'slime-off': { do: 'Salt and scrape the slime off both sides', why: 'a slippery fish cuts hands' },
  'spine-cut': { do: 'Cut along the spine, head to tail', why: 'both fillets of a side start there' },
  'fin-line-cut': { do: 'Cut along the line of the fin edge', why: 'keeps the edge muscle apart and whole' },
  'lift-four': { do: 'Lift each fillet from the spine outward', why: 'long strokes flat on the bone' },
  'edge-to-edge': {
    do: 'From edge to edge over the spine in one piece',
    why: 'a double fillet; the spine is felt, not seen'
  },
  'split-on-line': { do: 'Split each double on its line', why: 'back and belly differ in thickness' },
  'edge-apart': { do: 'Fin-edge muscle apart', why: 'firm and prized: its own plate' },
  divide: { do: 'Divide the side by the pattern', why: 'each cut has its own best use' },
  'thumb-open': { do: 'Open along the bone with a thumb', why: 'a blade breaks soft flesh' },
  'bone-lift': { do: 'Lift the backbone out from the tail', why: 'the fine bones come with it' },
  'peel-after-cure': { do: 'Thin skin peels off after salt and vinegar', why: 'raw it takes the silver with it' },
  'pull-head': { do: 'Pull head and gut out of the mantle', why: 'slowly: the ink sac tears' },
  'ink-apart': { do: 'Ink sac apart, or away', why: 'one drop stains all' },
  'quill-out': { do: 'Quill or bone out', why: 'it lies along the back' },
  'open-mantle': { do: 'Open the mantle flat', why: 'both faces must be seen' },
  'lift-viscera': { do: 'Lift the viscera out whole', why: 'nothing leaks onto the flesh' },
  'membranes-off': { do: 'Both membranes off', why: 'tough to the tooth, and larvae lie under them' },
  'candle-mantle': { do: 'Hold it to the light', why: safety('candling') },
  'keep-tag': { do: 'Tag stays with the container until it is empty', why: 'one lot at a time on the board' },
  tap: { do: 'Tap: what does not close goes', why: 'dead shellfish are not served' },
  scrub: { do: 'Scrub the shell cold', why: 'grit outside ends inside' },
  'hinge-in': { do: 'Blade in at the hinge, a folded cloth under it', why: 'the other hand out of its way' },
  'side-in': { do: 'Blade in at the lip', why: 'turn, do not stab' },
  'cut-adductor': { do: 'Cut the adductor close to the shell', why: 'the meat comes whole' },
  'smell-each': { do: 'Smell each one', why: 'one bad one spoils a plate' },
  'grit-look': { do: 'Look for grit and chips', why: 'rinse in its own strained liquor, not in water' },
  'peel-rings': { do: 'Peel ring by ring, tail fan last', why: 'keeps the tail whole' },
  'vein-draw': { do: 'Draw the vein', why: 'grit and gut' },
  'salt-ice-rinse': { do: 'One rinse in iced salt water, dry', why: 'fresh water makes it limp' },
  scald: { do: 'Cook through, its core read', why: safety('scald') },
  ice: { do: 'Into ice at once', why: safety('ice') },
  'pick-legs': { do: 'Legs and claws first', why: 'the sweetest and the most work' },
  'pick-body': { do: 'Then the body', why: 'feel for every wall of shell' },
  'shell-look': { do: 'Look again for shell', why: 'twice, in good light' }
});
/** What the hands at this bench should mind, whatever the fish. */
export const BENCH_SAFETY =
  'Spines and gill plates, shears and heavy blades: gloves where they bite. Clean hands, board and knife between species and between raw jobs. A cut hand is covered and gloved, or off raw work. No standing bucket unless it is changed and sanitised.';
export const FATE_WORDS: Record<string, string> = /* @__PURE__ */ words({
  served: 'served',
  here: 'still here',
  'by-product': 'by-products here',
  waste: 'waste',
  drip: 'drip and drying',
  gap: 'scale and gaps',
  binned: 'binned',
  returned: 'sent back'
});
export const PLACE_KIND_WORDS: Record<string, string> = /* @__PURE__ */ words({
  drawer: 'drawer',
  rack: 'rack',
  box: 'box',
  fridge: 'fridge',
  freezer: 'freezer',
  blast: 'blast cabinet',
  cabinet: 'ageing cabinet',
  display: 'display',
  bench: 'bench, not cold'
});
export const CAUSE_WORDS: Record<string, string> = /* @__PURE__ */ words({
  drip: 'drip',
  drying: 'drying',
  scale: 'the scale',
  uptake: 'took up water',
  other: 'other'
});

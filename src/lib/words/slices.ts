import type { Purpose, StyleId } from '../core/activity/slice/lists.ts';
import type { Arrangement } from '../core/activity/slice/plate.ts';
import type { Loss } from '../core/bench/slice/square.ts';
import type { StyleReason, TightReason } from '../core/bench/slice/recommend.ts';
import { said, words } from './speech.ts';
import { USE_WORDS } from './cuts.ts';

/** What the pieces of a style are called, after the name of the fish. */
const PIECE_WORDS: Readonly<Record<StyleId, string>> = /* @__PURE__ */ words({
  straight: 'slices',
  oblique: 'oblique slices',
  translucent: 'translucent slices',
  strips: 'strips',
  cubes: 'cubes',
  ripple: 'rippled slices',
  scored: 'scored slices',
  bias: 'bias slices'
});
export const PURPOSE_WORDS: Readonly<Record<Purpose, string>> = /* @__PURE__ */ words({
  topping: 'On rice',
  plate: 'A plate of slices',
  thin: 'A thin plate',
  dressed: 'Dressed, in a bowl'
});
/** How the blade moves: one calm line. */
export const BLADE_WORDS: Readonly<Record<StyleId, string>> = /* @__PURE__ */ words({
  straight: 'Heel to tip in one long draw towards you. No sawing, no pressing down; wipe the blade.',
  oblique: 'Blade laid over, first hand flat on the slice, one long draw; stand the blade up at the very end.',
  translucent: 'Flat blade, one long pull for each slice, thin enough that the plate shows through. Wipe every third.',
  strips: 'Score lightly first where it is chewy, then narrow straight draws across.',
  cubes: 'Long sticks first, then straight across. Every edge the same.',
  ripple: 'Laid over, and rocked two or three millimetres up and down through the draw.',
  scored: 'Skin up. First draw half-way down, the second through, in turn.',
  bias: 'Skin down on the board, long blade nearly flat, drawn from the thick end towards the tail; leave the skin.'
});
export const LAID_WORDS: Readonly<Record<StyleId, string>> = /* @__PURE__ */ words({
  straight: 'Leaning against each other, an odd number.',
  oblique: 'Over the rice, or leaning in a row.',
  translucent: 'In a round, each over a third of the one before.',
  strips: 'In a small heap, high.',
  cubes: 'In a block, or dressed at the last moment.',
  ripple: 'Overlapping, ripples up.',
  scored: 'Over the rice, skin up.',
  bias: 'Overlapping, flat on the plate.'
});
export const MISTAKE_WORDS: Readonly<Record<StyleId, string>> = /* @__PURE__ */ words({
  straight: 'Crushed edges: the blade was pushed, or is blunt.',
  oblique: 'Wedges instead of slices: the blade stood up half-way.',
  translucent: 'Torn slices: too thin for flesh that is soft by now.',
  strips: 'Curled and tough: cut along the grain.',
  cubes: 'Odd sizes: the block was not squared.',
  ripple: 'Smooth faces that slip: it was not rocked.',
  scored: 'Cut through at the first draw.',
  bias: 'Holes: the blade was steeper than the skin allows.'
});
export const WHY_STYLE: Readonly<Record<StyleReason, string>> = /* @__PURE__ */ words({
  slippery: 'it is slippery, and ripples hold the sauce',
  'chewy-thin': 'it is thin and chewy',
  'cured-side': 'a cured side holds together on its skin',
  'oily-skin-on': 'it is oily and its skin is on',
  dressed: 'it will be dressed',
  'tight-plate': 'its flesh is tight',
  'tight-topping': 'its flesh is tight, so the slice is thin',
  'soft-plate': 'its flesh is soft',
  'middle-plate': 'its flesh is neither tight nor soft',
  topping: 'it is for rice'
});
export const WHY_TIGHT: Readonly<Record<TightReason, (by: number) => string>> = /* @__PURE__ */ words({
  texture: (by: number) => (by > 0.7 ? 'firm by kind' : by > 0.4 ? 'middling by kind' : 'soft by kind'),
  rich: () => 'looser for its fat',
  'before-rigor': () => 'tighter, not stiff yet',
  stiff: () => 'tighter, stiff now',
  aged: () => 'looser for its days',
  cured: () => 'tighter for its salt',
  acid: () => 'tighter for its acid',
  thawed: () => 'looser, it was frozen'
});

const fishOf = (name: string) => name.split(',')[0]!;
/** "Turbot, translucent slices"; of a cut of the house's own, its name: "Turbot, Sunday cut". */
export const slicesName = /* @__PURE__ */ said((name: string, style: StyleId, own: string = ''): string =>
  `${fishOf(name)}, ${own === '' ? PIECE_WORDS[style] : own}`.slice(0, 80)
);
/** "Turbot, off-cut for mince". */
export const offcutName = /* @__PURE__ */ said((name: string, use: string): string =>
  (use === '' ? `${fishOf(name)}, off-cut` : `${fishOf(name)}, off-cut for ${USE_WORDS[use]}`).slice(0, 80)
);
/** "Turbot, block 2". */
export const blockName = /* @__PURE__ */ said((name: string, number: number): string =>
  `${fishOf(name)}, block ${number}`.slice(0, 80)
);
/** What is lost by squaring. */
export const LOSS_WORDS: Readonly<Record<Loss, string>> = /* @__PURE__ */ words({
  skin: 'Skin',
  dark: 'Dark strip',
  belly: 'Belly strip, thin edge',
  head: 'Head end',
  tail: 'Thin tail',
  shavings: 'Shavings from above and between'
});
/** How slices lie on a plate. */
export const ARRANGEMENT_WORDS: Readonly<Record<Arrangement, string>> = /* @__PURE__ */ words({
  row: 'Rows, each over the next',
  leaning: 'Leaning rows',
  fan: 'A round, along the rim',
  spokes: 'A round, like spokes',
  flower: 'A flower',
  mound: 'A small heap',
  block: 'A block of cubes'
});

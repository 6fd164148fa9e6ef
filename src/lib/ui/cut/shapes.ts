import type { MapId } from '../../core/bench/breakdown/map-types.ts';
import type { CutTemplate } from '../../core/activity/board/fold.ts';

/** One touchable part of a drawing. */
export interface PartShape {
  readonly d: string;
  /** Where its name stands; null where it is too small to carry one. */
  readonly at: readonly [number, number] | null;
}
export interface MapDrawing {
  /** Lines that are not parts: what makes it look like what it is. */
  readonly lines: readonly string[];
  readonly parts: Readonly<Record<string, PartShape>>;
}
export const VIEW = { width: 640, height: 300 } as const;

const part = (d: string, x?: number, y?: number): PartShape => ({
  d,
  at: x === undefined || y === undefined ? null : [x, y]
});
const oval = (x: number, y: number, rx: number, ry = rx) =>
  `M${x - rx} ${y} A${rx} ${ry} 0 1 1 ${x + rx} ${y} A${rx} ${ry} 0 1 1 ${x - rx} ${y} Z`;

/** Drawn by hand for this product: near side in front, far side as a strip behind it. */
export const DRAWINGS: Readonly<Record<MapId, MapDrawing>> = {
  round: {
    lines: ['M118 118 m-7 0 a7 7 0 1 0 14 0 a7 7 0 1 0 -14 0', 'M42 160 Q62 166 84 160', 'M215 150 H536'],
    parts: {
      'fillet-second': part('M214 56 Q340 16 534 116 L534 128 Q340 34 212 70 Z', 330, 44),
      'fillet-first': part('M212 72 Q340 38 536 132 L536 150 H436 Q330 178 206 172 Q200 120 212 72 Z', 330, 110),
      belly: part('M206 222 Q320 262 452 206 L520 168 L444 158 Q420 214 208 210 Z', 400, 214),
      viscera: part('M208 180 Q270 176 330 182 Q330 206 208 206 Z', 262, 199),
      'liver-roe': part('M336 182 Q384 178 428 166 Q410 200 336 205 Z'),
      collars: part('M172 74 L208 70 Q194 146 204 226 L162 222 Q186 148 172 74 Z', 190, 160),
      gills: part('M160 96 Q178 148 156 204 Q140 150 160 96 Z'),
      head: part('M36 156 Q78 92 158 76 L168 76 Q134 150 152 222 Q72 214 36 156 Z', 92, 190),
      cheeks: part(oval(112, 158, 19, 17)),
      frame: part('M210 146 H536 V154 H210 Z M250 138 v24 M290 136 v28 M330 136 v28 M370 138 v24 M410 140 v20'),
      'spoon-meat': part(oval(476, 150, 26, 9)),
      fins: part(
        'M536 132 L612 74 Q592 148 612 224 L536 158 Z M262 34 Q320 2 404 44 L390 46 Q322 24 270 42 Z',
        580,
        150
      ),
      skin: part('M452 250 Q512 236 560 190 Q566 214 528 246 Q492 272 452 264 Z', 530, 268),
      scales: part('M236 264 q14 -16 28 0 q14 -16 28 0 q14 -16 28 0 v14 q-42 10 -84 0 Z', 278, 294)
    }
  },
  'four-loins': {
    lines: ['M106 128 m-7 0 a7 7 0 1 0 14 0 a7 7 0 1 0 -14 0', 'M34 152 Q56 160 82 152'],
    parts: {
      'back-second': part('M196 42 Q330 10 500 112 L500 122 Q330 28 192 60 Z', 300, 34),
      'back-first': part('M192 62 Q330 34 502 126 L502 138 Q350 136 186 136 Q184 96 192 62 Z', 320, 100),
      'dark-muscle': part('M186 138 Q350 138 502 140 V156 Q350 162 186 162 Z', 344, 155),
      'belly-first': part('M186 164 Q350 164 502 158 Q380 238 236 246 Q194 208 186 164 Z', 350, 200),
      'belly-second': part('M240 250 Q382 244 504 164 L512 166 Q400 262 250 266 Z', 400, 258),
      viscera: part('M196 206 Q240 196 292 206 Q286 236 238 242 Q206 226 196 206 Z', 242, 224),
      frame: part('M186 146 H502 V152 H186 Z'),
      'spoon-meat': part(oval(450, 149, 26, 8)),
      collars: part('M152 70 L188 62 Q176 146 196 212 Q190 236 176 238 L148 222 Q170 148 152 70 Z', 166, 176),
      gills: part('M140 94 Q158 146 138 200 Q124 148 140 94 Z'),
      head: part('M28 150 Q64 90 138 74 L148 72 Q118 148 138 220 Q64 208 28 150 Z', 78, 184),
      cheeks: part(oval(102, 156, 18, 16)),
      tail: part('M504 128 L548 140 V154 L504 164 Z'),
      fins: part(
        'M550 138 Q590 96 622 60 Q600 148 622 236 Q590 200 550 158 Z M330 30 Q352 -2 386 4 Q366 26 372 44 Z',
        592,
        150
      ),
      skin: part('M452 276 Q512 268 566 226 Q566 252 520 276 Q484 292 452 290 Z', 520, 296)
    }
  },
  side: {
    lines: [],
    parts: {
      skin: part('M44 262 Q320 238 600 212 L606 222 Q320 250 46 276 Z', 150, 272),
      'pin-strip': part('M60 118 Q240 122 420 140 L420 148 Q240 132 60 130 Z', 250, 146),
      'dark-muscle': part('M60 150 Q320 152 580 150 V158 Q320 162 60 160 Z'),
      trim: part('M470 250 l34 -14 l10 16 l30 -12 l4 18 l-66 18 Z', 560, 278)
    }
  },
  flatfish: {
    lines: [
      'M30 150 H300',
      'M350 150 H610',
      'M70 118 m-6 0 a6 6 0 1 0 12 0 a6 6 0 1 0 -12 0',
      'M88 104 m-6 0 a6 6 0 1 0 12 0 a6 6 0 1 0 -12 0'
    ],
    parts: {
      'fin-edge': part(
        'M100 62 Q180 26 262 84 L284 112 L272 116 Q186 48 106 76 Z M100 238 Q180 274 262 216 L284 188 L272 184 Q186 252 106 224 Z',
        190,
        46
      ),
      'eye-back': part('M110 80 Q190 56 270 120 L292 147 H110 Z', 188, 112),
      'eye-belly': part('M140 153 H292 L270 180 Q190 244 110 220 L118 200 Q136 182 140 153 Z', 204, 192),
      viscera: part('M108 156 H134 Q130 182 112 204 Q96 186 108 156 Z', undefined, undefined),
      head: part('M24 150 Q40 84 104 66 L106 232 Q40 216 24 150 Z', 60, 190),
      cheeks: part(oval(82, 150, 15, 14)),
      gills: part('M94 84 Q104 100 98 122 Q88 104 94 84 Z'),
      frame: part('M294 140 L322 118 Q316 150 322 182 L294 160 Z M108 148 H294 V152 H108 Z'),
      'blind-back': part('M372 147 Q420 66 520 84 L574 120 L604 147 Z', 478, 122),
      'blind-belly': part('M372 153 H604 L574 180 L520 216 Q420 234 372 153 Z', 478, 186),
      fins: part(
        'M366 134 Q418 42 528 62 L590 104 L582 112 Q516 74 432 96 Q390 112 378 140 Z M366 166 Q418 258 528 238 L590 196 L582 188 Q516 226 432 204 Q390 188 378 160 Z',
        470,
        58
      ),
      'liver-roe': part(oval(356, 272, 30, 13), 356, 277),
      skin: part('M420 268 Q500 250 590 262 L596 274 Q500 268 424 284 Z', 508, 294),
      'slime-scales': part('M180 266 q14 -16 28 0 q14 -16 28 0 q14 -16 28 0 v12 q-42 12 -84 0 Z', 222, 296)
    }
  },
  'small-oily': {
    lines: ['M96 84 m-5 0 a5 5 0 1 0 10 0 a5 5 0 1 0 -10 0', 'M150 82 H320', 'M150 130 H320'],
    parts: {
      heads: part('M50 88 Q72 52 132 46 Q122 88 132 126 Q72 122 50 88 Z', 84, 116),
      fillets: part('M136 46 Q240 26 366 82 L372 88 Q240 148 136 126 Q126 88 136 46 Z', 240, 76),
      viscera: part('M140 104 Q180 100 216 110 Q190 132 140 124 Z'),
      'belly-trim': part('M220 112 Q270 112 306 108 Q270 134 212 132 Z'),
      scales: part('M390 60 q12 -14 24 0 q12 -14 24 0 q12 -14 24 0 v10 q-36 10 -72 0 Z', 426, 92),
      skin: part('M496 54 Q560 42 612 66 L608 78 Q560 56 500 70 Z', 552, 94),
      backbones: part(
        'M130 216 H420 V224 H130 Z M170 200 v40 M210 198 v44 M250 200 v40 M290 202 v36 M330 206 v28',
        270,
        260
      ),
      'liver-roe': part(oval(520, 220, 48, 18), 520, 225)
    }
  },
  cephalopod: {
    lines: ['M392 138 m-6 0 a6 6 0 1 0 12 0 a6 6 0 1 0 -12 0', 'M392 168 m-6 0 a6 6 0 1 0 12 0 a6 6 0 1 0 -12 0'],
    parts: {
      fins: part('M40 152 Q92 70 176 86 L150 118 Q96 132 74 152 Q96 172 150 186 L176 218 Q92 236 40 152 Z', 104, 108),
      mantle: part(
        'M76 152 Q130 112 210 100 Q300 90 352 98 Q366 152 352 206 Q300 214 210 204 Q130 192 76 152 Z',
        214,
        136
      ),
      viscera: part('M220 170 Q286 160 340 172 Q330 196 226 192 Z', 282, 184),
      ink: part('M316 146 q14 -14 28 0 q-14 14 -28 0 Z'),
      'quill-beak': part('M100 150 H300 L300 156 H100 Z'),
      'head-eyes': part('M360 104 Q412 98 432 122 Q440 152 432 184 Q412 208 360 202 Q372 152 360 104 Z', 404, 156),
      arms: part(
        'M438 124 Q500 106 548 118 L548 130 Q500 122 440 140 Z M440 146 Q508 140 560 148 L560 160 Q508 156 440 164 Z M438 170 Q500 178 548 176 L546 190 Q500 196 434 184 Z',
        500,
        136
      ),
      tentacles: part(
        'M434 112 Q520 70 616 84 L618 94 Q520 84 438 122 Z M434 192 Q520 232 616 218 L618 208 Q520 218 440 184 Z',
        560,
        76
      ),
      membranes: part('M90 252 Q170 236 262 248 L266 260 Q170 250 92 266 Z', 176, 284),
      trim: part('M350 250 l34 -12 l12 16 l32 -10 l4 18 l-74 14 Z', 390, 288)
    }
  },
  bivalve: {
    lines: ['M330 118 L338 130'],
    parts: {
      shell: part('M330 130 Q250 20 130 60 Q30 110 70 190 Q130 260 240 220 Q310 190 330 130 Z', 110, 130),
      mantle: part('M338 130 Q420 24 534 62 Q626 112 588 192 Q530 262 424 220 Q352 188 338 130 Z', 560, 110),
      meat: part('M386 142 Q450 76 520 104 Q562 140 528 184 Q470 212 416 186 Q388 170 386 142 Z', 478, 176),
      adductor: part(oval(426, 134, 26, 24), 426, 138),
      coral: part('M466 112 Q498 100 520 122 Q506 138 478 134 Q464 126 466 112 Z', 494, 124),
      siphon: part('M540 170 Q590 190 620 236 L602 250 Q566 216 522 196 Z', 590, 256),
      gut: part(oval(500, 152, 20, 11)),
      liquor: part('M180 262 Q220 232 262 262 Q262 290 220 292 Q182 290 180 262 Z', 221, 278)
    }
  },
  crustacean: {
    lines: ['M136 118 m-6 0 a6 6 0 1 0 12 0 a6 6 0 1 0 -12 0', 'M110 120 Q60 70 26 66', 'M108 128 Q54 104 20 112'],
    parts: {
      head: part('M104 138 Q130 80 226 84 Q246 118 236 164 Q160 178 104 138 Z', 180, 124),
      gills: part('M196 138 Q220 130 232 140 Q230 160 208 162 Q196 154 196 138 Z'),
      tail: part('M240 88 Q370 70 470 132 Q512 166 520 206 L494 214 Q420 168 240 166 Q250 122 240 88 Z', 352, 122),
      vein: part('M246 92 Q370 78 464 136 L458 142 Q370 88 246 100 Z'),
      shell: part('M500 216 L524 208 Q566 226 588 262 L560 252 L552 280 L528 252 L508 268 Z', 566, 220),
      'leg-meat': part(
        'M252 176 l-10 52 l10 2 l14 -52 Z M292 176 l-6 56 l10 1 l10 -56 Z M332 178 l0 52 l10 0 l4 -50 Z M372 184 l6 46 l10 -2 l-4 -42 Z M412 194 l10 38 l10 -3 l-8 -32 Z',
        330,
        254
      ),
      roe: part('M300 150 Q350 144 396 160 Q350 168 302 164 Z', 348, 162),
      liquor: part('M120 232 Q150 206 182 232 Q182 256 150 258 Q120 256 120 232 Z', 151, 248)
    }
  },
  fillet: {
    lines: ['M36 64 Q190 40 330 58 Q480 80 592 132 Q604 144 590 152 Q500 196 316 216 Q160 236 52 158 Q30 110 36 64 Z'],
    parts: {
      'block-front': part('M70 70 Q200 58 320 74 L320 126 H66 Q64 96 70 70 Z', 190, 102),
      'block-tail': part('M326 76 Q450 92 560 128 L560 132 L326 126 Z', 418, 116),
      'pin-strip': part('M64 130 H320 V142 H64 Z', 110, 141),
      'dark-muscle': part('M324 132 L572 138 V148 L324 144 Z', 450, 145),
      belly: part('M62 148 H320 Q300 204 180 216 Q86 210 62 148 Z', 180, 184),
      trim: part('M326 150 Q450 152 580 150 Q500 184 306 210 Q322 180 326 150 Z', 400, 176),
      sinew: part('M40 72 L62 70 Q56 108 58 146 L40 144 Z', undefined, undefined),
      skin: part('M70 250 Q320 232 590 216 L594 228 Q320 246 72 264 Z', 320, 262)
    }
  }
};

/** Parts that lie on larger ones: drawn after them, so that they can be seen and touched. */
const ON_TOP = new Set(
  'cheeks gills spoon-meat liver-roe viscera frame dark-muscle pin-strip ink quill-beak coral adductor gut vein roe'.split(
    ' '
  )
);
/** The order in which parts are drawn. */
export const drawnLast = <Part extends { readonly id: string }>(parts: readonly Part[]): Part[] =>
  [...parts].sort((a, b) => Number(ON_TOP.has(a.id)) - Number(ON_TOP.has(b.id)));

/** The outline a salmonid side is drawn with, at a share of its length: upper and lower edge. */
const edge = (at: number) => {
  const half = 1 - 0.62 * at ** 2.2;
  return { x: 40 + at * 560, top: 70 + (1 - half) * 62, bottom: 232 - (1 - half) * 92 };
};
/** Line between back and belly, from the lower edge, as a share of the height. */
const BELLY_LINE = 0.32;

/** One cut of a side as a shape. */
export function sideShape({ from, to, band }: CutTemplate['parts'][number]): PartShape {
  const steps = 16;
  const gap = 0.004;
  const along = Array.from({ length: steps + 1 }, (_, index) => from + gap + ((to - from - 2 * gap) * index) / steps);
  const split = (at: number) => edge(at).bottom - (edge(at).bottom - edge(at).top) * BELLY_LINE;
  const upper = (at: number) => (band === 'belly' ? split(at) + 2 : edge(at).top);
  const lower = (at: number) => (band === 'back' ? split(at) - 2 : edge(at).bottom);
  const there = along.map((at) => `${edge(at).x.toFixed(1)} ${upper(at).toFixed(1)}`);
  const back = [...along].reverse().map((at) => `${edge(at).x.toFixed(1)} ${lower(at).toFixed(1)}`);
  const middle = (from + to) / 2;
  return {
    d: `M${[...there, ...back].join(' L')} Z`,
    at: [edge(middle).x, (upper(middle) + lower(middle)) / 2 + 5]
  };
}

/** The drawing of a map; of a side, with the division that is followed. */
export function drawingOf(map: MapId, division: CutTemplate['parts']): MapDrawing {
  if (map !== 'side') return DRAWINGS[map];
  const cuts = Object.fromEntries(division.map((cut) => [cut.id, sideShape(cut)]));
  return { lines: DRAWINGS.side.lines, parts: { ...cuts, ...DRAWINGS.side.parts } };
}

import { cotangent } from './block.ts';
import { onCurve, type SliceStyle } from './styles.ts';

/** A cut drawn on a block from the side: lines in mm, the board at 0, the head end at 0. */
export interface Sketch {
  readonly length: number;
  readonly height: number;
  /** Where its skin is, if it is cut with it. */
  readonly skin: 'above' | 'below' | null;
  readonly lines: readonly SketchLine[];
}
export interface SketchLine {
  readonly points: readonly (readonly [at: number, up: number])[];
  /** It does not go through. */
  readonly isScore: boolean;
}

/** Size of the block that is drawn: any that shows a few slices. A side that is carved lies lower. mm */
const LENGTH = 72;
const HEIGHT = 26;
const SIDE_HEIGHT = 18;
/** What the blade leaves on the skin, and how it is rocked: half so far, once in so many mm (two or three from crest to trough). */
const ON_SKIN = 1;
const ROCK = { half: 1.2, every: 6, steps: 24 } as const;
const TIGHTNESS = 0.5;

/** A blade's way from the board, or from the skin, up through the block. */
function pathOf(style: SliceStyle, angle: number, at: number, from: number, height: number): SketchLine['points'] {
  const lean = cotangent(angle);
  const end = (up: number): readonly [number, number] => [at + up * lean, up];
  if (style.blade !== 'rocked') return [end(from), end(height)];
  // Whole swings: it comes out where it would come out unrocked.
  const swings = Math.max(1, Math.round((height - from) / ROCK.every));
  return Array.from({ length: ROCK.steps + 1 }, (_, step) => {
    const up = from + ((height - from) * step) / ROCK.steps;
    const aside = ROCK.half * Math.sin((2 * Math.PI * swings * step) / ROCK.steps);
    return [at + up * lean + aside, up] as const;
  });
}

/**
 * How a cut is made, as it begins for middling flesh: the blade at its angle, as far apart as the slices are thick.
 */
export function sketchOf(style: SliceStyle): Sketch {
  const angle = onCurve(style.angle, TIGHTNESS);
  const mm = onCurve(style.thickness, TIGHTNESS);
  // Under a flat blade it is drawn lower, so that a few slices show.
  const most = LENGTH / 2 / Math.max(cotangent(angle), 1e-6);
  const height = Math.min(most, style.skin === 'down' ? SIDE_HEIGHT : HEIGHT);
  const from = style.skin === 'down' ? ON_SKIN : 0;
  const apart = mm / Math.sin((angle * Math.PI) / 180);
  const margin = style.blade === 'rocked' ? ROCK.half : 0;
  const last = LENGTH - height * cotangent(angle) - margin;
  const lines: SketchLine[] = [];
  for (let at = apart; at <= last; at += apart) {
    // Scored half-way down in the middle of every slice.
    if (style.id === 'scored') {
      const middle = at - apart / 2;
      lines.push({ points: pathOf(style, angle, middle, height / 2, height), isScore: true });
    }
    lines.push({ points: pathOf(style, angle, at, from, height), isScore: false });
  }
  if (style.cubes) {
    for (let up = mm; up < height; up += mm) {
      lines.push({
        points: [
          [0, up],
          [LENGTH, up]
        ],
        isScore: false
      });
    }
  }
  const skin = style.skin === 'on' ? 'above' : style.skin === 'down' ? 'below' : null;
  return { length: LENGTH, height, skin, lines };
}

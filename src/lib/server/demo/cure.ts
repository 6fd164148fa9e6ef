import { TANK_CHAR } from './farm.ts';
import type { DemoTools } from './tools.ts';

/** Sides of last week's char: hours ago they went in, how long they lay, what they weighed and how they came out. */
const SIDES = [
  {
    name: 'Char side, Monday',
    from: 186,
    hours: 36,
    mass: 880,
    after: 0.955,
    salt: '2.1 %',
    where: 'mean',
    taste: 4,
    tasted: 'right'
  },
  {
    name: 'Char side, Tuesday',
    from: 170,
    hours: 48,
    mass: 820,
    after: 0.948,
    salt: '1.1 %',
    where: 'middle',
    taste: 5,
    tasted: 'right'
  },
  {
    name: 'Char tail end',
    from: 168,
    hours: 20,
    mass: 410,
    after: 0.938,
    salt: '4.4 %',
    where: 'mean',
    taste: 2,
    tasted: 'high'
  }
] as const;

/** Cures of the last week that came out and were weighed, so that the next forecast leans on something. */
export function curesOf({ step, receive, paper, daysAgo, grams, celsius, pieces }: DemoTools): void {
  receive('char-week', 190, 'p1', {
    ...TANK_CHAR,
    supplierLot: 'SK-3302',
    caughtOn: daysAgo(9),
    mass: grams(5200),
    core: celsius(1.2),
    pricePerKg: 19.5,
    thickness: '50 mm'
  });
  paper('char-week', 189.8, {
    type: 'feed-statement',
    issuer: 'Skarnes Tank Farm',
    reference: 'FS-2240',
    expiresOn: daysAgo(-180),
    formulatedFeed: true,
    raised: true,
    fromEmbryos: true,
    noHazardVerified: true
  });
  for (const [index, side] of SIDES.entries()) {
    const key = `char-week-${index}`;
    const isTail = index === 2;
    step(
      side.from + 1,
      'p1',
      'divide-piece',
      () => ({
        piece: pieces['char-week'],
        name: side.name,
        form: 'fillet',
        mass: `${side.mass} g`,
        thickness: isTail ? '16 mm' : '27 mm'
      }),
      (result) => {
        pieces[key] = String(result.piece);
      }
    );
    step(side.from, 'p2', 'start-cure', () => ({
      piece: pieces[key],
      method: isTail ? 'cover' : 'weighed',
      thickness: isTail ? '16 mm' : '27 mm',
      thin: isTail ? '7 mm' : '9 mm',
      faces: 1,
      celsius: '3 C',
      salt: isTail ? '6 %' : '2.4 %',
      sugar: isTail ? '6 %' : '1 %',
      hours: `${side.hours} h`,
      target: '1.2 %',
      place: 'Drawer 2'
    }));
    step(side.from - side.hours - 0.5, 'p2', 'end-cure', () => ({
      piece: pieces[key],
      massAfter: `${Math.round(side.mass * side.after)} g`,
      taste: side.taste,
      saltTaste: side.tasted,
      saltReading: side.salt,
      saltWhere: side.where,
      note: isTail ? 'the thin end was leather' : 'firm, clear through'
    }));
    step(119 - index, 'p2', 'serve-piece', () => ({
      piece: pieces[key],
      route: 'cured',
      mass: `${Math.round(side.mass * side.after)} g`,
      dish: 'char, mustard, rye'
    }));
  }
  step(104, 'p1', 'discard-piece', () => ({
    piece: pieces['char-week'],
    reason: 'frame and head to stock',
    all: true
  }));
  step(100, 'p2', 'note-recipe', () => ({
    id: 'weighed-at-two',
    note: 'for char a shade more salt, 2.4 %, and a third less sugar'
  }));
}

/** Halibut dice for the first sitting, in lime since a quarter of an hour. */
export function diceOf({ step, pieces }: DemoTools): void {
  step(
    0.4,
    'p2',
    'divide-piece',
    () => ({
      piece: pieces['halibut-block'],
      name: 'Halibut dice',
      form: 'portion',
      mass: '160 g',
      thickness: '12 mm'
    }),
    (result) => {
      pieces['halibut-dice'] = String(result.piece);
    }
  );
  step(0.25, 'p2', 'start-acid', () => ({
    piece: pieces['halibut-dice'],
    cut: 'dice',
    size: '12 mm',
    celsius: '4 C',
    liquid: 'lime 95, orange 20, oil 10',
    wanted: 'rimmed',
    later: 'set',
    salt: '1.5 %',
    place: 'Drawer 1',
    also: 'Celery'
  }));
}

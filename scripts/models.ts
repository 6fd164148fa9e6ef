/** Makes docs/models.md, "What the models say", by running them on everyday cases. `npm run models`. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { acidBand, acidPlan, lookAt, type AcidSettings } from '../src/lib/core/bench/acid/plan.ts';
import { housePrior, type Hanging } from '../src/lib/core/bench/age/fit.ts';
import { ageForecast } from '../src/lib/core/bench/age/forecast.ts';
import { daysToTenfold } from '../src/lib/core/bench/cure/guards.ts';
import { cureBand, type CureSettings } from '../src/lib/core/bench/cure/plan.ts';
import { forecast, type FreezerPlan } from '../src/lib/core/bench/freeze/forecast.ts';
import { thaw, type ThawInput } from '../src/lib/core/bench/freeze/thaw.ts';
import { evenBlock } from '../src/lib/core/bench/slice/block.ts';
import { cutList } from '../src/lib/core/bench/slice/cuts.ts';
import { fleshDensity } from '../src/lib/core/bench/slice/settings.ts';
import { MODEL_VERSION } from '../src/lib/core/bench/model.ts';
import { eatingLifeSeconds } from '../src/lib/core/fish/freshness.ts';
import type { Band } from '../src/lib/core/random.ts';

export const MODELS_PAGE = join(import.meta.dirname, '..', 'docs', 'models.md');

export interface ModelCase {
  readonly bench: string;
  readonly what: string;
  /** What is said, in its unit. */
  readonly said: number;
  readonly unit: string;
  readonly band: { readonly low: number; readonly high: number } | null;
  /** What a cook, or the paper, would say; and where from. */
  readonly usual: readonly [number, number];
  readonly source: string;
}

const scaled = (band: Band | null, by: number) => band && { low: band.low * by, high: band.high * by };

/** A side as cooks speak of it: a kilogram, 28 mm, skin on, equal parts, two days. */
export const SIDE: CureSettings = {
  method: 'cover',
  grams: 1000,
  thicknessMm: 28,
  faces: 1,
  celsius: 4,
  fat: 'mid',
  thawed: false,
  salt: 0.06,
  sugar: 0.06,
  hours: 48,
  target: 0.01
};
function cures(): ModelCase[] {
  const bench = 'Cure';
  const salt = (what: string, settings: CureSettings, usual: ModelCase['usual'], source: string): ModelCase => {
    const { low, likely, high } = cureBand(settings).meanSaltPercent;
    return { bench, what, said: likely, unit: '% salt', band: { low, high }, usual, source };
  };
  const loss = (what: string, settings: CureSettings, usual: ModelCase['usual'], source: string): ModelCase => {
    const { low, likely, high } = cureBand(settings).gramsAfter;
    const lost = (grams: number) => (100 * (settings.grams - grams)) / settings.grams;
    return {
      bench,
      what,
      said: lost(likely),
      unit: '% lost',
      band: { low: lost(high), high: lost(low) },
      usual,
      source
    };
  };
  const cod: CureSettings = {
    ...SIDE,
    method: 'desalt',
    salt: 0.18,
    sugar: 0,
    thicknessMm: 25,
    faces: 2,
    fat: 'lean',
    hours: 8,
    changes: 3,
    bathTimes: 5
  };
  const brine: CureSettings = { ...SIDE, method: 'brine', salt: 0.05, sugar: 0, hours: 12, thicknessMm: 25, faces: 2 };
  const weighed: CureSettings = {
    ...SIDE,
    method: 'weighed',
    salt: 0.025,
    sugar: 0.01,
    thicknessMm: 15,
    faces: 2,
    hours: 96
  };
  return [
    salt(
      'A side of 28 mm, skin on, under 6 % salt and 6 % sugar for 48 h',
      SIDE,
      [3, 4],
      'a salt meter in the mixed slice; kitchens read 3-4 % (check)'
    ),
    loss('The same, weighed after', SIDE, [6, 9], 'the scale before and after (check)'),
    loss(
      'The same side under half its weight of salt and half of sugar, 48 h',
      { ...SIDE, salt: 0.5, sugar: 0.5 },
      [12, 20],
      'Collignan and Raoult-Wack 1994, osmotic salting and drying (check)'
    ),
    salt(
      'Portions of 25 mm, both faces, in 5 % brine for 12 h',
      brine,
      [1, 1.5],
      'a salt meter; kitchens read 1-1.5 % (check)'
    ),
    salt(
      'A fillet of 15 mm weighed with 2.5 % salt and 1 % sugar, evened out in 4 days',
      weighed,
      [2.4, 2.6],
      'the sum of what was laid on and what ran off'
    ),
    salt(
      'Dried salt cod of 25 mm (18 % salt) in three waters of five times its weight, 8 h each',
      cod,
      [3, 5],
      'tasted from the middle; 3-5 % (check)'
    )
  ];
}

const FILLET: AcidSettings = {
  cut: 'fillet',
  sizes: [25],
  faces: 2,
  grams: 400,
  celsius: 7,
  liquid: [{ what: 'sour', id: 'lime', ml: 300 }],
  measuredPH: null,
  dark: false,
  wanted: 'kissed',
  pace: 1
};
function acids(): ModelCase[] {
  const bench = 'Acid';
  const minutes = (what: string, settings: AcidSettings, usual: ModelCase['usual'], source: string): ModelCase => ({
    bench,
    what,
    said: acidPlan(settings).readySeconds! / 60,
    unit: 'min',
    band: scaled(acidBand(settings).readySeconds, 1 / 60),
    usual,
    source
  });
  const dice = { ...FILLET, cut: 'dice', sizes: [7.5], celsius: 5 } as const;
  const twelve = acidPlan({ ...dice, sizes: [12], wanted: 'half' });
  return [
    minutes(
      'A fillet of 25 mm kissed in lime (a rim of 0.3 mm)',
      FILLET,
      [0.5, 0.65],
      'x = 2 λ √(D t) of a flat face (Crank 1975, 13.2): 34 s'
    ),
    minutes('Dice of 7.5 mm in lime, rimmed', { ...dice, wanted: 'rimmed' }, [8, 13], 'cut one open at ten minutes'),
    minutes(
      'The same dice, white half the way in',
      { ...dice, wanted: 'half' },
      [25, 35],
      'cut one open at half an hour'
    ),
    minutes(
      'Dice of 10 mm, set through',
      { ...dice, sizes: [10], wanted: 'set' },
      [100, 200],
      'white to the middle in two to three hours (check)'
    ),
    {
      bench,
      what: 'Dice of 12 mm in lime after 10 minutes, still raw',
      said: 100 * lookAt(twelve, 600).raw,
      unit: '% of it',
      band: null,
      usual: [45, 60],
      source: 'a cut face under the light; the edges go first'
    }
  ];
}

const LOAD: FreezerPlan = {
  thicknessMm: 25,
  shape: 'slab',
  startCelsius: 2,
  airCelsius: -25,
  airClass: 'fan',
  packing: 'film',
  loadGrams: null,
  litres: null,
  watts: null
};
function freezing(): ModelCase[] {
  const bench = 'Freeze';
  const hours = (
    what: string,
    plan: FreezerPlan,
    target: number,
    usual: ModelCase['usual'],
    source: string
  ): ModelCase => {
    const { arrival } = forecast(plan, target);
    return { bench, what, said: arrival!.likely / 3600, unit: 'h', band: scaled(arrival, 1 / 3600), usual, source };
  };
  const PHAM = 'Pham 1986, int. J. Refrig. 9, 281; a probe in the middle';
  return [
    hours('A fillet of 25 mm in film, fan at -25 °C, to -20 °C', LOAD, -20, [2.5, 5], PHAM),
    hours(
      'A side of 40 mm in film, still chest at -25 °C, to -20 °C',
      { ...LOAD, thicknessMm: 40, airClass: 'still' },
      -20,
      [9, 24],
      PHAM
    ),
    hours(
      'Four bags of 25 mm stacked in that chest',
      { ...LOAD, airClass: 'still', stack: 4 },
      -20,
      [30, 80],
      `${PHAM}, as one block of 100 mm`
    ),
    hours(
      'A block of 30 mm bare, blast at -38 °C, to -18 °C',
      { ...LOAD, thicknessMm: 30, airCelsius: -38, airClass: 'blast', packing: 'bare' },
      -18,
      [0.8, 2.5],
      PHAM
    ),
    hours(
      'A loin of 80 mm in a box, fan at -30 °C, to -20 °C',
      { ...LOAD, thicknessMm: 80, airCelsius: -30, packing: 'boxed', shape: 'cylinder' },
      -20,
      [6, 14],
      PHAM
    )
  ];
}

function thawing(): ModelCase[] {
  const bench = 'Thaw';
  const input: ThawInput = {
    method: 'cold',
    thicknessMm: 25,
    shape: 'slab',
    startCelsius: -20,
    mediumCelsius: 3,
    airClass: 'fridge',
    packing: 'film'
  };
  const hours = (what: string, more: Partial<ThawInput>, usual: ModelCase['usual'], source: string): ModelCase => {
    const { arrival } = thaw({ ...input, ...more });
    return { bench, what, said: arrival!.likely / 3600, unit: 'h', band: scaled(arrival, 1 / 3600), usual, source };
  };
  return [
    hours('A portion of 25 mm in film, fridge at 3 °C', {}, [10, 24], 'overnight, as kitchens have it (check)'),
    hours('A side of 40 mm, the same fridge', { thicknessMm: 40 }, [18, 40], 'a night and half a day (check)'),
    hours('A block of 60 mm, the same fridge', { thicknessMm: 60 }, [28, 64], 'a day and a half to two (check)'),
    hours(
      'A portion of 25 mm in its bag under water of 12 °C',
      { method: 'water', mediumCelsius: 12 },
      [0.5, 1.5],
      'an hour, by the finger (check)'
    ),
    hours('The same in a cabinet with a fan at 3 °C', { airClass: 'fan' }, [6, 15], 'a working day (check)')
  ];
}

function ageing(): ModelCase[] {
  const bench = 'Age';
  const turbot: Hanging = { kind: 'whole', grams: 3200, celsius: 2, humidity: 0.8 };
  const lost = (what: string, hanging: Hanging, day: number, usual: ModelCase['usual']): ModelCase => {
    const { loss } = ageForecast([{ day: 0, grams: hanging.grams }], housePrior(hanging, []), 0.1, day, 1);
    return {
      bench,
      what,
      said: 100 * loss.likely,
      unit: '% lost',
      band: scaled(loss, 100),
      usual,
      source: 'the scale; 0.7-2 % a day at first (check)'
    };
  };
  const tenfold = (celsius: number, usual: ModelCase['usual']): ModelCase => ({
    bench,
    what: `*Listeria* on its face at ${celsius} °C, a tenfold rise if it is there (aw 0.99, pH 6.4)`,
    said: daysToTenfold(celsius, 0.99, 6.4),
    unit: 'd',
    band: null,
    usual,
    source: 'Mejlholm and Dalgaard 2009, J. Food Prot. 72; no permission'
  });
  return [
    lost('A turbot of 3.2 kg, 2 °C and 80 % humidity, first day', turbot, 1, [0.7, 2]),
    lost('The same after a week', turbot, 7, [4.5, 11]),
    lost('A fish of 600 g, the same air, first day', { ...turbot, grams: 600 }, 1, [1, 3.5]),
    tenfold(2, [8.5, 9.5]),
    tenfold(4, [4.2, 4.8])
  ];
}

function knife(): ModelCase[] {
  const bench = 'Slice';
  const block = evenBlock(180, 30, 70);
  const SOURCE = 'plane geometry, flesh of 1.05 g/ml: weigh five';
  const cut = (angle: number, mm: number) => {
    const way = { angle, skew: 0, flattest: angle, least: 0.5, most: 60, cubes: false };
    const rows = [{ aim: { by: 'thickness', mm } as const, way, count: null }];
    return cutList({ block, density: fleshDensity('mid'), rows, first: 'head', tail: 0 });
  };
  const straight = cut(90, 6);
  const oblique = cut(45, 4);
  const one = (what: string, said: number, unit: string, usual: ModelCase['usual']): ModelCase => ({
    bench,
    what,
    said,
    unit,
    band: null,
    usual,
    source: SOURCE
  });
  return [
    one('A block of 180 × 30 × 70 mm cut straight at 6 mm', straight.pieces, 'slices', [30, 30]),
    one('One of them', straight.slices[0]!.gramsEach, 'g', [13, 13.5]),
    one('The same block at 45°, 4 mm', oblique.pieces, 'slices', [26, 26]),
    one('One of them', oblique.slices[0]!.gramsEach, 'g', [12.4, 12.6]),
    one('Its end wedges and rest', oblique.offcutGrams, 'g', [60, 80])
  ];
}

function keeping(): ModelCase[] {
  const bench = 'Keep';
  const days = (
    what: string,
    celsius: number,
    climate: 'temperate' | 'tropical',
    share: number,
    usual: ModelCase['usual']
  ): ModelCase => ({
    bench,
    what,
    said: eatingLifeSeconds(16, share, celsius, climate) / 86_400,
    unit: 'd',
    band: null,
    usual,
    source: 'Huss 1995, FAO Fisheries Technical Paper 348, section 6'
  });
  return [
    days('A salmonid of 16 days on ice, its raw half, in melting ice', 0, 'temperate', 0.5, [8, 8]),
    days('The same at 2 °C', 2, 'temperate', 0.5, [5.4, 5.7]),
    days('The same at 5 °C', 5, 'temperate', 0.5, [3.4, 3.7]),
    days('All its days, for the pan, at 2 °C', 2, 'temperate', 1, [11, 11.3]),
    days('A tropical fish of 16 days, its raw half, at 5 °C', 5, 'tropical', 0.5, [4.3, 4.5])
  ];
}

/** Every case, computed now. */
export const modelCases = (): ModelCase[] => [
  ...cures(),
  ...acids(),
  ...freezing(),
  ...thawing(),
  ...ageing(),
  ...knife(),
  ...keeping()
];

const figure = (value: number): string => (value < 10 ? value.toFixed(1) : String(Math.round(value)));

/** How each model goes about it, with its figures; benches say the same without them. */
const HOW: Readonly<Record<string, string>> = {
  Cure: 'Salt diffuses through the water of the flesh (Fick’s second law; 60 layers in each of up to 12 zones). Under laid salt the face stands at saturated brine until the salt is gone, then at a brine that weakens; a bath is finite and stirred; a rest only evens out. Likely diffusivity 3 × 10⁻¹⁰ m²/s at 4 °C in lean fish, drawn from 1.5 to 8 × 10⁻¹⁰, slower in fat, faster in the warm (22.5 kJ/mol) and in thawed flesh. 200 seeded draws. What a house weighs and meters moves it: least squares (Levenberg and Marquardt) with the shipped range as what was believed before. Crank 1975; Resnik and Chirife 1988; Ross 1975.',
  Acid: 'Acid moves through flesh that has turned and is bound where it arrives: a moving boundary (Crank 1975, ch. 13). Diffusivity 5 × 10⁻¹⁰ m²/s, drawn from 2.5 to 9; the flesh binds 0.075 mol/kg, 0.055 to 0.1, dark fish more; the liquid gives what a titration still finds in it down to pH 5.1. 200 seeded draws.',
  Freeze:
    'Two ways: Pham’s formula (1986), and the enthalpy of the flesh step by step. The band covers both, over air, packing and method; the slower end counts. On flat pieces the formula reads up to a fifth longer.',
  Age: 'Weight falls first at one rate, while the skin is wet, then as W(t) = W∞ + (W0 − W∞) e^(−kt), fitted by least squares to what was weighed and to what the house believed before.'
};

/** The page, from computed cases. */
export function modelsText(cases: readonly ModelCase[]): string {
  const benches = [...new Set(cases.map(({ bench }) => bench))];
  const rows = (bench: string) =>
    cases
      .filter((each) => each.bench === bench)
      .map(
        ({ what, said, unit, band, usual: [low, high], source }) =>
          `| ${what} | ${figure(said)} ${unit} | ${band ? `${figure(band.low)} to ${figure(band.high)}` : ''} | ${low === high ? figure(low) : `${figure(low)} to ${figure(high)}`} | ${source} |`
      );
  return [
    '# What the models say',
    `Everyday cases, computed by the code as it stands (${MODEL_VERSION}); \`npm run models\` makes this page anew, and a test holds every figure to what a cook would see. Bands are nine draws in ten. They inform; a probe, a scale and a knife decide, and none of it opens a window.`,
    ...benches.map(
      (bench) =>
        `## ${bench}\n\n${HOW[bench] ? `${HOW[bench]}\n\n` : ''}| case | says | band | a cook sees | checked by |\n| --- | --- | --- | --- | --- |\n${rows(bench).join('\n')}`
    )
  ].join('\n\n');
}

if (process.argv[1] === import.meta.filename) writeFileSync(MODELS_PAGE, `${modelsText(modelCases())}\n`);

import { EmberError, inRange } from '../../errors.ts';
import { type SaltKind } from '../../activity/cure/lists.ts';
import { WATER_LOSS, WATER_SHARE } from './parameters.ts';
import { CURE_DEFAULTS, weighedSalt, type CureSettings } from './programme.ts';
import { type RecipeBody, type RecipeLine } from '../../activity/cure/recipe-body.ts';

/** What a line is made of, by its own weight. */
const makeUp = ({ role, salt, sugar, water }: RecipeLine) => ({
  salt: role === 'salt' ? 1 : salt,
  sugar: role === 'sugar' ? 1 : sugar,
  water: role === 'water' ? 1 : water
});
const sum = (lines: readonly RecipeLine[], of: (line: RecipeLine) => number) =>
  lines.reduce((total, line) => total + of(line), 0);

/** Each line as a share of the fish's weight. */
export function sharesOf(recipe: Pick<RecipeBody, 'basis' | 'rate' | 'lines'>): number[] {
  if (recipe.basis === 'fish') return recipe.lines.map(({ amount }) => amount);
  const whole = sum(recipe.lines, ({ amount }) => amount);
  if (!(whole > 0)) throw new EmberError('form.incomplete', { field: 'lines' });
  return recipe.lines.map(({ amount }) => (recipe.rate * amount) / whole);
}

type FromRecipe = Pick<
  CureSettings,
  | 'method'
  | 'salt'
  | 'sugar'
  | 'hours'
  | 'restHours'
  | 'target'
  | 'bathTimes'
  | 'changes'
  | 'presalt'
  | 'presaltMinutes'
  | 'pasteWater'
>;

/**
 * What a recipe sets on the bench.
 *
 * @throws EmberError `form.incomplete` where it holds no liquid a bath could be made of
 */
export function settingsOf(recipe: RecipeBody): FromRecipe {
  const shares = sharesOf(recipe);
  const of = (what: 'salt' | 'sugar' | 'water') =>
    recipe.lines.reduce((total, line, index) => total + shares[index]! * makeUp(line)[what], 0);
  const common = { method: recipe.school, hours: recipe.hours, restHours: recipe.restHours, target: recipe.target };
  if (recipe.school === 'desalt') {
    const times = of('water') || CURE_DEFAULTS.desaltTimes;
    return { ...common, salt: recipe.startSalt, sugar: 0, bathTimes: times, changes: recipe.changes };
  }
  if (recipe.school !== 'brine' && recipe.school !== 'marinade')
    return { ...common, salt: of('salt'), sugar: of('sugar') };
  const times = shares.reduce((total, each) => total + each, 0);
  if (!(times > 0)) throw new EmberError('form.incomplete', { field: 'lines' });
  const liquid = { ...common, salt: of('salt') / times, sugar: of('sugar') / times, bathTimes: times };
  if (recipe.school === 'brine') return liquid;
  return { ...liquid, presalt: recipe.presalt, presaltMinutes: recipe.presaltMinutes, pasteWater: of('water') / times };
}

export interface ScaledLine {
  readonly what: string;
  readonly role: RecipeLine['role'];
  readonly saltKind: SaltKind | '';
  /** Share of the fish's weight it comes to. */
  readonly share: number;
  readonly grams: number;
  /** As the scale can show it, g. */
  readonly weighed: number;
  /** What the scale shows is off by more than a twentieth: weigh a larger batch, or on a finer scale. */
  readonly tooFine: boolean;
}

/** Off by more than this, a weight is too small for its scale. */
const FINE_SHARE = 0.05;

/**
 * A recipe in grams for so much fish, rounded to what the scale shows. The salt of a weighed cure is what brings the finished
 * piece to its share, which is a little more than that share of the raw weight.
 *
 * @param grams of fish, all pieces together
 * @param interval the scale's verification interval, g
 * @throws EmberError `quantity.out-of-range`
 */
export function scaleRecipe(
  recipe: RecipeBody,
  grams: number,
  interval: number,
  fat: CureSettings['fat'] = 'mid'
): ScaledLine[] {
  inRange(grams, { field: 'grams', unit: 'g', min: 1, max: 500_000 });
  const step = inRange(interval, { field: 'interval', unit: 'g', min: 0.001, max: 100 });
  const shares = sharesOf(recipe);
  const sugar = recipe.lines.reduce((total, line, index) => total + shares[index]! * makeUp(line).sugar, 0);
  return recipe.lines.map(({ what, role, saltKind }, index) => {
    const plain = shares[index]!;
    const part =
      recipe.school === 'weighed' && role === 'salt' && plain > 0
        ? weighedSalt(1, plain, sugar, { waterShare: WATER_SHARE[fat], mostLoss: WATER_LOSS.most.likely })
        : plain;
    const exact = part * grams;
    const weighed = Math.round(exact / step) * step;
    const places = Math.max(0, Math.ceil(-Math.log10(step)));
    return {
      what,
      role,
      saltKind,
      share: part,
      grams: exact,
      weighed: Number(weighed.toFixed(places)),
      tooFine: exact > 0 && Math.abs(weighed - exact) > FINE_SHARE * exact
    };
  });
}

import { partsOf, rateOf } from '../../core/bench/cure/brine.ts';
import type { CureParameters } from '../../core/bench/cure/parameters.ts';
import type { CureSettings } from '../../core/bench/cure/plan.ts';
import { CURE_DEFAULTS } from '../../core/bench/cure/programme.ts';
import { type Dosing, type School } from '../../core/activity/cure/lists.ts';
import { settingsOf } from '../../core/bench/cure/recipe.ts';
import { type RecipeBody } from '../../core/activity/cure/recipe-body.ts';
import { EmberError } from '../../core/errors.ts';
import { parseQuantity } from '../../core/measure/parse.ts';
import type { UnitPreferences } from '../../core/measure/units.ts';
import { errorSentence } from '../../words/errors.ts';
import { startWith } from '../units.ts';

/** What the bench knows of the piece itself. */
export interface CureSubject {
  readonly grams: number;
  readonly fat: CureSettings['fat'];
  readonly thawed: boolean;
  readonly depth: { readonly lengthMm: number; readonly points: readonly { at: number; mm: number }[] } | null;
  readonly parameters: CureParameters;
}

/** Where a school begins, as its middle of the usual range. */
const STARTS: Record<School, Partial<Record<keyof typeof BLANK, string>>> = {
  cover: { salt: '6', sugar: '6', parts: '1:1', hours: '30', rest: '24', target: '1.2' },
  weighed: { salt: '2.5', sugar: '1', hours: '48', rest: '12', target: '1' },
  brine: { salt: '5', sugar: '0', hours: '6', rest: '2', target: '0.8', bathTimes: '2' },
  film: { salt: '1.5', sugar: '0', hours: '0.75', rest: '2', target: '0.3' },
  desalt: { salt: '18', sugar: '0', hours: '12', rest: '0', target: '3', bathTimes: '5', changes: '3' },
  marinade: {
    salt: '6',
    sugar: '20',
    hours: '36',
    rest: '0',
    target: '0.8',
    bathTimes: '0.35',
    presalt: '1.2',
    presaltMinutes: '40',
    pasteWater: '45'
  }
};
const BLANK = {
  salt: '',
  sugar: '0',
  parts: '',
  hours: '',
  rest: '0',
  target: '1',
  bathTimes: String(CURE_DEFAULTS.bathTimes),
  changes: String(CURE_DEFAULTS.changes),
  presalt: '0',
  presaltMinutes: '0',
  pasteWater: String(CURE_DEFAULTS.pasteWater * 100)
};
const shown = (value: number) => String(Number(value.toFixed(3)));

/** A plan as it is being typed. */
export class CureDraft {
  method = $state<School>('weighed');
  salt = $state('');
  sugar = $state('');
  parts = $state('');
  rateMeans = $state<'salt' | 'mix'>('salt');
  hours = $state('');
  rest = $state('');
  target = $state('');
  bathTimes = $state('');
  changes = $state('');
  presalt = $state('');
  presaltMinutes = $state('');
  pasteWater = $state('');
  thickness = $state('');
  thicknessUnit = $state('mm');
  thin = $state('');
  thinUnit = $state('mm');
  flat = $state(false);
  faces = $state('1');
  celsius = $state('');
  celsiusUnit = $state('°C');
  dosing = $state<Dosing>('weight');
  liquid = $state<'kept' | 'drained'>('kept');
  turned = $state(false);
  pressed = $state(false);
  pack = $state<'open' | 'closed'>('open');
  place = $state('');
  recipe = $state('');
  /** The size the hours of its recipe are for; null where none was taken, or it does not say. */
  madeFor = $state.raw<{ readonly mm: number; readonly faces: 1 | 2 } | null>(null);
  /** Ingredients laid on besides its recipe. */
  also = $state('');

  constructor(units: UnitPreferences, thicknessMm: number, celsius: number) {
    [this.thickness, this.thicknessUnit] = startWith('length', thicknessMm, units);
    this.thinUnit = this.thicknessUnit;
    [this.celsius, this.celsiusUnit] = startWith('temperature', celsius, units);
    this.school('weighed');
  }

  /** Begins a school where its usual range begins. */
  school(method: School): void {
    this.method = method;
    Object.assign(this, BLANK, STARTS[method]);
    this.dosing = method === 'weighed' ? 'weight' : 'face';
    this.recipe = '';
    this.madeFor = null;
    this.also = '';
  }

  /** Sets what a recipe says, and remembers whose it is. */
  take(id: string, recipe: RecipeBody): void {
    this.school(recipe.school);
    const set = settingsOf(recipe);
    const percent = (value: number | undefined) =>
      value === undefined ? '0' : String(Number((value * 100).toFixed(2)));
    Object.assign(this, {
      salt: percent(set.salt),
      sugar: percent(set.sugar),
      parts: '',
      hours: shown(set.hours),
      rest: shown(set.restHours ?? 0),
      target: percent(set.target),
      ...(set.bathTimes === undefined ? {} : { bathTimes: shown(set.bathTimes) }),
      ...(set.changes === undefined ? {} : { changes: String(set.changes) }),
      presalt: percent(set.presalt),
      presaltMinutes: shown(set.presaltMinutes ?? 0),
      ...(set.pasteWater === undefined ? {} : { pasteWater: percent(set.pasteWater) })
    });
    this.madeFor = recipe.forMm === null ? null : { mm: recipe.forMm, faces: recipe.forFaces };
    this.recipe = id;
  }

  /** A second plan begins as the first. */
  copyFrom(other: CureDraft): void {
    for (const key of Object.keys(PLAIN) as (keyof typeof PLAIN)[]) (this as Record<string, unknown>)[key] = other[key];
  }

  /** What the core is asked, or why it cannot be. */
  settings(piece: CureSubject): CureSettings | string {
    try {
      return this.#settings(piece);
    } catch (error) {
      if (error instanceof EmberError) return errorSentence(error.code, error.details);
      throw error;
    }
  }

  #settings(piece: CureSubject): CureSettings {
    const read = (kind: Parameters<typeof parseQuantity>[0], text: string, unit: string, field: string) =>
      parseQuantity(kind, text, { field, defaultUnit: unit.replace('°', '') }).si;
    const plain = (text: string, field: string): number => {
      const value = Number(text.trim().replace(',', '.'));
      if (text.trim() === '' || !Number.isFinite(value))
        throw new EmberError('number.not-finite', { field, seen: text });
      return value;
    };
    const share = (text: string, field: string) => read('concentration', text, '%', field);
    const { method } = this;
    const isBath = method === 'brine' || method === 'desalt' || method === 'marinade';
    let dose = { salt: share(this.salt, 'salt'), sugar: method === 'desalt' ? 0 : share(this.sugar || '0', 'sugar') };
    if (method === 'cover' && this.parts !== '') {
      const [salt, sugar] = partsOf(this.parts);
      dose = rateOf(dose.salt, salt, sugar, this.rateMeans);
    }
    const thin = this.thin.trim() === '' ? null : read('length', this.thin, this.thinUnit, 'thin');
    return {
      method,
      grams: piece.grams,
      thicknessMm: read('length', this.thickness, this.thicknessUnit, 'thickness'),
      thinMm: thin,
      profile: this.flat || thin !== null ? null : piece.depth,
      faces: this.faces === '2' ? 2 : 1,
      celsius: read('temperature', this.celsius, this.celsiusUnit, 'celsius'),
      fat: piece.fat,
      thawed: piece.thawed,
      ...dose,
      hours: read('duration', this.hours, 'h', 'hours') / 3600,
      target: share(this.target, 'target'),
      restHours: read('duration', this.rest || '0', 'h', 'rest') / 3600,
      dosing: this.dosing,
      drains: this.liquid === 'drained',
      ...(isBath ? { bathTimes: plain(this.bathTimes, 'bathTimes') } : {}),
      ...(method === 'desalt' ? { changes: Math.round(plain(this.changes, 'changes')) } : {}),
      ...(method === 'marinade'
        ? {
            presalt: share(this.presalt || '0', 'presalt'),
            presaltMinutes: plain(this.presaltMinutes || '0', 'presaltMinutes'),
            pasteWater: share(this.pasteWater, 'pasteWater')
          }
        : {}),
      parameters: piece.parameters
    };
  }
}

const PLAIN = {
  method: 0,
  salt: 0,
  sugar: 0,
  parts: 0,
  rateMeans: 0,
  hours: 0,
  rest: 0,
  target: 0,
  bathTimes: 0,
  changes: 0,
  presalt: 0,
  presaltMinutes: 0,
  pasteWater: 0,
  thickness: 0,
  thicknessUnit: 0,
  thin: 0,
  thinUnit: 0,
  flat: 0,
  faces: 0,
  celsius: 0,
  celsiusUnit: 0,
  dosing: 0,
  liquid: 0,
  turned: 0,
  pressed: 0,
  pack: 0,
  place: 0,
  recipe: 0
} satisfies Partial<Record<keyof CureDraft, 0>>;

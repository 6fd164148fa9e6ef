import type { LiquidPart } from '../../core/bench/acid/liquid.ts';
import type { AcidSettings } from '../../core/bench/acid/plan.ts';
import type { AcidCut, SetPoint } from '../../core/activity/acid/lists.ts';
import { EmberError } from '../../core/errors.ts';
import { parseQuantity } from '../../core/measure/parse.ts';
import type { UnitPreferences } from '../../core/measure/units.ts';
import { ACID_STYLES, type AcidStyle } from '../../core/bench/acid/styles.ts';
import { errorSentence } from '../../words/errors.ts';
import { startWith } from '../units.ts';

export interface AcidSubject {
  readonly grams: number;
  readonly dark: boolean;
  /** Against the shipped figure, as pieces cut open in this house taught; and how many runs did. */
  readonly pace: number;
  readonly runs: number;
}

/** Fish in acid as it is being set. */
export class AcidDraft {
  style = $state('half-hour');
  cut = $state<AcidCut>('dice');
  size = $state('');
  second = $state('');
  third = $state('');
  unit = $state('mm');
  faces = $state('2');
  celsius = $state('');
  celsiusUnit = $state('°C');
  parts = $state<{ name: string; ml: string }[]>([]);
  measuredPH = $state('');
  /** Fish in it at a time; empty for all of it. */
  mass = $state('');
  massUnit = $state('g');
  wanted = $state<SetPoint>('half');
  #units: UnitPreferences;
  #grams: number;

  constructor(units: UnitPreferences, grams: number) {
    this.#units = units;
    this.#grams = grams;
    [this.celsius, this.celsiusUnit] = startWith('temperature', 5, units);
    this.massUnit = units.mass;
    this.take('half-hour');
  }

  /** Begins where a style begins, for this much fish. */
  take(id: string): void {
    const style: AcidStyle | undefined = ACID_STYLES.find((each) => each.id === id);
    if (!style) return;
    this.style = id;
    this.cut = style.cut;
    [this.size, this.unit] = startWith('length', style.sizes[0]!, this.#units);
    this.second = style.sizes[1] ? startWith('length', style.sizes[1], this.#units)[0] : this.size;
    this.third = this.second;
    this.faces = style.cut === 'fillet' ? '1' : '2';
    this.wanted = style.wanted;
    this.measuredPH = '';
    this.parts = style.liquid.map(({ what, id: sour, ml }) => ({
      name: what === 'sour' ? sour! : what,
      ml: String(Math.round((ml * this.#grams) / 100))
    }));
  }

  copyFrom(other: AcidDraft): void {
    const { style, cut, size, second, third, unit, faces, celsius, celsiusUnit, measuredPH, wanted } = other;
    Object.assign(this, { style, cut, size, second, third, unit, faces, celsius, celsiusUnit, measuredPH, wanted });
    [this.mass, this.massUnit] = [other.mass, other.massUnit];
    this.parts = other.parts.map((part) => ({ ...part }));
  }

  /** As the form sends it. */
  get liquid(): string {
    return this.parts.map(({ name, ml }) => `${name} ${ml || '0'}`).join(', ');
  }

  settings(piece: AcidSubject): AcidSettings | string {
    try {
      return this.#settings(piece);
    } catch (error) {
      if (error instanceof EmberError) return errorSentence(error.code, error.details);
      throw error;
    }
  }

  #settings(piece: AcidSubject): AcidSettings {
    const length = (text: string) => parseQuantity('length', text, { field: 'size', defaultUnit: this.unit }).si;
    const needed =
      this.cut === 'brick'
        ? [this.size, this.second, this.third]
        : this.cut === 'cylinder'
          ? [this.size, this.second]
          : [this.size];
    const liquid = this.parts.map(({ name, ml }): LiquidPart => {
      const value = Number(ml.trim().replace(',', '.'));
      if (ml.trim() === '' || !Number.isFinite(value))
        throw new EmberError('number.not-finite', { field: 'ml', seen: ml });
      return name === 'water' || name === 'oil' ? { what: name, ml: value } : { what: 'sour', id: name, ml: value };
    });
    const pH = this.measuredPH.trim() === '' ? null : Number(this.measuredPH.replace(',', '.'));
    if (pH !== null && !Number.isFinite(pH))
      throw new EmberError('number.not-finite', { field: 'measuredPH', seen: this.measuredPH });
    return {
      cut: this.cut,
      sizes: needed.map(length),
      faces: this.cut === 'fillet' && this.faces === '1' ? 1 : 2,
      grams:
        this.mass.trim() === ''
          ? piece.grams
          : parseQuantity('mass', this.mass, { field: 'mass', defaultUnit: this.massUnit }).si,
      celsius: parseQuantity('temperature', this.celsius, {
        field: 'celsius',
        defaultUnit: this.celsiusUnit.replace('°', '')
      }).si,
      liquid,
      measuredPH: pH,
      dark: piece.dark,
      wanted: this.wanted,
      pace: piece.pace
    };
  }
}

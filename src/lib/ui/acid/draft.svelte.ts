import { ACID_EDGES, acidLaid, acidSet } from '../../core/activity/acid/plan.ts';
import type { AcidCut } from '../../core/activity/acid/lists.ts';
import type { AcidSettings } from '../../core/bench/acid/plan.ts';
import { acidSettings, type AcidSubject } from '../../core/bench/acid/settings.ts';
import { ACID_STYLES, type AcidStyle } from '../../core/bench/acid/styles.ts';
import { EmberError } from '../../core/errors.ts';
import type { UnitPreferences } from '../../core/measure/units.ts';
import { ACID_FIELDS } from '../../words/plans/acid.ts';
import { PlanDraft } from '../plan/draft.svelte.ts';

const WHOLE = { ...acidSet, ...acidLaid };
/** The bench looks up the pace itself. */
const ASKED = Object.keys(acidSet).filter((name) => name !== 'pace') as (keyof typeof acidSet)[];

/** Fish in acid as it is being typed. */
export class AcidDraft extends PlanDraft<typeof WHOLE> {
  style = $state('half-hour');
  /** The liquid part by part; its field is the text of them. */
  parts = $state<{ name: string; ml: string }[]>([]);
  #grams: number;
  /** Its skin is known to be off. */
  readonly skinned: boolean;

  constructor(units: UnitPreferences, grams: number, skinned = false) {
    super(WHOLE, ACID_FIELDS, units);
    this.#grams = grams;
    this.skinned = skinned;
    this.take('half-hour');
  }

  get cut(): AcidCut {
    return this.texts.cut as AcidCut;
  }

  /** Begins where a style begins, for this much fish. */
  take(id: string): void {
    const style: AcidStyle | undefined = ACID_STYLES.find((each) => each.id === id);
    if (!style) return;
    this.style = id;
    const [size = 0, second = size] = style.sizes;
    for (const [name, edge] of Object.entries({ size, second, third: second })) this.figure(name, edge);
    Object.assign(this.texts, {
      cut: style.cut,
      faces: style.cut === 'fillet' && !this.skinned ? '1' : '2',
      wanted: style.wanted,
      measuredPH: ''
    });
    this.parts = style.liquid.map(({ what, id: sour, ml }) => ({
      name: what === 'sour' ? sour! : what,
      ml: String(Math.round((ml * this.#grams) / 100))
    }));
  }

  override copyFrom(other: AcidDraft): void {
    super.copyFrom(other);
    this.style = other.style;
    this.parts = other.parts.map((part) => ({ ...part }));
  }

  /** One unit for all edges: the first one's. */
  override unitOf(name: string): string | undefined {
    return super.unitOf((ACID_EDGES.brick as readonly string[]).includes(name) ? 'size' : name);
  }

  /** So much of its first sour part. */
  pour(ml: number): void {
    // The one the answer speaks of: what is named and not poured is none of it.
    const part = this.parts.find(
      ({ name, ml }) => name !== 'water' && name !== 'oil' && Number(ml.replace(',', '.')) > 0
    );
    if (part) part.ml = String(ml);
  }

  /** As the form sends it. */
  get liquid(): string {
    return this.parts.map(({ name, ml }) => `${name} ${ml.trim().replace(',', '.') || '0'}`).join(', ');
  }

  settings(piece: AcidSubject): AcidSettings | string {
    return this.attempt(() => {
      const blank = this.parts.find(({ ml }) => ml.trim() === '' || !Number.isFinite(Number(ml.replace(',', '.'))));
      if (blank) throw new EmberError('number.not-finite', { field: 'ml', seen: blank.ml });
      const set = this.read(ASKED, { liquid: this.liquid });
      if (typeof set === 'string') return set;
      return acidSettings(set, piece);
    });
  }
}

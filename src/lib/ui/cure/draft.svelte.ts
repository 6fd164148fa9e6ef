import { CURE_ASKS, CURE_STARTS, cureLaid, cureSet, type CureSet } from '../../core/activity/cure/plan.ts';
import type { School } from '../../core/activity/cure/lists.ts';
import type { RecipeBody } from '../../core/activity/cure/recipe-body.ts';
import { settingsOf } from '../../core/bench/cure/recipe.ts';
import { cureSettings, type CureSubject } from '../../core/bench/cure/settings.ts';
import type { CureSettings } from '../../core/bench/cure/plan.ts';
import type { UnitPreferences } from '../../core/measure/units.ts';
import { CURE_FIELDS } from '../../words/plans/cure.ts';
import { PlanDraft } from '../plan/draft.svelte.ts';

const WHOLE = { ...cureSet, ...cureLaid };
/** What a school does not ask is set all the same: how the piece lies there. */
const ALWAYS: readonly (keyof CureSet)[] = ['method', 'thickness', 'thin', 'faces', 'celsius', 'flat'];
/** What a school begins anew; the piece and where it lies stay. */
const BY_SCHOOL = [...new Set(Object.values(CURE_ASKS).flat())];

/** A cure as it is being typed. */
export class CureDraft extends PlanDraft<typeof WHOLE> {
  /** The size the hours of its recipe are for; null where none was taken, or it does not say. */
  madeFor = $state.raw<{ readonly mm: number; readonly faces: 1 | 2 } | null>(null);

  /** Its skin is known to be off. */
  readonly skinned: boolean;

  constructor(units: UnitPreferences, thicknessMm: number, celsius: number, skinned = false) {
    super(WHOLE, CURE_FIELDS, units);
    this.figure('thickness', thicknessMm);
    this.figure('celsius', celsius);
    this.skinned = skinned;
    if (skinned) this.texts.faces = '2';
    this.school('weighed');
  }

  get method(): School {
    return this.texts.method as School;
  }

  /** Begins a school where its usual range begins. */
  school(method: School): void {
    for (const name of BY_SCHOOL) this.begin(name);
    Object.assign(this.texts, CURE_STARTS[method], { method, recipe: '', also: '' });
    this.madeFor = null;
  }

  /** Sets what a recipe says, and remembers whose it is. */
  take(id: string, recipe: RecipeBody): void {
    this.school(recipe.school);
    const { hours, restHours = 0, method: _, ...set } = settingsOf(recipe);
    const figures = { ...set, hours: hours * 3600, rest: restHours * 3600 };
    for (const [name, value] of Object.entries(figures)) if (typeof value === 'number') this.figure(name, value);
    this.texts.parts = '';
    this.madeFor = recipe.forMm === null ? null : { mm: recipe.forMm, faces: recipe.forFaces };
    this.texts.recipe = id;
  }

  override copyFrom(other: CureDraft): void {
    super.copyFrom(other);
    this.madeFor = other.madeFor;
  }

  /** What the core is asked, or why it cannot be. */
  settings(piece: CureSubject): CureSettings | string {
    const set = this.read([...ALWAYS, ...CURE_ASKS[this.method]]);
    return typeof set === 'string' ? set : this.attempt(() => cureSettings(set, piece));
  }
}

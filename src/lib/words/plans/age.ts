import { words } from '../speech.ts';
import type { ageSet } from '../../core/activity/age/plan.ts';
import { PREPARATION_WORDS } from '../age.ts';
import type { PlanWords } from './plan.ts';

export const AGE_FIELDS: PlanWords<typeof ageSet> = /* @__PURE__ */ words({
  place: { label: 'Cabinet' },
  spot: { label: 'Hook or shelf place' },
  mass: { label: 'Start weight' },
  target: { label: 'To lose', hint: 'of its weight' },
  celsius: { label: 'Cabinet stands at' },
  humidity: { label: 'Humidity in it' },
  prepared: { label: 'Before it hangs', values: PREPARATION_WORDS },
  pack: { label: 'Round it', values: { open: 'open air', closed: 'a bag or film without air' } },
  note: { label: 'Note' }
});

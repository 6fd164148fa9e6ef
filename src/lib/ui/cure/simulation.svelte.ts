import type { CureOutlook } from '../../workers/cure.ts';
import type { CureResult, CureSettings } from '../../core/bench/cure/plan.ts';
import { Simulation } from '../simulation.svelte.ts';

/** One plan of a cure as it is simulated while it is being set. */
export class CureSimulation extends Simulation<CureSettings, CureResult, CureOutlook> {}

<script lang="ts">
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { AGEING_RULES } from '$lib/core/activity/age/lists.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { RackView } from '$lib/server/views/rack.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { startWith, temperatureUnits } from '../units.ts';
  import { untrack } from 'svelte';

  /** How this house ages, and what its cabinets hold. */
  let { rack, units }: { rack: RackView; units: UnitPreferences } = $props();
  const rules = untrack(() => rack.rules);
  const [limit, degrees] = untrack(() => startWith('temperature', rules.limitCelsius, units));
</script>

<Fold class="sheet" title="The house’s ageing rules">
  <p class="soft">
    They ship as {AGEING_RULES.wholeDays} days for whole fish, {AGEING_RULES.filletDays} for fillets, {AGEING_RULES.limitCelsius}
    °C for all but {AGEING_RULES.warmHours} h, {AGEING_RULES.afterDays} days after the rack. Looser ones ask for a reason,
    and stand with your name on every verdict they touch.
  </p>
  <OperationForm operation="set-ageing" submit="Keep these rules">
    <div class="fields">
      <Field name="wholeDays" label="Days for whole fish" kind="number" value={String(rules.wholeDays)} />
      <Field name="filletDays" label="Days for fillets" kind="number" value={String(rules.filletDays)} />
      <Field
        name="limitCelsius"
        label="Cabinet at most"
        kind="quantity"
        units={temperatureUnits(units)}
        value={limit}
        unit={degrees}
      />
      <Field name="warmHours" label="Warm hours in all" kind="number" value={String(rules.warmHours)} />
      <Field name="afterDays" label="Days after the rack" kind="number" value={String(rules.afterDays)} />
    </div>
    <Field
      name="dayOneAtHanging"
      label="Day 1 of the date mark is the day it is hung"
      kind="tick"
      value={rules.dayOneAtHanging ? 'on' : ''}
    />
    <Field name="reason" label="Why looser" optional value={rules.reason} />
  </OperationForm>
</Fold>
{#each rack.cabinets as cabinet (cabinet.place)}
  <Fold class="sheet" title="What {cabinet.place} holds">
    <OperationForm operation="set-rack" subject={cabinet.place} submit="Draw it so" also={{ place: cabinet.place }}>
      <div class="fields">
        <Field name="hooks" label="Hooks" kind="number" value={String(cabinet.rack.hooks)} />
        <Field name="shelves" label="Shelves" kind="number" value={String(cabinet.rack.shelves)} />
        <Field name="perShelf" label="Places on a shelf" kind="number" value={String(cabinet.rack.perShelf)} />
      </div>
    </OperationForm>
  </Fold>
{/each}

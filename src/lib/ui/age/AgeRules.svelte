<script lang="ts">
  import { ageRules as t } from '$lib/words/screens/age.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { AGEING_RULES } from '$lib/core/activity/age/lists.ts';
  import type { RackView } from '$lib/server/views/rack.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { startWith, temperatureUnits } from '../units.ts';
  import { untrack } from 'svelte';

  /** How this house ages, and what its cabinets hold. */
  let { rack }: { rack: RackView } = $props();
  const rules = untrack(() => rack.rules);
  const [limit, degrees] = untrack(() => startWith('temperature', rules.limitCelsius));
</script>

<Fold class="sheet" title={t.theHousesAgeingRules}>
  <p class="soft">
    {t.theyShipAsDays(
      AGEING_RULES.wholeDays,
      AGEING_RULES.filletDays,
      AGEING_RULES.limitCelsius,
      AGEING_RULES.warmHours,
      AGEING_RULES.afterDays
    )}
  </p>
  <OperationForm operation="set-ageing" submit={t.keepTheseRules}>
    <div class="fields">
      <Field name="wholeDays" label={t.daysForWholeFish} kind="number" value={String(rules.wholeDays)} />
      <Field name="filletDays" label={t.daysForFillets} kind="number" value={String(rules.filletDays)} />
      <Field
        name="limitCelsius"
        label={t.cabinetAtMost}
        kind="quantity"
        units={temperatureUnits()}
        value={limit}
        unit={degrees}
      />
      <Field name="warmHours" label={t.warmHoursInAll} kind="number" value={String(rules.warmHours)} />
      <Field name="afterDays" label={t.daysAfterTheRack} kind="number" value={String(rules.afterDays)} />
    </div>
    <Field name="dayOneAtHanging" label={t.dayOfTheDate} kind="tick" value={rules.dayOneAtHanging ? 'on' : ''} />
    <Field name="reason" label={t.whyLooser} optional value={rules.reason} />
  </OperationForm>
</Fold>
{#each rack.cabinets as cabinet (cabinet.place)}
  <Fold class="sheet" title={t.whatHolds(cabinet.place)}>
    <OperationForm operation="set-rack" subject={cabinet.place} submit={t.drawItSo} also={{ place: cabinet.place }}>
      <div class="fields">
        <Field name="hooks" label={t.hooks} kind="number" value={String(cabinet.rack.hooks)} />
        <Field name="shelves" label={t.shelves} kind="number" value={String(cabinet.rack.shelves)} />
        <Field name="perShelf" label={t.placesOnAShelf} kind="number" value={String(cabinet.rack.perShelf)} />
      </div>
    </OperationForm>
  </Fold>
{/each}

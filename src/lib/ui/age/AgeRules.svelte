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
      <Field name="wholeDays" label={t.daysForWholeFish} kind="number" start={String(rules.wholeDays)} />
      <Field name="filletDays" label={t.daysForFillets} kind="number" start={String(rules.filletDays)} />
      <Field
        name="limitCelsius"
        label={t.cabinetAtMost}
        kind="quantity"
        units={temperatureUnits()}
        start={limit}
        startUnit={degrees}
      />
      <Field name="warmHours" label={t.warmHoursInAll} kind="number" start={String(rules.warmHours)} />
      <Field name="afterDays" label={t.daysAfterTheRack} kind="number" start={String(rules.afterDays)} />
    </div>
    <Field name="dayOneAtHanging" label={t.dayOfTheDate} kind="tick" start={rules.dayOneAtHanging ? 'on' : ''} />
    <Field name="reason" label={t.whyLooser} optional start={rules.reason} />
  </OperationForm>
</Fold>
{#each rack.cabinets as cabinet (cabinet.place)}
  <Fold class="sheet" title={t.whatHolds(cabinet.place)}>
    <OperationForm operation="set-rack" subject={cabinet.place} submit={t.drawItSo} also={{ place: cabinet.place }}>
      <div class="fields">
        <Field name="hooks" label={t.hooks} kind="number" start={String(cabinet.rack.hooks)} />
        <Field name="shelves" label={t.shelves} kind="number" start={String(cabinet.rack.shelves)} />
        <Field name="perShelf" label={t.placesOnAShelf} kind="number" start={String(cabinet.rack.perShelf)} />
      </div>
    </OperationForm>
  </Fold>
{/each}

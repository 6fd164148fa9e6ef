<script lang="ts">
  import { sensorForm as t } from '$lib/words/screens/cold.ts';
  import type { Sensor } from '$lib/core/activity/cold/fold.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';

  /** A sensor set up, or a new one. */
  let { sensor = null, places }: { sensor?: Sensor | null; places: readonly { name: string }[] } = $props();
</script>

<OperationForm
  operation="set-sensor"
  also={{ id: sensor?.id }}
  subject={sensor?.id ?? 'new-sensor'}
  submit={sensor ? t.setItSo : t.nameThisSensor}
>
  <div class="fields broad">
    <Field name="name" label={t.sensor} placeholder={t.chestAir} hint={t.asItsLoggerCalls} start={sensor?.name ?? ''} />
    <Field
      name="place"
      label={t.standsIn}
      kind="choice"
      start={sensor?.place ?? ''}
      options={[{ value: '', name: t.nowhereYet }, ...places.map(({ name }) => ({ value: name, name }))]}
    />
    <Field
      name="probe"
      label={t.reads}
      kind="choice"
      start={sensor?.probe ?? 'air'}
      options={{ air: t.theAir, core: t.aCoreItsProbe }}
    />
    <Field name="accuracy" label={t.accurateToC} kind="number" start={String(sensor?.accuracy ?? 0.5)} />
    <Field name="calibratedOn" label={t.calibratedOn} kind="date" optional start={sensor?.calibratedOn ?? ''} />
  </div>
</OperationForm>

<script lang="ts">
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
  submit={sensor ? 'Set it so' : 'Name this sensor'}
>
  <div class="fields broad">
    <Field
      name="name"
      label="Sensor"
      placeholder="Chest air"
      hint="As its logger calls it."
      value={sensor?.name ?? ''}
    />
    <Field
      name="place"
      label="Stands in"
      kind="choice"
      value={sensor?.place ?? ''}
      options={[{ value: '', name: 'nowhere yet' }, ...places.map(({ name }) => ({ value: name, name }))]}
    />
    <Field
      name="probe"
      label="Reads"
      kind="choice"
      value={sensor?.probe ?? 'air'}
      options={{ air: 'the air', core: 'a core: its probe stands in fish' }}
    />
    <Field name="accuracy" label="Accurate to ± °C" kind="number" value={String(sensor?.accuracy ?? 0.5)} />
    <Field name="calibratedOn" label="Calibrated on" kind="date" optional value={sensor?.calibratedOn ?? ''} />
  </div>
</OperationForm>

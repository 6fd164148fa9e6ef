<script lang="ts">
  import { PLACE_KINDS } from '$lib/core/activity/cold/bodies.ts';
  import { AIR_CLASS_IDS } from '$lib/core/activity/freeze/lists.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { Place } from '$lib/core/activity/cold/fold.ts';
  import { AIR_WORDS } from '$lib/words/cold.ts';
  import { PLACE_KIND_WORDS } from '$lib/words/cuts.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { startWith, temperatureUnits } from '../units.ts';

  /** A place set up, or a new one. */
  let { place = null, units }: { place?: Place | null; units: UnitPreferences } = $props();
  const degrees = (value: { si: number } | null | undefined) =>
    value ? startWith('temperature', value.si, units) : ['', undefined];
  const [setPoint, setUnit] = $derived(degrees(place?.setPoint));
  const [warn, warnUnit] = $derived(degrees(place?.warnAbove));
</script>

<OperationForm
  operation="set-place"
  also={{ id: place?.id }}
  subject={place?.id ?? 'new-place'}
  submit={place ? 'Set it so' : 'Name this place'}
>
  <div class="fields broad">
    <Field
      name="name"
      label="Name"
      placeholder="Drawer 2, left"
      value={place?.name ?? ''}
      hint={place ? 'Called otherwise, it stays the same place: what lay in it lies in it still.' : ''}
    />
    <Field
      name="kind"
      label="Kind"
      kind="choice"
      value={place?.kind ?? 'drawer'}
      options={PLACE_KINDS.map((value) => ({ value, name: PLACE_KIND_WORDS[value] ?? value }))}
    />
    <Field
      name="setPoint"
      label="Set point"
      kind="quantity"
      optional
      units={temperatureUnits(units)}
      value={setPoint}
      unit={setUnit}
    />
    <Field
      name="airClass"
      label="What moves the air"
      kind="choice"
      value={place?.airClass ?? ''}
      options={[
        ...(place ? [] : [{ value: '', name: 'as usual for its kind' }]),
        ...AIR_CLASS_IDS.map((value) => ({ value, name: AIR_WORDS[value]! }))
      ]}
    />
    <Field
      name="litres"
      label="Room, litres"
      kind="number"
      optional
      value={place?.litres ? String(place.litres) : ''}
    />
    <Field
      name="watts"
      label="Cooling power, W"
      kind="number"
      optional
      hint="Heat it carries off, not what it draws."
      value={place?.watts ? String(place.watts) : ''}
    />
    <Field
      name="warnAbove"
      label="Too warm above"
      kind="quantity"
      optional
      hint="Empty: the rule book’s limit for its kind."
      units={temperatureUnits(units)}
      value={warn}
      unit={warnUnit}
    />
    <Field
      name="graceMinutes"
      label="Longer than, min"
      kind="number"
      hint="Doors and defrosts shorter than this are let pass."
      value={String(place?.graceMinutes ?? 30)}
    />
  </div>
</OperationForm>

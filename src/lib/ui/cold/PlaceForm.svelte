<script lang="ts">
  import { common } from '$lib/words/screens/common.ts';
  import { placeForm as t } from '$lib/words/screens/cold.ts';
  import { PLACE_KINDS } from '$lib/core/activity/cold/bodies.ts';
  import { AIR_CLASS_IDS } from '$lib/core/activity/freeze/lists.ts';
  import type { Place } from '$lib/core/activity/cold/fold.ts';
  import { AIR_WORDS } from '$lib/words/cold.ts';
  import { PLACE_KIND_WORDS } from '$lib/words/cuts.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { startWith, temperatureUnits } from '../units.ts';

  /** A place set up, or a new one. */
  let { place = null }: { place?: Place | null } = $props();
  const degrees = (value: { si: number } | null | undefined) =>
    value ? startWith('temperature', value.si) : ['', undefined];
  const [setPoint, setUnit] = $derived(degrees(place?.setPoint));
  const [warn, warnUnit] = $derived(degrees(place?.warnAbove));
</script>

<OperationForm
  operation="set-place"
  also={{ id: place?.id }}
  subject={place?.id ?? 'new-place'}
  submit={place ? t.setItSo : t.nameThisPlace}
>
  <div class="fields broad">
    <Field
      name="name"
      label={common.name}
      placeholder={t.drawerLeft}
      start={place?.name ?? ''}
      hint={place ? t.calledOtherwiseItStays : ''}
    />
    <Field
      name="kind"
      label={common.kind}
      kind="choice"
      start={place?.kind ?? 'drawer'}
      options={PLACE_KINDS.map((value) => ({ value, name: PLACE_KIND_WORDS[value] ?? value }))}
    />
    <Field
      name="setPoint"
      label={t.setPoint}
      kind="quantity"
      optional
      units={temperatureUnits()}
      start={setPoint}
      startUnit={setUnit}
    />
    <Field
      name="airClass"
      label={t.whatMovesTheAir}
      kind="choice"
      start={place?.airClass ?? ''}
      options={[
        ...(place ? [] : [{ value: '', name: t.asUsualForIts }]),
        ...AIR_CLASS_IDS.map((value) => ({ value, name: AIR_WORDS[value]! }))
      ]}
    />
    <Field
      name="litres"
      label={t.roomLitres}
      kind="number"
      optional
      start={place?.litres ? String(place.litres) : ''}
    />
    <Field
      name="watts"
      label={t.coolingPowerW}
      kind="number"
      optional
      hint={t.heatItCarriesOff}
      start={place?.watts ? String(place.watts) : ''}
    />
    <Field
      name="warnAbove"
      label={t.tooWarmAbove}
      kind="quantity"
      optional
      hint={t.emptyTheRuleBooks}
      units={temperatureUnits()}
      start={warn}
      startUnit={warnUnit}
    />
    <Field
      name="graceMinutes"
      label={t.longerThanMin}
      kind="number"
      hint={t.doorsAndDefrostsShorter}
      start={String(place?.graceMinutes ?? 30)}
    />
  </div>
</OperationForm>

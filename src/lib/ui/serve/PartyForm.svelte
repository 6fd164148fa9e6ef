<script lang="ts">
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import Ticks from '../controls/Ticks.svelte';
  import { choicePage as t } from '$lib/words/screens/serve.ts';

  /** A party that the cook chooses for: a new one, or what is still to come of one. */
  let {
    dishes,
    party = null
  }: {
    dishes: readonly { readonly id: string; readonly name: string; readonly plates: number }[];
    party?: {
      readonly id: string;
      readonly name: string;
      readonly paceMinutes: number;
      readonly courses: readonly string[];
      readonly seats: readonly unknown[];
    } | null;
  } = $props();
  const options = $derived(dishes.map(({ id, name, plates }) => ({ value: id, name: t.dishLeft(name, plates) })));
</script>

<OperationForm
  operation="set-party"
  subject={`party ${party?.id ?? 'new'}`}
  submit={party ? t.keep : t.begin}
  also={{ party: party?.id ?? '' }}
  resets={!party}
>
  <div class="fields">
    <Field name="name" label={t.name} placeholder={t.namePlaceholder} start={party?.name ?? ''} />
    <Field name="seats" label={t.seats} kind="number" start={String(party?.seats.length ?? 2)} />
    <Field name="pace" label={t.pace} kind="number" start={String(party?.paceMinutes ?? 12)} />
    {#if !party}<Field name="at" label={t.begins} hint={t.now} kind="time" optional />{/if}
    <Field
      name="order"
      label={t.order}
      kind="choice"
      options={[
        { value: 'pale-to-rich', name: t.paleToRich },
        { value: 'as-named', name: t.asNamed }
      ]}
    />
  </div>
  <Ticks name="courses" legend={t.courses} {options} chosen={party?.courses} />
</OperationForm>

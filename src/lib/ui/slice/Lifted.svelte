<script lang="ts">
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { temperatureUnits } from '$lib/ui/units.ts';
  import * as say from '$lib/words/say.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import Evenness from './Evenness.svelte';
  import { cutFor, type SliceSettings } from '$lib/core/bench/slice/settings.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import OnPlate from './OnPlate.svelte';
  import { lifted as t, plateWords } from '$lib/words/screens/slice.ts';

  /** What was just cut: onto a tray with its clock, by one touch and one reading; or to its page. */
  let {
    made,
    labels,
    control,
    units,
    scale,
    playable
  }: {
    made: {
      readonly id: string;
      readonly seq: number;
      readonly name: string;
      readonly grams: number;
      readonly count: number | null;
      readonly onTray: boolean;
      readonly aim: number;
      /** How they were cut; null where nobody wrote it down. */
      readonly plan: SliceSettings | null;
      readonly weighed: { readonly weights: readonly number[]; readonly per: number } | null;
    };
    labels: readonly string[];
    control: string;
    units: UnitPreferences;
    scale: boolean;
    playable: boolean;
  } = $props();
  let plating = $state(false);
  /** Slices that go onto the tray; all of them where it is empty. */
  let count = $state('');
</script>

<section class="sheet stack" data-lifted={made.id}>
  <h2>
    <a class="way" href="/piece/{made.id}">{made.name}</a>
    <small>{made.count === null ? say.mass(made.grams) : t.ofThem(made.count, say.mass(made.grams))}</small>
  </h2>
  {#if made.onTray}
    <p>{t.onItsTray} <a class="way" href="/serve?piece={made.id}">{t.serveThem}</a></p>
  {:else}
    <OperationForm
      operation="start-hold"
      piece={{ id: made.id, seq: made.seq }}
      submit={t.putOnTray}
      also={{ control, all: count === '' }}
    >
      <div class="fields">
        <Field name="label" label={t.tray} among={labels} />
        {#if made.count !== null}
          <Field name="count" label={t.howMany} hint={t.emptyAll} kind="number" optional bind:value={count} />
        {/if}
        <Field name="startCore" label={t.warmest} kind="quantity" units={temperatureUnits()} />
      </div>
    </OperationForm>
    <OperationForm operation="put-slices-back" piece={{ id: made.id, seq: made.seq }} submit={t.notCut} tone="quiet" />
  {/if}
  {#if made.count !== null}
    <Fold title={t.howEven}><Evenness {made} {scale} {playable} /></Fold>
    {#if made.plan}
      <Fold title={plateWords.onAPlate} bind:open={plating}>
        {#if plating}
          <OnPlate cut={cutFor(made.plan.set, made.plan.subject)} style={made.plan.set.style} {units} left={false} />
        {/if}
      </Fold>
    {/if}
  {/if}
</section>

<style>
  h2 {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 1rem;
    align-items: baseline;
  }
</style>

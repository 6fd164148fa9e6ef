<script lang="ts">
  import Button from '$lib/ui/kit/Button.svelte';
  import PlanField from '../plan/PlanField.svelte';
  import { PlanDraft } from '../plan/draft.svelte.ts';
  import { plateSet, type PlateSet } from '$lib/core/activity/slice/plate.ts';
  import type { StyleId } from '$lib/core/activity/slice/lists.ts';
  import { ARRANGED, EACH, platesOf } from '$lib/core/bench/slice/plating.ts';
  import type { SliceOutcome } from '$lib/core/bench/slice/settings.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import { PLATE_FIELDS } from '$lib/words/plans/slice.ts';
  import * as say from '$lib/words/say.ts';
  import { plateWords as t } from '$lib/words/screens/slice.ts';
  import { ARRANGEMENT_WORDS } from '$lib/words/slices.ts';
  import PlateDrawing from './PlateDrawing.svelte';
  import { untrack } from 'svelte';

  /** The slices of this cut on plates: how each lies, how many plates the block gives. */
  let {
    cut,
    style,
    units,
    left
  }: { cut: SliceOutcome; style: StyleId; units: UnitPreferences; /** Rows lean the other way. */ left: boolean } =
    $props();

  const draft = untrack(() => new PlanDraft(plateSet, PLATE_FIELDS, units));
  let which = $state(0);
  // Another cut is laid in its own way.
  $effect.pre(() => {
    const [arrangement, each] = [ARRANGED[style], EACH[style]];
    untrack(() => {
      draft.texts.arrangement = arrangement;
      draft.texts.each = String(each);
      which = 0;
    });
  });
  const read = $derived(draft.read());
  const told = $derived.by(() => {
    if (typeof read === 'string') return read;
    const set = read as PlateSet;
    return draft.attempt(() => platesOf(cut, style, set, which, left));
  });
  const set = $derived(typeof read === 'string' ? null : (read as PlateSet));
</script>

<div class="fields">
  <PlanField {draft} name="arrangement" />
  <PlanField {draft} name="plate" />
  <PlanField {draft} name="each" />
</div>
{#if typeof told === 'string'}
  <p class="trouble" role="alert">{told}</p>
{:else if set}
  {@const { plates, over, shown } = told}
  {#if !shown.fits}
    <p data-plates="0"><b>{shown.most > 0 ? t.tooMany(shown.most) : t.noneLies}</b></p>
    {#if shown.most > 0}
      <Button onclick={() => (draft.texts.each = String(shown.most))}>{t.takeSoMany(shown.most)}</Button>
    {/if}
  {:else}
    <p class="figure" data-plates={plates}>{plates} <small>{t.platesOf(plates, set.each)}</small></p>
    {#if over > 0}<p>{t.over(over)}</p>{/if}
  {/if}
  {#if shown.placed.length > 0}
    <div class="plate">
      <PlateDrawing
        groups={[{ letter: '', placed: shown.placed }]}
        across={set.plate.si}
        called={ARRANGEMENT_WORDS[set.arrangement]}
      />
    </div>
    <p class="soft">
      {shown.overlap === null
        ? t.loose(say.mass(shown.grams))
        : t.overlap(say.points(shown.overlap * 100), say.mass(shown.grams))}
    </p>
    {#if plates > 1}
      <Button onclick={() => (which = (which + 1) % plates)}>{t.nextPlate}</Button>
      <span class="soft">{t.plateNumber(which + 1, plates)}</span>
    {/if}
  {/if}
{/if}
<p class="soft">{t.order}</p>

<style>
  .plate {
    max-width: 26rem;
  }
</style>

<script lang="ts">
  import { untrack } from 'svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import Slide from '$lib/ui/kit/Slide.svelte';
  import Grain from './Grain.svelte';
  import PlanField from '../plan/PlanField.svelte';
  import type { HouseCut } from '$lib/core/activity/slice/fold.ts';
  import { STYLE_IDS } from '$lib/core/activity/slice/lists.ts';
  import * as say from '$lib/words/say.ts';
  import { sliceFields as t } from '$lib/words/screens/slice.ts';
  import { WHY_STYLE, WHY_TIGHT } from '$lib/words/slices.ts';
  import { STYLE_WORDS } from '$lib/words/knife-names.ts';
  import type { SliceDraft } from './draft.svelte.ts';

  /** What is cut, how, and the block it is cut from. */
  let {
    draft,
    own
  }: { draft: SliceDraft; /** Cuts of the house's own. */ own: readonly Pick<HouseCut, 'id' | 'name' | 'like'>[] } =
    $props();
  const advice = $derived(draft.advice());
  const style = $derived(draft.cut);
  const isAdvised = $derived(advice.style === draft.style);
  // A choice of the hand begins the cut anew; what is typed afterwards stands.
  let purpose = $state('');
  let chosen = $state('');
  $effect.pre(() => {
    if (purpose === '') [purpose, chosen] = [draft.texts.purpose!, draft.texts.style!];
    if (draft.texts.purpose !== purpose) {
      draft.take(draft.purpose);
      [purpose, chosen] = [draft.texts.purpose!, draft.texts.style!];
    } else if (draft.texts.style !== chosen) {
      draft.choose(draft.style);
      chosen = draft.texts.style!;
    }
  });
  // So does what comes after it.
  const after: Record<2 | 3, string> = { 2: '', 3: '' };
  $effect.pre(() => {
    for (const row of [2, 3] as const) {
      const style = draft.texts[`style${row}`] ?? '';
      if (style !== after[row]) untrack(() => draft.row(row));
      after[row] = style;
    }
  });
  /** What one slice goes by, as it is dragged: in grams or millimetres, whatever unit it is typed in. */
  const size = $derived.by(() => {
    const name = draft.texts.by === 'weight' && !style.cubes ? ('grams' as const) : ('thickness' as const);
    const settings = draft.settings();
    const value = typeof settings === 'string' ? null : (settings.set[name]?.si ?? null);
    const range = name === 'grams' ? style.grams : style.thicknesses;
    return { name, range, value: value ?? range[0], step: name === 'grams' ? 0.5 : 0.1 };
  });
  const QUARTERS = [1, 2, 3] as const;
  const more = $derived(draft.texts.count !== '' || draft.texts.style2 !== '');
</script>

<div class="fields broad">
  <PlanField {draft} name="purpose" />
  <PlanField {draft} name="style" />
</div>
<input type="hidden" name="cut" value={draft.texts.cut} />
{#if own.length > 0}
  <div class="own" role="group" aria-label={t.ofOurs}>
    <span>{t.ofOurs}</span>
    {#each own as { id, name, like } (id)}
      {@const isChosen = draft.texts.cut === id}
      <Button
        aria-pressed={isChosen}
        onclick={() => {
          draft.choose(like, isChosen ? '' : id);
          chosen = like;
        }}>{name}</Button
      >
    {/each}
  </div>
{/if}
<p class="soft" data-advice={advice.style}>
  {isAdvised ? t.suits : t.betterSuits(STYLE_WORDS[advice.style])}{WHY_STYLE[advice.why]}
  ({advice.tightness.reasons.map(({ code, by }) => WHY_TIGHT[code](by)).join(', ')}).
</p>
{#if !isAdvised}<Button onclick={() => draft.choose(advice.style)}>{t.takeIt}</Button>{/if}
<div class="fields">
  {#if !style.cubes}<PlanField {draft} name="by" />{/if}
  {#if draft.texts.by === 'weight' && !style.cubes}
    <PlanField {draft} name="grams" hint={t.usually(say.mass(style.grams[0]), say.mass(style.grams[1]))} />
  {:else}
    <PlanField
      {draft}
      name="thickness"
      hint={t.usually(say.length(style.thicknesses[0]), say.length(style.thicknesses[1]))}
    />
  {/if}
  {#if draft.texts.by === 'weight' && !style.cubes && draft.texts.hand !== '1'}<PlanField {draft} name="hand" />{/if}
  {#if !style.cubes}<PlanField {draft} name="angle" hint={t.usuallyAngle(style.angles[0], style.angles[1])} />{/if}
</div>
<Slide
  min={size.range[0]}
  max={size.range[1]}
  step={size.step}
  aria-label={size.name === 'grams' ? t.dragTheWeight : t.dragTheThickness}
  value={size.value}
  onslide={(at) => draft.figure(size.name, at)}
/>
{#if !style.cubes && style.angles[0] < 75}
  <Slide
    min="15"
    max="90"
    aria-label={t.dragTheAngle}
    value={draft.texts.angle}
    onslide={(at) => (draft.texts.angle = String(at))}
  />
{/if}
<h3>{t.theBlock}</h3>
{#if draft.ofSide}<p class="soft" data-of-side>{t.ofItsSide}</p>{/if}
{#if draft.guessed}<p class="soft" data-guessed>{t.guessed}</p>{/if}
<div class="fields">
  {#each ['length', 'height', 'width'] as const as name (name)}<PlanField {draft} {name} />{/each}
  <PlanField {draft} name="height4" optional />
  <PlanField {draft} name="width4" optional />
</div>
<Fold title={t.moreOfTheBlock}>
  <div class="fields">
    {#each QUARTERS as at (at)}
      <PlanField {draft} name="height{at}" optional />
      <PlanField {draft} name="width{at}" optional />
    {/each}
    <PlanField {draft} name="edge" />
    <PlanField {draft} name="slantHead" optional />
    <PlanField {draft} name="slantTail" optional />
  </div>
</Fold>
<Fold title={t.grainAndEnds}>
  <div class="fields">
    <PlanField {draft} name="grain" />
    <PlanField {draft} name="first" />
    <PlanField {draft} name="tail" optional />
  </div>
  <Grain grain={Number(draft.texts.grain) || 0} says={t.grainRuns(draft.texts.grain || '0')} />
  <Slide
    min="-45"
    max="45"
    aria-label={t.dragTheGrain}
    value={draft.texts.grain}
    onslide={(at) => (draft.texts.grain = String(at))}
  />
</Fold>
<Fold title={t.howMany} open={more}>
  <div class="fields">
    <PlanField {draft} name="count" optional />
    <PlanField {draft} name="style2" only={['', ...STYLE_IDS]} />
    {#if draft.texts.style2 !== ''}
      <PlanField {draft} name="grams2" optional />
      <PlanField {draft} name="count2" optional />
      <PlanField {draft} name="style3" only={['', ...STYLE_IDS]} />
      {#if draft.texts.style3 !== ''}
        <PlanField {draft} name="grams3" optional />
        <PlanField {draft} name="count3" optional />
      {/if}
    {/if}
  </div>
</Fold>

<style>
  .own {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
    align-items: center;
  }
  h3 {
    font-weight: 700;
    margin-top: 0.9rem;
  }
</style>

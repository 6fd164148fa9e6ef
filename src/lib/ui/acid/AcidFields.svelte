<script lang="ts">
  import { common } from '$lib/words/screens/common.ts';
  import { acidFields as t } from '$lib/words/screens/acid.ts';
  import Line from '$lib/ui/kit/Line.svelte';
  import Slide from '$lib/ui/kit/Slide.svelte';
  import Select from '$lib/ui/kit/Select.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import type { SetPoint } from '$lib/core/activity/acid/lists.ts';
  import { ACID_EDGES } from '$lib/core/activity/acid/plan.ts';
  import { ACID_STYLES } from '$lib/core/bench/acid/styles.ts';
  import { LIQUID_WORDS, LOOK_MEANS, STYLE_WORDS } from '$lib/words/acid.ts';
  import Field from '../controls/Field.svelte';
  import PlanField from '../plan/PlanField.svelte';
  import type { AcidDraft } from './draft.svelte.ts';

  /** What a cook sets: style, cut and size, the liquid part by part, and how far it shall go. */
  let { draft, isForm = false }: { draft: AcidDraft; isForm?: boolean } = $props();

  const most: Record<string, number> = { dice: 24, brick: 40, slice: 10, cylinder: 50, fillet: 25 };
  const isInches = $derived(draft.units.size === 'in');
  const names = [...Object.entries(LIQUID_WORDS), ['water', t.water], ['oil', t.oil]] as [string, string][];
</script>

<Field
  name={isForm ? 'style' : 'second-style'}
  label={t.beginWith}
  kind="choice"
  bind:value={() => draft.style, (id) => draft.take(id)}
  options={ACID_STYLES.map(({ id }) => ({ value: id, name: `${STYLE_WORDS[id].name}: ${STYLE_WORDS[id].what}` }))}
/>
<div class="fields">
  <PlanField {draft} name="cut" />
  <PlanField {draft} name="size" />
  {#each ACID_EDGES[draft.cut].slice(1) as name (name)}
    <PlanField {draft} {name} units={[draft.units.size!]} />
  {/each}
  {#if draft.cut === 'fillet'}<PlanField
      {draft}
      name="faces"
      hint={draft.skinned ? common.skinWasWeighed : undefined}
    />{/if}
  <PlanField {draft} name="wanted" hint={LOOK_MEANS[draft.texts.wanted as SetPoint]} />
  <PlanField {draft} name="celsius" />
</div>
<label class="slide">
  <span>{t.dragTheSize}</span>
  <Slide
    min={isInches ? 0.08 : 2}
    max={isInches ? most[draft.cut]! / 25.4 : most[draft.cut]}
    step={isInches ? 0.02 : 0.5}
    value={Number(draft.texts.size?.replace(',', '.')) || 2}
    onslide={(at) => (draft.texts.size = String(at))}
    aria-label={t.size}
  />
</label>
<fieldset>
  <legend>{t.theLiquid}</legend>
  {#each draft.parts as part, index (index)}
    <div class="part">
      <Select aria-label={t.part(index + 1)} bind:value={part.name}>
        {#each names as [id, name] (id)}<option value={id}>{name}</option>{/each}
      </Select>
      <Line inputmode="decimal" aria-label={t.millilitresOfPart(index + 1)} bind:value={part.ml} />
      <span class="soft">ml</span>
      <Button aria-label={t.leaveOutPart(index + 1)} onclick={() => draft.parts.splice(index, 1)}>×</Button>
    </div>
  {/each}
  <Button onclick={() => draft.parts.push({ name: 'lime', ml: '' })}>{t.anotherPart}</Button>
</fieldset>
{#if isForm}<input type="hidden" name="liquid" value={draft.liquid} />{/if}
<div class="fields">
  <PlanField {draft} name="mass" optional />
  <PlanField {draft} name="measuredPH" optional />
</div>

<style>
  .slide {
    display: grid;
    gap: 0.1rem;
    font-weight: 600;
  }
  fieldset {
    display: grid;
    gap: 0.4rem;
  }
  legend {
    font-weight: 600;
  }
  .part {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 6rem auto 48px;
    gap: 0.5rem;
    align-items: center;
  }
</style>

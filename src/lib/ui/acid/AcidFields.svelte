<script lang="ts">
  import { CUTS, SET_POINTS } from '$lib/core/activity/acid/lists.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import { ACID_STYLES } from '$lib/core/bench/acid/styles.ts';
  import { CUT_WORDS, LIQUID_WORDS, LOOK_MEANS, LOOK_WORDS, STYLE_WORDS } from '$lib/words/acid.ts';
  import Field from '../controls/Field.svelte';
  import { lengthUnits, massUnits, temperatureUnits } from '../units.ts';
  import type { AcidDraft } from './draft.svelte.ts';

  /** What a cook sets: style, cut and size, the liquid part by part, and how far it shall go. */
  let { draft, units, isForm = false }: { draft: AcidDraft; units: UnitPreferences; isForm?: boolean } = $props();

  const most: Record<string, number> = { dice: 24, brick: 40, slice: 10, cylinder: 50, fillet: 25 };
  const sizeLabel: Record<string, string> = {
    dice: 'Edge',
    brick: 'First edge',
    slice: 'Thickness',
    cylinder: 'Across',
    fillet: 'Thickness'
  };
  const isInches = $derived(draft.unit === 'in');
  const names = [...Object.entries(LIQUID_WORDS), ['water', 'water'], ['oil', 'oil']] as [string, string][];
</script>

<Field
  name={isForm ? 'style' : 'second-style'}
  label="Begin with"
  kind="choice"
  bind:value={() => draft.style, (id) => draft.take(id)}
  options={ACID_STYLES.map(({ id }) => ({ value: id, name: `${STYLE_WORDS[id].name}: ${STYLE_WORDS[id].what}` }))}
/>
<div class="row">
  <Field
    name="cut"
    label="Cut"
    kind="choice"
    bind:value={draft.cut}
    options={CUTS.map((value) => ({ value, name: CUT_WORDS[value] }))}
  />
  <Field
    name="size"
    label={sizeLabel[draft.cut]!}
    kind="quantity"
    units={lengthUnits(units)}
    bind:value={draft.size}
    bind:unit={draft.unit}
  />
  {#if draft.cut === 'brick' || draft.cut === 'cylinder'}
    <Field
      name="second"
      label={draft.cut === 'brick' ? 'Second edge' : 'High'}
      kind="quantity"
      units={[draft.unit]}
      bind:value={draft.second}
    />
  {/if}
  {#if draft.cut === 'brick'}
    <Field name="third" label="Third edge" kind="quantity" units={[draft.unit]} bind:value={draft.third} />
  {/if}
  {#if draft.cut === 'fillet'}
    <Field
      name="faces"
      label="Acid comes in by"
      kind="choice"
      bind:value={draft.faces}
      options={[
        { value: '1', name: 'one side (skin on)' },
        { value: '2', name: 'both sides' }
      ]}
    />
  {/if}
  <Field
    name="wanted"
    label="How far"
    kind="choice"
    hint={LOOK_MEANS[draft.wanted]}
    bind:value={draft.wanted}
    options={SET_POINTS.map((value) => ({ value, name: LOOK_WORDS[value] }))}
  />
  <Field
    name="celsius"
    label="Kept at"
    kind="quantity"
    units={temperatureUnits(units)}
    bind:value={draft.celsius}
    bind:unit={draft.celsiusUnit}
  />
</div>
<label class="slide">
  <span>Drag the size</span>
  <input
    type="range"
    min={isInches ? 0.08 : 2}
    max={isInches ? most[draft.cut]! / 25.4 : most[draft.cut]}
    step={isInches ? 0.02 : 0.5}
    value={Number(draft.size.replace(',', '.')) || 2}
    oninput={(event) => (draft.size = event.currentTarget.value)}
    aria-label="Size"
  />
</label>
<fieldset>
  <legend>The liquid</legend>
  {#each draft.parts as part, index (index)}
    <div class="part">
      <select aria-label="Part {index + 1}" bind:value={part.name}>
        {#each names as [id, name] (id)}<option value={id}>{name}</option>{/each}
      </select>
      <input inputmode="decimal" aria-label="Millilitres of part {index + 1}" bind:value={part.ml} />
      <span class="soft">ml</span>
      <button type="button" aria-label="Leave out part {index + 1}" onclick={() => draft.parts.splice(index, 1)}
        >×</button
      >
    </div>
  {/each}
  <button type="button" class="add" onclick={() => draft.parts.push({ name: 'lime', ml: '' })}>Another part</button>
</fieldset>
{#if isForm}<input type="hidden" name="liquid" value={draft.liquid} />{/if}
<div class="row">
  <Field
    name="mass"
    label="Fish in it at a time"
    kind="quantity"
    units={massUnits(units)}
    optional
    hint="empty: all of it; for a dip, as much as goes in at once"
    bind:value={draft.mass}
    bind:unit={draft.massUnit}
  />
  <Field
    name="measuredPH"
    label="pH by meter"
    kind="number"
    optional
    bind:value={draft.measuredPH}
    hint="empty: reckoned from its parts"
  />
</div>

<style>
  .row {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
    gap: 0.7rem;
  }
  .slide {
    display: grid;
    gap: 0.1rem;
    font-weight: 600;
  }
  .slide input {
    width: 100%;
    min-height: 48px;
    accent-color: var(--water-deep);
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
  .part select,
  .part input {
    min-height: 48px;
    border: 1px solid var(--strong-line);
    border-radius: 3px;
    background-color: var(--surface);
    color: var(--ink);
    width: 100%;
    min-width: 0;
  }
  .part input {
    padding: 0 0.6rem;
    font-size: 1.15rem;
    font-weight: 600;
  }
  .part button,
  .add {
    min-height: 48px;
    border: 1px solid var(--strong-line);
    border-radius: 3px;
    padding: 0 0.8rem;
  }
  .add {
    justify-self: start;
  }
</style>

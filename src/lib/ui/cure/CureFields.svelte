<script lang="ts">
  import { brineFigures, partsOf, rateOf } from '$lib/core/bench/cure/brine.ts';
  import { SCHOOL_IDS, type School } from '$lib/core/activity/cure/lists.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import { CANNOT_TELL, DOSING_WORDS, PACK_WORDS, SCHOOL_WORDS } from '$lib/words/cure.ts';
  import { page } from '$app/state';
  import { ALSO_HINT } from '$lib/words/notices.ts';
  import IngredientsField from '../controls/IngredientsField.svelte';
  import Field from '../controls/Field.svelte';
  import { formatLength, formatMass, formatTemperature } from '../format.ts';
  import { lengthUnits, temperatureUnits } from '../units.ts';
  import type { CureDraft, CureSubject } from './draft.svelte.ts';

  /** Everything a plan is made of. The first plan of the bench is a form's; the second is only compared. */
  let {
    draft,
    piece,
    recipes,
    units,
    places,
    means,
    isForm = false
  }: {
    draft: CureDraft;
    piece: CureSubject;
    recipes: readonly { id: string; name: string; school: School; recipe: Parameters<CureDraft['take']>[1] }[];
    units: UnitPreferences;
    places: readonly { id: string; name: string }[];
    /** What each place was on average in the last day, °C. */
    means: Readonly<Record<string, number>>;
    isForm?: boolean;
  } = $props();

  const schools = SCHOOL_IDS.map((value) => ({ value, name: SCHOOL_WORDS[value].name }));
  const method = $derived(draft.method);
  const isBath = $derived(method === 'brine' || method === 'desalt' || method === 'marinade');
  const saltLabel: Record<School, string> = {
    cover: 'Rate, of fish',
    weighed: 'Salt, finished',
    brine: 'Salt, of brine',
    film: 'Salt, of fish',
    desalt: 'Salt in it now',
    marinade: 'Salt, of paste'
  };
  const hoursLabel: Record<School, string> = {
    cover: 'Under salt',
    weighed: 'In the cure',
    brine: 'In the brine',
    film: 'Under the film',
    desalt: 'Each water',
    marinade: 'In the paste'
  };
  const most: Record<School, number> = { cover: 96, weighed: 144, brine: 48, film: 2, desalt: 24, marinade: 96 };
  const number = (text: string) => Number(text.replace(',', '.')) || 0;
  /** Both readings of a rate with a ratio, in grams for this piece. */
  const readings = $derived.by(() => {
    if (method !== 'cover' || draft.parts === '') return null;
    try {
      const [salt, sugar] = partsOf(draft.parts);
      const rate = number(draft.salt) / 100;
      return { salt: rateOf(rate, salt, sugar, 'salt'), mix: rateOf(rate, salt, sugar, 'mix') };
    } catch {
      return null;
    }
  });
  const brine = $derived.by(() => {
    const strength = number(draft.salt) / 100;
    return method === 'brine' && strength > 0 && strength <= 0.2639 ? brineFigures(strength) : null;
  });
  const grams = (share: number) => formatMass(share * piece.grams, units);
  function pick(id: string) {
    const found = recipes.find((each) => each.id === id);
    if (found) draft.take(found.id, found.recipe);
    else draft.recipe = '';
  }
  const mean = $derived(means[draft.place]);
</script>

<div class="schools" role="radiogroup" aria-label="School">
  {#each schools as school (school.value)}
    <label class:on={method === school.value}>
      <input
        type="radio"
        name={isForm ? 'method' : 'second-method'}
        value={school.value}
        checked={method === school.value}
        onchange={() => draft.school(school.value)}
      />
      {school.name}
    </label>
  {/each}
</div>
<p class="soft what">{SCHOOL_WORDS[method].what}</p>
<label class="book">
  <span>From the recipe book</span>
  <select
    name={isForm ? 'recipe' : undefined}
    value={draft.recipe}
    onchange={(event) => pick(event.currentTarget.value)}
  >
    <option value="">as set here</option>
    {#each recipes.filter(({ school }) => school === method) as recipe (recipe.id)}
      <option value={recipe.id}>{recipe.name}</option>
    {/each}
    {#each SCHOOL_IDS.filter((school) => school !== method) as school (school)}
      <optgroup label={SCHOOL_WORDS[school].name}>
        {#each recipes.filter((each) => each.school === school) as recipe (recipe.id)}
          <option value={recipe.id}>{recipe.name}</option>
        {/each}
      </optgroup>
    {/each}
  </select>
  {#if draft.madeFor}
    <small class="soft plain" data-made-for
      >Its hours are for {formatLength(draft.madeFor.mm, units)}, {draft.madeFor.faces === 1
        ? 'skin on'
        : 'both faces open'}; a thicker piece takes longer: see when its middle gets there.</small
    >
  {/if}
</label>
<div class="row">
  <Field name="salt" label={saltLabel[method]} kind="quantity" units={['%']} bind:value={draft.salt} />
  {#if method === 'cover'}
    <Field
      name="parts"
      label="Salt to sugar"
      bind:value={draft.parts}
      placeholder="2:1"
      hint={draft.parts === '' ? 'or the sugar by itself, below' : ''}
      list="{isForm ? 'first' : 'second'}-parts"
    />
    <datalist id="{isForm ? 'first' : 'second'}-parts">
      <option value="1:1"></option><option value="2:1"></option><option value="1:2"></option>
    </datalist>
    {#if draft.parts !== ''}
      <Field
        name="rateMeans"
        label="The rate is of"
        kind="choice"
        bind:value={draft.rateMeans}
        options={[
          { value: 'salt', name: 'the salt' },
          { value: 'mix', name: 'the whole mix' }
        ]}
      />
    {/if}
  {/if}
  {#if method !== 'desalt' && (method !== 'cover' || draft.parts === '')}
    <Field
      name="sugar"
      label={isBath ? 'Sugar, of it' : 'Sugar, of fish'}
      kind="quantity"
      units={['%']}
      bind:value={draft.sugar}
    />
  {/if}
  {#if isBath}
    <Field
      name="bathTimes"
      label={method === 'desalt' ? 'Water, × the fish' : method === 'brine' ? 'Brine, × the fish' : 'Paste, × the fish'}
      kind="number"
      hint="here {grams(number(draft.bathTimes))}"
      bind:value={draft.bathTimes}
    />
  {/if}
  {#if method === 'desalt'}
    <Field name="changes" label="Waters in all" kind="number" bind:value={draft.changes} />
  {/if}
  {#if method === 'marinade'}
    <Field name="pasteWater" label="Water in it" kind="quantity" units={['%']} bind:value={draft.pasteWater} />
    <Field name="presalt" label="Salted first with" kind="quantity" units={['%']} bind:value={draft.presalt} />
    <Field name="presaltMinutes" label="for, minutes" kind="number" bind:value={draft.presaltMinutes} />
  {/if}
  <Field name="hours" label={hoursLabel[method]} kind="quantity" units={['h']} bind:value={draft.hours} />
  <Field name="rest" label="Rest after" kind="quantity" units={['h']} bind:value={draft.rest} />
  <Field name="target" label="Wanted in the middle" kind="quantity" units={['%']} bind:value={draft.target} />
</div>
{#if readings}
  <p class="soft effect" data-readings>
    {draft.salt} % at {draft.parts}: as the salt’s rate {grams(readings.salt.salt)} salt and {grams(
      readings.salt.sugar
    )} sugar; as the mix’s {grams(readings.mix.salt)} and {grams(readings.mix.sugar)}. Cooks mean either: ask.
  </p>
{/if}
{#if brine}
  <p class="soft effect">
    {draft.salt} % by weight is {Math.round(brine.gramsPerLitreOfWater)} g to a litre of water, {Math.round(
      brine.gramsPerKilogram
    )} g in a kilogram, {Math.round(brine.salometer)}° salometer, density {brine.density.toFixed(3)}.
  </p>
{/if}
<label class="slide">
  <span>Drag the time</span>
  <input
    type="range"
    min={method === 'film' ? 0.1 : 1}
    max={most[method]}
    step={method === 'film' ? 0.05 : 1}
    value={number(draft.hours) || 1}
    oninput={(event) => (draft.hours = event.currentTarget.value)}
    aria-label="Time in hours"
  />
</label>
<div class="row">
  <Field
    name="thickness"
    label="Thickness, thick end"
    hint={piece.depth && !draft.flat && draft.thin === '' ? 'along its measured depth' : ''}
    kind="quantity"
    units={lengthUnits(units)}
    bind:value={draft.thickness}
    bind:unit={draft.thicknessUnit}
  />
  <Field
    name="thin"
    label="Thin end"
    hint={piece.depth ? 'empty: as measured' : 'empty: even'}
    kind="quantity"
    units={lengthUnits(units)}
    bind:value={draft.thin}
    bind:unit={draft.thinUnit}
  />
  <Field
    name="faces"
    label="Open to the salt"
    kind="choice"
    bind:value={draft.faces}
    options={[
      { value: '1', name: 'one face (skin on)' },
      { value: '2', name: 'both faces' }
    ]}
  />
  <Field
    name="celsius"
    label="Kept at"
    hint={mean === undefined ? '' : `${draft.place}: ${formatTemperature(mean, units)} in the last day`}
    kind="quantity"
    units={temperatureUnits(units)}
    bind:value={draft.celsius}
    bind:unit={draft.celsiusUnit}
  />
  {#if isForm}
    <Field
      name="place"
      label="Where it lies"
      optional
      bind:value={draft.place}
      list="cure-places"
      placeholder="Drawer 1"
    />
    <datalist id="cure-places"
      >{#each places as place (place.id)}<option value={place.name}></option>{/each}</datalist
    >
    <IngredientsField
      name="also"
      label="Laid on besides"
      optional
      ingredients={page.data.house.ingredients}
      at={page.data.now}
      bind:value={draft.also}
      placeholder="Soy sauce, Ginger"
      hint={ALSO_HINT}
    />
  {/if}
</div>
<details>
  <summary>Where cooks disagree</summary>
  <div class="row">
    {#if !isBath}
      <Field
        name="dosing"
        label="Shared out"
        kind="choice"
        bind:value={draft.dosing}
        options={Object.entries(DOSING_WORDS).map(([value, name]) => ({ value, name }))}
      />
    {/if}
    {#if method === 'cover'}
      <Field
        name="liquid"
        label="Liquid it draws"
        kind="choice"
        bind:value={draft.liquid}
        options={[
          { value: 'kept', name: 'stays with it' },
          { value: 'drained', name: 'drains off' }
        ]}
      />
    {/if}
    {#if isForm}
      <Field
        name="pack"
        label="Packed"
        kind="choice"
        bind:value={draft.pack}
        options={Object.entries(PACK_WORDS).map(([value, name]) => ({ value, name }))}
      />
    {/if}
  </div>
  {#if piece.depth}
    <label class="tick"
      ><input type="checkbox" name={isForm ? 'flat' : undefined} bind:checked={draft.flat} /> Take it as even</label
    >
  {/if}
  {#if isForm}
    <label class="tick"
      ><input type="checkbox" name="turned" bind:checked={draft.turned} /> Turned and basted (else left closed)</label
    >
    <p class="soft effect">{CANNOT_TELL.turned}</p>
    <label class="tick"><input type="checkbox" name="pressed" bind:checked={draft.pressed} /> Pressed</label>
    <p class="soft effect">{CANNOT_TELL.pressed}</p>
  {/if}
  <p class="soft effect">
    {CANNOT_TELL.skin} Salt to sugar, the rate, the liquid and the faces: change them, and the figures beside change.
  </p>
</details>

<style>
  .schools {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem;
  }
  .schools label {
    display: flex;
    align-items: center;
    gap: 0.45rem;
    min-height: 48px;
    padding: 0 0.8rem;
    border: 1px solid var(--strong-line);
    border-radius: 3px;
    background: var(--surface);
  }
  .schools .on {
    border: 2px solid var(--ink);
    background: var(--water-pale);
    font-weight: 650;
  }
  .what {
    max-width: 65ch;
  }
  .book {
    display: grid;
    gap: 0.2rem;
    font-weight: 600;
  }
  .book select {
    min-height: 48px;
    width: 100%;
    border: 1px solid var(--strong-line);
    border-radius: 3px;
    background-color: var(--surface);
    color: var(--ink);
    font-weight: 400;
  }
  .row {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
    gap: 0.7rem;
  }
  .effect {
    font-size: 0.92rem;
    max-width: 70ch;
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
  .tick {
    display: flex;
    align-items: center;
    gap: 0.6rem;
    min-height: 48px;
  }
  .tick input {
    width: 26px;
    height: 26px;
  }
  .book .plain {
    font-weight: 400;
  }
</style>

<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common } from '$lib/words/screens/common.ts';
  import { cureFields as t } from '$lib/words/screens/cure.ts';
  import Slide from '$lib/ui/kit/Slide.svelte';
  import Select from '$lib/ui/kit/Select.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { brineFigures, partsOf, rateOf } from '$lib/core/bench/cure/brine.ts';
  import { SCHOOL_IDS, type School } from '$lib/core/activity/cure/lists.ts';
  import { CURE_ASKS } from '$lib/core/activity/cure/plan.ts';
  import type { CureSubject } from '$lib/core/bench/cure/settings.ts';
  import { CANNOT_TELL, SCHOOL_WORDS } from '$lib/words/cure.ts';
  import { CURE_NAMES } from '$lib/words/cure-names.ts';
  import { page } from '$app/state';
  import { ALSO_WORDS } from '$lib/words/notices.ts';
  import IngredientsField from '../controls/IngredientsField.svelte';
  import PlanField from '../plan/PlanField.svelte';
  import type { CureDraft } from './draft.svelte.ts';

  /** Everything a plan is made of. The first plan of the bench is a form's; the second is only compared. */
  let {
    draft,
    piece,
    recipes,
    places,
    means,
    isForm = false,
    guessed = false
  }: {
    draft: CureDraft;
    piece: CureSubject;
    recipes: readonly { id: string; name: string; school: School; recipe: Parameters<CureDraft['take']>[1] }[];
    places: readonly { id: string; name: string }[];
    /** What each place was on average in the last day, °C. */
    means: Readonly<Record<string, number>>;
    isForm?: boolean;
    /** Its thickness is that of its weight and form: nobody measured it. */
    guessed?: boolean;
  } = $props();

  const schools = SCHOOL_IDS.map((value) => ({ value, name: CURE_NAMES[value].name }));
  const method = $derived(draft.method);
  const set = $derived(draft.texts);
  const asks = $derived(new Set<string>(CURE_ASKS[method]));
  /** Where a ratio of salt to sugar is said, the sugar need not be; where none is, the rate is the salt's. */
  const isAsked = (name: string) =>
    asks.has(name) && !(name === 'sugar' && set.parts !== '') && !(name === 'rateMeans' && set.parts === '');
  /** These have a place of their own: at the top, or where cooks disagree. */
  const ELSEWHERE = ['salt', 'parts', 'rateMeans', 'dosing', 'liquid'];
  const dose = $derived(CURE_ASKS[method].filter((name) => isAsked(name) && !ELSEWHERE.includes(name)));
  const most: Record<School, number> = { cover: 96, weighed: 144, brine: 48, film: 2, desalt: 24, marinade: 96 };
  const number = (text: string) => Number(text.replace(',', '.')) || 0;
  /** Both readings of a rate with a ratio, in grams for this piece. */
  const readings = $derived.by(() => {
    if (method !== 'cover' || !set.parts) return null;
    try {
      const [salt, sugar] = partsOf(set.parts ?? '');
      const rate = number(set.salt ?? '') / 100;
      return { salt: rateOf(rate, salt, sugar, 'salt'), mix: rateOf(rate, salt, sugar, 'mix') };
    } catch {
      return null;
    }
  });
  const brine = $derived.by(() => {
    const strength = number(set.salt ?? '') / 100;
    return method === 'brine' && strength > 0 && strength <= 0.2639 ? brineFigures(strength) : null;
  });
  const grams = (share: number) => say.mass(share * piece.grams);
  function pick(id: string) {
    const found = recipes.find((each) => each.id === id);
    if (found) draft.take(found.id, found.recipe);
    else draft.texts.recipe = '';
  }
  const mean = $derived(means[set.place ?? '']);
</script>

<div class="schools" role="radiogroup" aria-label={common.school}>
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
  <span>{t.fromTheRecipeBook}</span>
  <Select name={isForm ? 'recipe' : undefined} value={set.recipe} onchange={(event) => pick(event.currentTarget.value)}>
    <option value="">{t.asSetHere}</option>
    {#each recipes.filter(({ school }) => school === method) as recipe (recipe.id)}
      <option value={recipe.id}>{recipe.name}</option>
    {/each}
    {#each SCHOOL_IDS.filter((school) => school !== method) as school (school)}
      <optgroup label={CURE_NAMES[school].name}>
        {#each recipes.filter((each) => each.school === school) as recipe (recipe.id)}
          <option value={recipe.id}>{recipe.name}</option>
        {/each}
      </optgroup>
    {/each}
  </Select>
  {#if draft.madeFor}
    <small class="soft plain" data-made-for
      >{t.itsHoursAreFor(say.length(draft.madeFor.mm), draft.madeFor.faces === 1 ? t.skinOn : t.bothFacesOpen)}</small
    >
  {/if}
</label>
<div class="fields">
  <PlanField {draft} name="salt" />
  {#if isAsked('parts')}
    <PlanField {draft} name="parts" hint={set.parts === '' ? t.orTheSugarBy : ''} among={['1:1', '2:1', '1:2']} />
    {#if isAsked('rateMeans')}<PlanField {draft} name="rateMeans" />{/if}
  {/if}
  {#each dose as name (name)}
    <PlanField {draft} {name} hint={name === 'bathTimes' ? t.here(grams(number(set.bathTimes ?? ''))) : undefined} />
  {/each}
</div>
{#if readings}
  <p class="soft effect" data-readings>
    {t.atAsTheSalts(
      set.salt ?? '',
      set.parts ?? '',
      grams(readings.salt.salt),
      grams(readings.salt.sugar),
      grams(readings.mix.salt),
      grams(readings.mix.sugar)
    )}
  </p>
{/if}
{#if brine}
  <p class="soft effect">
    {t.byWeightIsG(
      set.salt ?? '',
      Math.round(brine.gramsPerLitreOfWater),
      Math.round(brine.gramsPerKilogram),
      Math.round(brine.salometer),
      say.exactly(brine.density, 3)
    )}
  </p>
{/if}
<label class="slide">
  <span>{t.dragTheTime}</span>
  <Slide
    min={method === 'film' ? 0.1 : 1}
    max={most[method]}
    step={method === 'film' ? 0.05 : 1}
    value={number(set.hours ?? '') || 1}
    onslide={(at) => (draft.texts.hours = String(at))}
    aria-label={t.timeInHours}
  />
</label>
<div class="fields">
  <PlanField
    {draft}
    name="thickness"
    hint={piece.profile && set.flat !== 'on' && set.thin === ''
      ? t.alongItsMeasuredDepth
      : guessed
        ? t.byWeightMeasureIt
        : ''}
  />
  <PlanField {draft} name="thin" hint={piece.profile ? t.emptyAsMeasured : t.emptyEven} />
  <PlanField {draft} name="faces" hint={draft.skinned ? common.skinWasWeighed : undefined} />
  <PlanField
    {draft}
    name="celsius"
    hint={mean === undefined ? '' : t.inTheLastDay(set.place ?? '', say.temperature(mean))}
  />
  {#if isForm}
    <PlanField {draft} name="place" optional among={places} />
  {/if}
</div>
{#if isForm}
  <IngredientsField
    name="also"
    label={draft.label('also')}
    optional
    ingredients={page.data.house.ingredients}
    at={page.data.now}
    bind:value={draft.texts.also}
    placeholder={draft.words.also.placeholder}
    hint={ALSO_WORDS.hint}
  />
{/if}
<Fold title={t.whereCooksDisagree}>
  <div class="fields">
    {#if isAsked('dosing')}<PlanField {draft} name="dosing" />{/if}
    {#if isAsked('liquid')}<PlanField {draft} name="liquid" />{/if}
    {#if isForm}<PlanField {draft} name="pack" />{/if}
  </div>
  {#if piece.profile}<PlanField {draft} name="flat" />{/if}
  {#if isForm}
    <PlanField {draft} name="turned" />
    <p class="soft effect">{CANNOT_TELL.turned}</p>
    <PlanField {draft} name="pressed" />
    <p class="soft effect">{CANNOT_TELL.pressed}</p>
  {/if}
  <p class="soft effect">
    {t.saltToSugarThe(CANNOT_TELL.skin)}
  </p>
</Fold>

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
  .effect {
    font-size: 0.92rem;
    max-width: 70ch;
  }
  .slide {
    display: grid;
    gap: 0.1rem;
    font-weight: 600;
  }
  .book .plain {
    font-weight: 400;
  }
</style>

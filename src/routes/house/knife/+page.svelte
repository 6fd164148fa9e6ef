<script lang="ts">
  import { yieldsBy } from '$lib/words/screens/charts.ts';
  import { titled } from '$lib/words/screens/common.ts';
  import { houseKnifePage as t } from '$lib/words/screens/house.ts';
  import Select from '$lib/ui/kit/Select.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import Division from '$lib/ui/cut/Division.svelte';
  import HandWeeks from '$lib/ui/slice/HandWeeks.svelte';
  import HouseStyles from '$lib/ui/slice/HouseStyles.svelte';
  import Knives from '$lib/ui/slice/Knives.svelte';
  import { handWeeks } from '$lib/words/screens/slice.ts';
  import Yields from '$lib/ui/charts/Yields.svelte';
  import { USE_WORDS } from '$lib/words/cuts.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const by = yieldsBy;
  const percent = (share: number) => Math.round(share * 1000) / 10;
  const lines = (parts: (typeof data.templates)[number]['parts']) =>
    parts
      .map(({ name, from, to, band, use }) => `${name}; ${percent(from)}-${percent(to)}; ${band}; ${use}`)
      .join('\n');
  const query = (changes: Record<string, string>) =>
    `?${new URLSearchParams({ by: data.history.by, species: data.history.species, ...changes })}`;
</script>

<svelte:head><title>{titled(t.knifeWork)}</title></svelte:head>
<h1>{t.knifeWork}</h1>
<section class="sheet">
  <div class="title">
    <h2>{t.whatBoardsGave}</h2>
    <p class="as" role="group" aria-label={t.by}>
      {#each Object.entries(by) as [key, name] (key)}
        <a href={query({ by: key })} aria-current={data.history.by === key ? 'true' : undefined} data-sveltekit-noscroll
          >{name}</a
        >
      {/each}
    </p>
  </div>
  {#if data.kinds.length > 0}
    <form method="GET" class="of">
      <input type="hidden" name="by" value={data.history.by} />
      <label>
        {t.of}
        <Select
          name="species"
          value={data.history.species}
          onchange={(event) => event.currentTarget.form?.requestSubmit()}
        >
          <option value="">{t.everyKind}</option>
          {#each data.kinds as kind (kind.id)}<option value={kind.id}>{kind.name}</option>{/each}
        </Select>
      </label>
      <noscript><Button type="submit">{t.show}</Button></noscript>
    </form>
  {/if}
  <Yields groups={data.history.groups} by={data.history.by} />
</section>
<section class="sheet stack" data-hands>
  <h2>{handWeeks.hands}</h2>
  {#each data.weeks.hands as hand (hand.person)}
    <h3>{hand.name}</h3>
    <HandWeeks name={hand.name} marks={hand.marks} from={data.weeks.from} to={data.weeks.to} />
  {:else}
    <p>{handWeeks.none}</p>
  {/each}
  {#if data.weeks.hands.length > 0}<p class="soft">{handWeeks.legend}</p>{/if}
</section>
<HouseStyles styles={data.styles} own={data.ownStyles} cuts={data.ownCuts} />
<div class="cards">
  <Knives knives={data.knives} named={(person) => data.people[person] ?? person} />
  <section class="sheet">
    <h2>{t.byProductsPortionsScale}</h2>
    {#key data.houseVersion}
      <OperationForm operation="set-kitchen" seen={data.houseVersion} submit={t.setThese}>
        <h3>{t.whatAByProduct(data.house.currency)}</h3>
        <div class="fields">
          {#each ['mince', 'cook', 'roe', 'crisp', 'stock', 'sear'] as use (use)}
            <Field
              name="credit-{use}"
              label={USE_WORDS[use]!}
              kind="number"
              start={String(data.credits[use as keyof typeof data.credits] ?? '')}
            />
          {/each}
        </div>
        <h3>{t.whatAPortionWeighs}</h3>
        <div class="fields">
          {#each data.portions as portion (portion.id)}
            <Field name="portion-{portion.id}" label={portion.name} kind="number" start={String(portion.grams)} />
          {/each}
        </div>
        <Field
          name="interval"
          label={t.scaleVerificationIntervalE}
          hint={t.onTheScalesPlate}
          kind="number"
          start={String(data.interval)}
        />
      </OperationForm>
    {/key}
  </section>
</div>
<section class="sheet">
  <h2>{t.howASideIs}</h2>
  <p class="soft">
    {t.aCutALine}
  </p>
  <div class="fields wide">
    {#each data.templates as template (template.id)}
      <OperationForm operation="set-template" subject={template.id} submit={t.setThisDivision}>
        <Division parts={template.parts} />
        <Field name="name" label={template.own ? t.nameTheHousesOwn : t.name} start={template.name} />
        <Field name="cuts" label={t.cuts} kind="long" start={lines(template.parts)} />
      </OperationForm>
    {/each}
    <OperationForm operation="set-template" subject="new" submit={t.addADivision}>
      <Field name="name" label={t.aNewOne} placeholder={t.ours} />
      <Field name="cuts" label={t.cuts} kind="long" placeholder={t.centreLoinBackRaw} />
    </OperationForm>
  </div>
</section>

<style>
  section {
    margin-bottom: 0.9rem;
  }
  .fields.wide {
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 18.125rem), 1fr));
    gap: 1.2rem;
  }
  h3 {
    font-weight: 700;
  }
</style>

<script lang="ts">
  import Select from '$lib/ui/kit/Select.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import Division from '$lib/ui/cut/Division.svelte';
  import Yields from '$lib/ui/charts/Yields.svelte';
  import { USE_WORDS } from '$lib/words/cuts.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const by = { species: 'Kind', supplier: 'Supplier', hand: 'Hand', part: 'Part' } as const;
  const percent = (share: number) => Math.round(share * 1000) / 10;
  const lines = (parts: (typeof data.templates)[number]['parts']) =>
    parts
      .map(({ name, from, to, band, use }) => `${name}; ${percent(from)}-${percent(to)}; ${band}; ${use}`)
      .join('\n');
  const query = (changes: Record<string, string>) =>
    `?${new URLSearchParams({ by: data.history.by, species: data.history.species, ...changes })}`;
</script>

<svelte:head><title>Knife work · Ember Tide</title></svelte:head>
<h1>Knife work</h1>
<section class="sheet">
  <div class="title">
    <h2>What boards gave</h2>
    <p class="as" role="group" aria-label="By">
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
        Of
        <Select
          name="species"
          value={data.history.species}
          onchange={(event) => event.currentTarget.form?.requestSubmit()}
        >
          <option value="">every kind</option>
          {#each data.kinds as kind (kind.id)}<option value={kind.id}>{kind.name}</option>{/each}
        </Select>
      </label>
      <noscript><Button type="submit">Show</Button></noscript>
    </form>
  {/if}
  <Yields groups={data.history.groups} by={data.history.by} />
</section>
<div class="cards">
  <section class="sheet">
    <h2>By-products, portions, scale</h2>
    {#key data.houseVersion}
      <OperationForm operation="set-kitchen" seen={data.houseVersion} submit="Set these">
        <h3>What a by-product is worth, {data.house.currency} / kg</h3>
        <div class="fields">
          {#each ['mince', 'cook', 'roe', 'crisp', 'stock', 'sear'] as use (use)}
            <Field
              name="credit-{use}"
              label={USE_WORDS[use]!}
              kind="number"
              value={String(data.credits[use as keyof typeof data.credits] ?? '')}
            />
          {/each}
        </div>
        <h3>What a portion weighs, g</h3>
        <div class="fields">
          {#each data.portions as portion (portion.id)}
            <Field name="portion-{portion.id}" label={portion.name} kind="number" value={String(portion.grams)} />
          {/each}
        </div>
        <Field
          name="interval"
          label="Scale: verification interval e, g"
          hint="On the scale’s plate. What a balance may be out by follows from it (OIML R 76, class III, in service)."
          kind="number"
          value={String(data.interval)}
        />
      </OperationForm>
    {/key}
  </section>
</div>
<section class="sheet">
  <h2>How a side is divided</h2>
  <p class="soft">
    A cut a line: its name; from and to in % of the length from the head end; all, back or belly; its use.
  </p>
  <div class="fields wide">
    {#each data.templates as template (template.id)}
      <OperationForm operation="set-template" subject={template.id} submit="Set this division">
        <Division parts={template.parts} />
        <Field name="name" label={template.own ? 'Name, the house’s own' : 'Name'} value={template.name} />
        <Field name="cuts" label="Cuts" kind="long" value={lines(template.parts)} />
      </OperationForm>
    {/each}
    <OperationForm operation="set-template" subject="new" submit="Add a division">
      <Field name="name" label="A new one" placeholder="Ours" />
      <Field name="cuts" label="Cuts" kind="long" placeholder="Centre loin; 22-76; back; raw" />
    </OperationForm>
  </div>
</section>

<style>
  section {
    margin-bottom: 0.9rem;
  }
  .fields.wide {
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 290px), 1fr));
    gap: 1.2rem;
  }
  h3 {
    font-weight: 700;
  }
</style>

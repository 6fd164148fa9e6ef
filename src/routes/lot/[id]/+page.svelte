<script lang="ts">
  import Table from '$lib/ui/kit/Table.svelte';
  import { page } from '$app/state';
  import MassFlow from '$lib/ui/charts/MassFlow.svelte';
  import { dayAndTime, formatMass } from '$lib/ui/format.ts';
  import LevelMark from '$lib/ui/marks/LevelMark.svelte';
  import { money, perKilo } from '$lib/ui/money.ts';
  import SentBack from '$lib/ui/receive/SentBack.svelte';
  import { GONE_WORDS } from '$lib/words/occupation.ts';
  import { USE_WORDS } from '$lib/words/cuts.ts';
  import { ROUTE_WORDS } from '$lib/words/findings.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const view = $derived(data.view);
  const lot = $derived(view.lot.received);
  const units = $derived(data.house.units);
  const cents = $derived(view.cents.here + view.cents.served + view.cents.lost + view.cents.returned);
  const usable = $derived(view.grams.prime + view.grams.served);
  const to = (changes: Record<string, string>) => {
    const url = new URL(page.url);
    for (const [name, value] of Object.entries(changes)) {
      if (value === '') url.searchParams.delete(name);
      else url.searchParams.set(name, value);
    }
    return url.pathname + url.search;
  };
</script>

<svelte:head><title>{view.lot.id} · Ember Tide</title></svelte:head>
<div class="head">
  <div>
    <h1>{view.species.map(({ name }) => name).join(' or ') || 'Unidentified fish'}</h1>
    <p class="soft">
      Lot {view.lot.id} · {lot.supplier || 'no supplier named'} · in {dayAndTime(lot.at, data.house.zone)} as {lot.form},
      {formatMass(lot.mass.si, units)}
      {#if view.tied.length > 0}
        · tied by batches to {#each view.tied as id (id)}<a class="link" href="/lot/{id}">{id}</a>&nbsp;{/each}
      {/if}
    </p>
  </div>
  <div class="figures">
    <p class="figure">
      {formatMass(usable, units)}
      <small>first grade, here or served{view.tied.length > 0 ? ', of all lots it is tied to' : ''}</small>
    </p>
    {#if view.unpriced.length === 0}
      <p class="figure">
        {usable > 0
          ? perKilo((view.cents.here + view.cents.served) / usable, view.currency)
          : money(cents, view.currency)}
        <small
          >what it costs now{view.tied.length > 0
            ? ', of all of them together'
            : `, bought at ${money((lot.pricePerKg ?? 0) * 100, view.currency)} / kg`}</small
        >
      </p>
    {/if}
  </div>
</div>
{#if view.unpriced.length > 0}
  <p class="trouble">
    No price is on record for {view.unpriced.join(', ')}: money counts it as nothing, and is too low.
  </p>
{/if}

<section class="sheet">
  <div class="title">
    <h2>Why is it so dear: {data.by === 'mass' ? 'where the weight went' : 'where the money went'}</h2>
    <p class="as" role="group" aria-label="Drawn by">
      <a href={to({ by: '' })} aria-current={data.by === 'mass' ? 'true' : undefined} data-sveltekit-noscroll>Mass</a>
      <a href={to({ by: 'money' })} aria-current={data.by === 'money' ? 'true' : undefined} data-sveltekit-noscroll
        >Money</a
      >
    </p>
  </div>
  <MassFlow flow={view.flow} by={data.by} {units} currency={view.currency} />
  <dl>
    <div>
      <dt>First grade here</dt>
      <dd>{formatMass(view.grams.prime, units)}</dd>
    </div>
    <div>
      <dt>By-products here</dt>
      <dd>{formatMass(view.grams.byProduct, units)}</dd>
    </div>
    <div>
      <dt>Served</dt>
      <dd>{formatMass(view.grams.served, units)}</dd>
    </div>
    <div>
      <dt>Waste</dt>
      <dd>{formatMass(view.grams.waste, units)}</dd>
    </div>
    <div>
      <dt>Drip, drying, cure</dt>
      <dd>{formatMass(view.grams.drip, units)}</dd>
    </div>
    <div>
      <dt>Scale and gaps</dt>
      <dd>{formatMass(view.grams.gap, units)}</dd>
    </div>
    <div>
      <dt>Binned</dt>
      <dd>{formatMass(view.grams.binned, units)}</dd>
    </div>
    {#if view.grams.returned > 0}
      <div>
        <dt>Sent back</dt>
        <dd>{formatMass(view.grams.returned, units)}</dd>
      </div>
    {/if}
    <div>
      <dt>Money on plates</dt>
      <dd>{money(view.cents.served, view.currency)}</dd>
    </div>
    <div>
      <dt>Money still here</dt>
      <dd>{money(view.cents.here, view.currency)}</dd>
    </div>
    <div>
      <dt>Money lost</dt>
      <dd>{money(view.cents.lost, view.currency)}</dd>
    </div>
    {#if view.cents.returned > 0}
      <div>
        <dt>Money sent back</dt>
        <dd>{money(view.cents.returned, view.currency)}</dd>
      </div>
    {/if}
  </dl>
</section>

<SentBack lot={view.lot} back={view.back} {units} zone={data.house.zone} currency={data.house.currency} />

<section class="sheet">
  <div class="title">
    <h2>Pieces <span class="soft">{view.count}{view.live ? ' still here' : ' in all'}</span></h2>
    <p class="as" role="group" aria-label="Which pieces">
      <a href={to({ live: '', page: '' })} aria-current={view.live ? undefined : 'true'} data-sveltekit-noscroll>All</a>
      <a href={to({ live: '1', page: '' })} aria-current={view.live ? 'true' : undefined} data-sveltekit-noscroll
        >Still here</a
      >
    </p>
  </div>
  <Table>
    <thead>
      <tr
        ><th>Piece</th><th>Windows</th><th>Use</th><th>Where</th><th class="n">Made</th><th class="n">Left</th><th
          class="n">Cost</th
        ></tr
      >
    </thead>
    <tbody>
      {#each view.rows as row (row.id)}
        <tr class:gone={row.gone !== null} data-piece={row.id}>
          <td>
            <span class="tree" aria-hidden="true">{'· '.repeat(Math.min(6, row.depth))}</span><a
              class="link"
              href="/piece/{row.id}">{row.name}</a
            >
            <span class="soft">{row.id}{row.parents.length > 1 ? ` from ${row.parents.length}` : ''}</span>
          </td>
          <td class="marks">
            {#each row.windows as window (window.route)}
              <span title="{ROUTE_WORDS[window.route]}: {window.state}"
                ><LevelMark state={window.state} size={18} /></span
              >
            {/each}
          </td>
          <td>{row.use === '' ? '' : USE_WORDS[row.use]}</td>
          <td>{row.gone ? GONE_WORDS[row.gone] : row.place}</td>
          <td class="n">{formatMass(row.grams, units)}</td>
          <td class="n">{formatMass(row.left, units)}</td>
          <td class="n">{money(row.in, view.currency)}</td>
        </tr>
      {/each}
    </tbody>
  </Table>
  {#if view.pages > 1}
    <nav class="pages" aria-label="Pages of pieces">
      {#if view.page > 1}<a href={to({ page: String(view.page - 1) })} data-sveltekit-noscroll>Earlier</a>{/if}
      <span>{view.page} of {view.pages}</span>
      {#if view.page < view.pages}<a href={to({ page: String(view.page + 1) })} data-sveltekit-noscroll>Later</a>{/if}
    </nav>
  {/if}
</section>

<style>
  .head,
  .title {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1.5rem;
    justify-content: space-between;
    align-items: start;
    margin-bottom: 0.8rem;
    overflow-wrap: anywhere;
  }
  .figure small {
    display: block;
  }
  section {
    margin-bottom: 0.9rem;
  }
  .pages a {
    display: grid;
    place-items: center;
    min-height: 48px;
    padding: 0 1rem;
    border: 1px solid var(--strong-line);
    font-weight: 600;
  }
  dl {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 1.6rem;
    margin-top: 0.8rem;
  }
  dt {
    font-size: 0.85rem;
    color: var(--soft);
  }
  dd {
    font-weight: 600;
  }
  td,
  th {
    text-align: left;
    padding: 0.3rem 0.8rem 0.3rem 0;
    vertical-align: middle;
  }
  th.n,
  td.n {
    text-align: right;
    white-space: nowrap;
  }
  .marks {
    white-space: nowrap;
  }
  .marks span {
    display: inline-block;
  }
  tr.gone {
    color: var(--soft);
  }
  .tree {
    color: var(--water-deep);
  }
  .pages {
    display: flex;
    gap: 1rem;
    align-items: center;
    margin-top: 0.7rem;
  }
</style>

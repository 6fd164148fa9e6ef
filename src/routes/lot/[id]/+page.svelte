<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common, titled } from '$lib/words/screens/common.ts';
  import { lotOnePage as t } from '$lib/words/screens/piece.ts';
  import Table from '$lib/ui/kit/Table.svelte';
  import { page } from '$app/state';
  import MassFlow from '$lib/ui/charts/MassFlow.svelte';
  import LevelMark from '$lib/ui/marks/LevelMark.svelte';
  import SentBack from '$lib/ui/receive/SentBack.svelte';
  import { GONE_WORDS } from '$lib/words/occupation.ts';
  import { USE_WORDS } from '$lib/words/cuts.ts';
  import { ROUTE_WORDS, STATE_WORDS } from '$lib/words/findings.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const view = $derived(data.view);
  const lot = $derived(view.lot.received);
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

<svelte:head><title>{titled(view.lot.id)}</title></svelte:head>
<div class="head">
  <div>
    <h1>{view.species.map(({ name }) => name).join(' or ') || t.unidentifiedFish}</h1>
    <p class="soft">
      {t.lotInAs(
        view.lot.id,
        lot.supplier || t.noSupplierNamed,
        say.dayAndTime(lot.at),
        lot.form,
        say.mass(lot.mass.si)
      )}
      {#if view.tied.length > 0}
        {t.tiedByBatchesTo}
        {#each view.tied as id (id)}<a class="link" href="/lot/{id}">{id}</a>&nbsp;{/each}
      {/if}
    </p>
  </div>
  <div class="figures">
    <p class="figure">
      {say.mass(usable)}
      <small>{t.firstGradeHereOr(view.tied.length > 0 ? t.ofAllLotsIt : '')}</small>
    </p>
    {#if view.unpriced.length === 0}
      <p class="figure">
        {usable > 0
          ? say.perKilo((view.cents.here + view.cents.served) / usable, view.currency)
          : say.money(cents, view.currency)}
        <small
          >{t.whatItCostsNow(
            view.tied.length > 0 ? t.ofAllOfThem : t.boughtAtKg(say.money((lot.pricePerKg ?? 0) * 100, view.currency))
          )}</small
        >
      </p>
    {/if}
  </div>
</div>
{#if view.unpriced.length > 0}
  <p class="trouble">
    {t.noPriceIsOn(view.unpriced.join(', '))}
  </p>
{/if}

<section class="sheet">
  <div class="title">
    <h2>{t.whyIsItSo(data.by === 'mass' ? t.whereTheWeightWent : t.whereTheMoneyWent)}</h2>
    <p class="as" role="group" aria-label={t.drawnBy}>
      <a href={to({ by: '' })} aria-current={data.by === 'mass' ? 'true' : undefined} data-sveltekit-noscroll
        >{t.mass}</a
      >
      <a href={to({ by: 'money' })} aria-current={data.by === 'money' ? 'true' : undefined} data-sveltekit-noscroll
        >{t.money}</a
      >
    </p>
  </div>
  <MassFlow flow={view.flow} by={data.by} currency={view.currency} />
  <dl>
    <div>
      <dt>{t.firstGradeHere}</dt>
      <dd>{say.mass(view.grams.prime)}</dd>
    </div>
    <div>
      <dt>{t.byProductsHere}</dt>
      <dd>{say.mass(view.grams.byProduct)}</dd>
    </div>
    <div>
      <dt>{t.served}</dt>
      <dd>{say.mass(view.grams.served)}</dd>
    </div>
    <div>
      <dt>{common.waste}</dt>
      <dd>{say.mass(view.grams.waste)}</dd>
    </div>
    <div>
      <dt>{t.dripDryingCure}</dt>
      <dd>{say.mass(view.grams.drip)}</dd>
    </div>
    <div>
      <dt>{t.scaleAndGaps}</dt>
      <dd>{say.mass(view.grams.gap)}</dd>
    </div>
    <div>
      <dt>{t.binned}</dt>
      <dd>{say.mass(view.grams.binned)}</dd>
    </div>
    {#if view.grams.returned > 0}
      <div>
        <dt>{t.sentBack}</dt>
        <dd>{say.mass(view.grams.returned)}</dd>
      </div>
    {/if}
    <div>
      <dt>{t.moneyOnPlates}</dt>
      <dd>{say.money(view.cents.served, view.currency)}</dd>
    </div>
    <div>
      <dt>{t.moneyStillHere}</dt>
      <dd>{say.money(view.cents.here, view.currency)}</dd>
    </div>
    <div>
      <dt>{t.moneyLost}</dt>
      <dd>{say.money(view.cents.lost, view.currency)}</dd>
    </div>
    {#if view.cents.returned > 0}
      <div>
        <dt>{t.moneySentBack}</dt>
        <dd>{say.money(view.cents.returned, view.currency)}</dd>
      </div>
    {/if}
  </dl>
</section>

<SentBack lot={view.lot} back={view.back} currency={data.house.currency} />

<section class="sheet">
  <div class="title">
    <h2>{t.pieces} <span class="soft">{view.count}{view.live ? t.stillHere2 : t.inAll}</span></h2>
    <p class="as" role="group" aria-label={t.whichPieces}>
      <a href={to({ live: '', page: '' })} aria-current={view.live ? undefined : 'true'} data-sveltekit-noscroll
        >{t.all}</a
      >
      <a href={to({ live: '1', page: '' })} aria-current={view.live ? 'true' : undefined} data-sveltekit-noscroll
        >{t.stillHere}</a
      >
    </p>
  </div>
  <Table>
    <thead>
      <tr
        ><th>{common.piece}</th><th>{t.windows}</th><th>{t.use}</th><th>{t.where}</th><th class="n">{t.made}</th><th
          class="n">{t.left}</th
        ><th class="n">{t.cost}</th></tr
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
            <span class="soft">{row.id}{row.parents.length > 1 ? t.from(row.parents.length) : ''}</span>
          </td>
          <td class="marks">
            {#each row.windows as window (window.route)}
              <span title={t.windowOf(ROUTE_WORDS[window.route], STATE_WORDS[window.state])}
                ><LevelMark state={window.state} size={18} /></span
              >
            {/each}
          </td>
          <td>{row.use === '' ? '' : USE_WORDS[row.use]}</td>
          <td>{row.gone ? GONE_WORDS[row.gone] : row.place}</td>
          <td class="n">{say.mass(row.grams)}</td>
          <td class="n">{say.mass(row.left)}</td>
          <td class="n">{say.money(row.in, view.currency)}</td>
        </tr>
      {/each}
    </tbody>
  </Table>
  {#if view.pages > 1}
    <nav class="pages" aria-label={t.pagesOfPieces}>
      {#if view.page > 1}<a href={to({ page: String(view.page - 1) })} data-sveltekit-noscroll>{common.earlier}</a>{/if}
      <span>{t.of(view.page, view.pages)}</span>
      {#if view.page < view.pages}<a href={to({ page: String(view.page + 1) })} data-sveltekit-noscroll
          >{common.later}</a
        >{/if}
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
    font-size: 0.9rem;
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

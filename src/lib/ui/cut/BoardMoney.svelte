<script lang="ts">
  import Table from '$lib/ui/kit/Table.svelte';
  import { formatMass } from '$lib/ui/format.ts';
  import { money, perKilo } from '$lib/ui/money.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { BoardView } from '$lib/server/views/board.ts';

  /** What it gave and what that costs, and how many portions could come from what is on the board now. */
  let { view, units }: { view: BoardView; units: UnitPreferences } = $props();
  const share = $derived(view.input > 0 ? view.usable.grams / view.input : 0);
  const percent = (of: number) => `${Math.round(of * 100)} %`;
  const cost = $derived(view.cost);
  /** Cents a gram, were all of the likely yield to bear it. */
  const likely = $derived(
    cost && view.input > 0 ? cost.in / (view.input * Math.max(0.01, view.forecast.likely)) : null
  );
  const possible = $derived(view.portions.filter(({ count }) => count.high > 0));
</script>

<section class="sheet">
  <h2>Yield and cost</h2>
  {#if view.shown && view.usable.grams > 0}
    <p class="figure">
      {percent(share)}
      <small
        >usable so far: {formatMass(view.usable.grams, units)}; forecast {percent(view.forecast.low)} to {percent(
          view.forecast.high
        )}</small
      >
    </p>
  {/if}
  {#if cost && cost.priced}
    <p>
      Came in at <b>{money(cost.in, cost.currency)}</b>{view.lot.pricePerKg === null
        ? ''
        : `, ${money(view.lot.pricePerKg * 100, cost.currency)} / kg whole`}.
      {#if view.closed && view.usable.grams > 0}
        Usable: <b>{perKilo(view.usable.cents / view.usable.grams, cost.currency)}</b>, after by-products are credited.
      {:else if !view.piece.gone}
        At the likely yield a usable kilogram comes to <b>{perKilo(likely, cost.currency)}</b>, before by-products are
        credited.
      {/if}
    </p>
  {:else}
    <p class="soft">Nobody wrote down what {view.unpriced.join(', ') || 'this lot'} cost: no cost can be said.</p>
  {/if}
  <p><a class="link" href="/lot/{view.lot.id}">Why is it so dear? Mass and money of the lot</a></p>
  <h3>Portions it could give now</h3>
  <Table>
    <tbody>
      {#each possible as portion (portion.id)}
        <tr data-portion={portion.id}>
          <td>{portion.name} <span class="soft">{formatMass(portion.grams, units)}</span></td>
          <td class="n"><b>{portion.count.likely}</b></td>
          <td class="n soft">
            {portion.count.low === portion.count.high ? '' : `${portion.count.low} to ${portion.count.high}`}
          </td>
        </tr>
      {/each}
    </tbody>
  </Table>
  {#if possible.length === 0}
    <p class="soft" data-no-portions>None: by its verdict it may be served in none of the ways your portions name.</p>
  {/if}
  <p class="soft">
    By its verdict and what it was cut for. Each row takes all of it: they do not add up. <a
      class="link"
      href="/house/knife">Set portions</a
    >
  </p>
</section>

<style>
  section {
    display: grid;
    gap: 0.4rem;
  }
  h3 {
    font-weight: 700;
    margin-top: 0.4rem;
  }
  .n {
    text-align: right;
  }
  td {
    padding: 0.15rem 0.5rem 0.15rem 0;
  }
</style>

<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { boardMoney as t } from '$lib/words/screens/break.ts';
  import Table from '$lib/ui/kit/Table.svelte';
  import type { BoardView } from '$lib/server/views/board.ts';

  /** What it gave and what that costs, and how many portions could come from what is on the board now. */
  let { view }: { view: BoardView } = $props();
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
  <h2>{t.yieldAndCost}</h2>
  {#if view.shown && view.usable.grams > 0}
    <p class="figure">
      {percent(share)}
      <small
        >{t.usableSoFarForecast(
          say.mass(view.usable.grams),
          percent(view.forecast.low),
          percent(view.forecast.high)
        )}</small
      >
    </p>
  {/if}
  {#if cost && cost.priced}
    <p>
      {t.cameInAt} <b>{say.money(cost.in, cost.currency)}</b>{view.lot.pricePerKg === null
        ? ''
        : t.kgWhole(say.money(view.lot.pricePerKg * 100, cost.currency))}.
      {#if view.closed && view.usable.grams > 0}
        {t.usable} <b>{say.perKilo(view.usable.cents / view.usable.grams, cost.currency)}</b>{t.afterByProductsAre}
      {:else if !view.piece.gone}
        {t.atTheLikelyYield} <b>{say.perKilo(likely, cost.currency)}</b>{t.beforeByProductsAre}
      {/if}
    </p>
  {:else}
    <p class="soft">{t.nobodyWroteDownWhat(view.unpriced.join(', ') || t.thisLot)}</p>
  {/if}
  <p><a class="link way" href="/lot/{view.lot.id}">{t.whyIsItSo}</a></p>
  <h3>{t.portionsItCouldGive}</h3>
  <Table>
    <tbody>
      {#each possible as portion (portion.id)}
        <tr data-portion={portion.id}>
          <td>{portion.name} <span class="soft">{say.mass(portion.grams)}</span></td>
          <td class="n"><b>{portion.count.likely}</b></td>
          <td class="n soft">
            {portion.count.low === portion.count.high ? '' : t.to(portion.count.low, portion.count.high)}
          </td>
        </tr>
      {/each}
    </tbody>
  </Table>
  {#if possible.length === 0}
    <p class="soft" data-no-portions>{t.noneByItsVerdict}</p>
  {/if}
  <p class="soft">
    {t.byItsVerdictAnd} <a class="link" href="/house/knife">{t.setPortions}</a>
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

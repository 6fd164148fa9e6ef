<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common } from '$lib/words/screens/common.ts';
  import { rackTable as t } from '$lib/words/screens/age.ts';
  import Table from '$lib/ui/kit/Table.svelte';
  import type { RackView } from '$lib/server/views/rack.ts';
  import { adviceWords, outlookWords, readyWords } from '$lib/words/ageing.ts';
  import { lossWanted } from '$lib/core/activity/age/plan.ts';

  /** Everything on the rack: day, weight, loss, when, for which service, and what to do. */
  let { rack, chosen }: { rack: RackView; chosen: string | null } = $props();
  const MOST_SERVICES = 3;
  const services = $derived(rack.services.filter(({ at }) => at >= rack.at).slice(0, MOST_SERVICES));
</script>

<Table least="columns" data-on-rack={rack.pieces.length}>
  <thead>
    <tr>
      <th>{common.piece}</th><th>{t.so}</th><th>{t.day}</th><th>{common.weight}</th><th>{t.lost}</th><th
        >{t.asWanted}</th
      >
      {#each services as service (service.id)}<th>{service.name}</th>{/each}
    </tr>
  </thead>
  <tbody>
    {#each rack.pieces as piece (piece.id)}
      <tr class:chosen={piece.id === chosen} data-row={piece.id}>
        <th scope="row">
          <a class="link name" href="/age?piece={piece.id}" data-sveltekit-noscroll>{piece.name}</a>
          <span class="soft">{piece.id}{piece.run.spot ? ` · ${piece.run.spot}` : ''}</span>
        </th>
        <td>
          <b class:hands={piece.advice.what === 'now'} data-advice={piece.advice.code}>{adviceWords(piece.advice)}</b>
          {#if piece.missed.length > 0}<span class="missed" data-missed={piece.missed.length}>
              {t.notLookedAtOn(piece.missed.length === 1 ? '1 day' : t.days(piece.missed.length))}
            </span>{/if}
          {#if piece.unprepared.length > 0}<span class="missed">{t.hungUnprepared}</span>{/if}
        </td>
        <td>{Math.floor(piece.day) + 1}</td>
        <td>{say.mass(piece.grams)}</td>
        <td>
          {#if piece.run.weighIns.length > 0}
            <b>{say.percent(1 - piece.grams / piece.run.plan.mass.si)}</b>
          {:else}{t.about(say.percent(piece.forecast.loss.likely))}{/if}
          {t.of(say.percent(lossWanted(piece.run.plan)))}
          {#if piece.run.weighIns.length === 0}<span class="missed">{t.notWeighedSince}</span>
          {:else if piece.cost.lostCents !== null}<span class="soft"
              >{t.gone(say.money(piece.cost.lostCents, piece.cost.currency))}</span
            >{/if}
        </td>
        <td>{readyWords(piece.run, piece.forecast)}</td>
        {#each services as service (service.id)}
          {@const outlook = piece.advice.sittings.find(({ id }) => id === service.id)}
          <td class:ready={outlook?.open && outlook.fit === 'ready'} data-for={service.id}>
            {!outlook || piece.stops.length > 0
              ? t.no
              : piece.advice.code === 'not-cleared'
                ? t.notCleared
                : outlookWords(outlook)}
          </td>
        {/each}
      </tr>
    {/each}
  </tbody>
</Table>

<style>
  td,
  th {
    min-width: 4.5rem;
  }
  th[scope='row'] {
    min-width: 9rem;
    max-width: 16rem;
    overflow-wrap: anywhere;
  }
  .name {
    font-weight: 700;
  }
  .soft,
  .missed {
    display: block;
    font-size: 0.9rem;
    font-weight: 400;
  }
  tr.chosen td,
  tr.chosen th {
    background: var(--sunk);
  }
  tr.chosen th {
    box-shadow: inset 4px 0 0 var(--water-deep);
    padding-left: 0.7rem;
  }
  .ready {
    font-weight: 700;
  }
  .hands,
  .missed {
    color: var(--ember);
  }
</style>

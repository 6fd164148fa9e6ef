<script lang="ts">
  import Table from '$lib/ui/kit/Table.svelte';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { RackView } from '$lib/server/views/rack.ts';
  import { formatMass } from '../format.ts';
  import { money } from '../money.ts';
  import { adviceWords, outlookWords, percent, readyWords } from './say.ts';
  import { lossWanted } from '$lib/core/activity/age/plan.ts';

  /** Everything on the rack: day, weight, loss, when, for which service, and what to do. */
  let { rack, chosen, units, zone }: { rack: RackView; chosen: string | null; units: UnitPreferences; zone: string } =
    $props();
  const MOST_SERVICES = 3;
  const services = $derived(rack.services.filter(({ at }) => at >= rack.at).slice(0, MOST_SERVICES));
</script>

<Table least="columns" data-on-rack={rack.pieces.length}>
  <thead>
    <tr>
      <th>Piece</th><th>So</th><th>Day</th><th>Weight</th><th>Lost</th><th>As wanted</th>
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
              not looked at on {piece.missed.length === 1 ? '1 day' : `${piece.missed.length} days`}
            </span>{/if}
          {#if piece.unprepared.length > 0}<span class="missed">hung unprepared</span>{/if}
        </td>
        <td>{Math.floor(piece.day) + 1}</td>
        <td>{formatMass(piece.grams, units)}</td>
        <td>
          {#if piece.run.weighIns.length > 0}
            <b>{percent(1 - piece.grams / piece.run.plan.mass.si)}</b>
          {:else}about {percent(piece.forecast.loss.likely)}{/if} of {percent(lossWanted(piece.run.plan))}
          {#if piece.run.weighIns.length === 0}<span class="missed">not weighed since</span>
          {:else if piece.cost.lostCents !== null}<span class="soft"
              >{money(piece.cost.lostCents, piece.cost.currency)} gone</span
            >{/if}
        </td>
        <td>{readyWords(piece.run, piece.forecast, zone)}</td>
        {#each services as service (service.id)}
          {@const outlook = piece.advice.sittings.find(({ id }) => id === service.id)}
          <td class:ready={outlook?.open && outlook.fit === 'ready'} data-for={service.id}>
            {!outlook || piece.stops.length > 0
              ? 'no'
              : piece.advice.code === 'not-cleared'
                ? 'not cleared'
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
    display: block;
    font-weight: 700;
    min-height: 32px;
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

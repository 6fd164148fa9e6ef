<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { titled } from '$lib/words/screens/common.ts';
  import { freezePlacesOnePage as t } from '$lib/words/screens/cold.ts';
  import Table from '$lib/ui/kit/Table.svelte';
  import ColdLog from '$lib/ui/charts/ColdLog.svelte';
  import type { Track } from '$lib/ui/charts/cold-log.ts';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import ColdTabs from '$lib/ui/cold/ColdTabs.svelte';
  import ExcursionCard from '$lib/ui/cold/ExcursionCard.svelte';
  import { PLACE_KIND_WORDS } from '$lib/words/cuts.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const view = $derived(data.view);
  const now = $derived(houseNow());
  const names = $derived(Object.fromEntries(data.people.map(({ id, name }) => [id, name ?? 'forgotten'])));
  type Log = typeof view.overview;
  const several = $derived(view.overview.sensors.filter(({ probe }) => probe === 'air').length > 1);
  const tracksOf = (log: Pick<Log, 'bins' | 'sensors'>): Track[] => [
    { name: several ? t.airTheWarmestSensor : t.air, kind: 'air', bins: log.bins },
    ...log.sensors
      .filter(({ probe }) => probe === 'core')
      .map(({ name, bins }) => ({ name, kind: 'core' as const, bins }))
  ];
  const tracks = $derived(tracksOf(view.overview).filter(({ bins }) => bins.length > 0));
  async function load(from: number, to: number): Promise<readonly Track[]> {
    const answer = await fetch(`/api/v1/places/${view.place.id}/log?from=${from}&to=${to}&points=700`);
    return answer.ok ? tracksOf((await answer.json()) as Log) : tracks;
  }
</script>

<svelte:head><title>{titled(view.place.name)}</title></svelte:head>
<h1>{view.place.name}</h1>
<ColdTabs />
<p class="soft">
  {t.tooWarmAboveFor(
    PLACE_KIND_WORDS[view.place.kind] ?? '',
    view.place.setPoint ? t.setTo(say.temperature(view.place.setPoint.si)) : '',
    say.temperature(view.place.limit),
    view.place.graceMinutes
  )}
  <a class="link" href="/freeze/places#place-{view.place.id}">{t.setItUp}</a>
</p>
<section class="sheet">
  <h2>{t.itsLog}</h2>
  {#if tracks.length > 0 || view.overview.hand.length > 0}
    <ColdLog
      name="Log of {view.place.name}"
      {tracks}
      dots={view.overview.hand.map(({ at, celsius }) => ({ at, celsius, probe: 'air' as const }))}
      limit={view.place.limit}
      wrong={view.excursions
        .filter(({ kind }) => kind === 'warm' || kind === 'silent')
        .map(({ from, to }) => ({ from, to: to ?? view.at }))}
      from={view.overview.from}
      to={view.overview.to}
      {now}
      {load}
    />
    <p class="soft">
      {t.readingsEveryExtremeIs(say.number(view.overview.readings, 0))}
    </p>
  {:else}
    <p class="soft">
      {t.nothingHasReadIt} <a class="link" href="/freeze/places">{t.nameASensor}</a>{t.then}
      <a class="link" href="/freeze/import">{t.takeInItsFile}</a>{t.orLetItSend}
    </p>
  {/if}
</section>
<div class="cards">
  <section class="sheet">
    <h2>{t.whatWasWrong}</h2>
    {#each view.excursions as excursion (excursion.kind + excursion.from + excursion.cause)}
      <ExcursionCard {excursion} pieces={data.pieceNames} {names} {now} closable={false} />
      {#if !excursion.closed && excursion.to !== null}
        <p><a class="link way" href="/freeze/places">{t.closeItUnderCold}</a></p>
      {/if}
    {:else}<p class="soft">{t.nothingInTheLast}</p>{/each}
  </section>
  <section class="sheet">
    <h2>{t.whoLayHere}</h2>
    <Table>
      <tbody>
        {#each view.stays.slice(0, 60) as stay (stay.piece + stay.from)}
          <tr>
            <td><a class="link" href="/piece/{stay.piece}">{stay.name}</a></td>
            <td class="soft">{t.to(say.dayAndTime(stay.from), stay.to === null ? 'now' : say.dayAndTime(stay.to))}</td>
          </tr>
        {:else}<tr><td class="soft">{t.nobodyHasSaidOf}</td></tr>{/each}
      </tbody>
    </Table>
  </section>
</div>

<style>
  .cards section {
    display: grid;
    gap: 0.6rem;
    min-width: 0;
  }
  .soft + .sheet {
    margin-top: 0.6rem;
  }
</style>

<script lang="ts">
  import { common, titled } from '$lib/words/screens/common.ts';
  import { agePage as t } from '$lib/words/screens/age.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { tick } from 'svelte';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import Aged from '$lib/ui/age/Aged.svelte';
  import AgeRules from '$lib/ui/age/AgeRules.svelte';
  import CabinetAir from '$lib/ui/age/CabinetAir.svelte';
  import HangForm from '$lib/ui/age/HangForm.svelte';
  import Rack from '$lib/ui/age/Rack.svelte';
  import RackTable from '$lib/ui/age/RackTable.svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import PiecePick from '$lib/ui/controls/PiecePick.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const rack = $derived(data.rack);
  const units = $derived(data.house.units);
  const now = $derived(houseNow());
  const names = $derived(Object.fromEntries(data.people.map(({ id, name }) => [id, name ?? 'forgotten'])));
  const piece = $derived(rack.pieces.find(({ id }) => id === data.chosen) ?? null);
  const cabinets = $derived(rack.cabinets.map(({ place }) => place));

  // One form moves a fish, whether it was dragged or carried by name.
  let moving = $state({ piece: '', place: '', spot: '' });
  let carry = $state<HTMLElement>();
  async function move(id: string, place: string, spot: string) {
    moving = { piece: id, place, spot };
    await tick();
    carry?.querySelector<HTMLFormElement>('form')?.requestSubmit();
  }
  const target = $derived(moving.piece !== '' ? moving.piece : (piece?.id ?? ''));
  const targetPlace = $derived(moving.place !== '' ? moving.place : (piece?.run.place ?? ''));
</script>

<svelte:head><title>{titled(t.age)}</title></svelte:head>
<h1>{t.age}</h1>
{#if rack.cabinets.length === 0}
  <p class="sheet gap">
    {t.noAgeingCabinetYet} <a class="link" href="/freeze/places">{common.coldPlaces}</a>
    {t.asACabinetGive}
  </p>
{/if}
{#each rack.cabinets as cabinet (cabinet.place)}
  <section class="cabinet" aria-label={cabinet.place}>
    <div>
      <h2>{cabinet.place}</h2>
      <Rack
        {cabinet}
        pieces={rack.pieces.filter(({ run }) => run.place === cabinet.place)}
        chosen={data.chosen}
        spots={data.spots[cabinet.place]!}
        onmove={(id, spot) => move(id, cabinet.place, spot)}
      />
    </div>
    <div class="sheet"><CabinetAir {cabinet} limit={rack.rules.limitCelsius} {now} /></div>
  </section>
{/each}
{#if rack.pieces.length > 0}
  <section class="sheet gap">
    <h2>{t.whichForWhen}</h2>
    <RackTable {rack} chosen={data.chosen} />
    <p class="soft">
      {rack.services.length === 0 ? t.noServiceIsPlanned : t.servicesArePlannedUnder}<a
        class="link"
        href="/serve#services">{rack.services.length === 0 ? t.planOneUnderServe : t.serve}</a
      >{t.readyIsNineTenths}
    </p>
  </section>
{:else if rack.cabinets.length > 0}
  <p class="sheet gap">{t.nothingHangsHerePick}</p>
{/if}
{#if piece}
  {#key piece.id}
    <div class="halves main gap">
      <Aged
        {piece}
        {rack}
        {units}
        {now}
        {names}
        warnSeconds={data.house.warnMinutes * 60}
        places={data.places}
        playable={data.playable}
      />
    </div>
  {/key}
  <Fold class="sheet gap" bind:element={carry} title={t.carryItToAnother}>
    {#key `${target} ${rack.pieces.map(({ run }) => run.spot).join(' ')}`}
      <OperationForm
        operation="move-aged"
        subject={target}
        submit={t.moveIt}
        onDone={() => (moving = { piece: '', place: '', spot: '' })}
        also={{ piece: target }}
      >
        {#if moving.piece !== ''}
          <input type="hidden" name="place" value={moving.place} />
          <input type="hidden" name="spot" value={moving.spot} />
          <p>{t.to(moving.place, moving.spot)}</p>
        {:else}
          <input type="hidden" name="place" value={targetPlace} />
          <Field
            name="spot"
            label={t.freePlace}
            kind="choice"
            options={(data.free[targetPlace] ?? []).map((spot) => ({ value: spot, name: spot }))}
          />
        {/if}
      </OperationForm>
    {/key}
  </Fold>
{/if}
{#if cabinets.length > 0}
  <section class="gap">
    <h2>{t.hangAPiece}</h2>
    <PiecePick
      pieces={data.hangable}
      chosen={data.hang?.id ?? null}
      away={data.away}
      left={data.left}
      empty={t.nothingThatCouldHang}
    />
    {#if data.hang}
      {#key data.hang.id}
        <div class="sheet">
          <h3>{data.hang.name}</h3>
          <HangForm piece={data.hang} {cabinets} free={data.free} {units} />
        </div>
      {/key}
    {/if}
  </section>
{/if}
{#key `${rack.rules.seq} ${rack.cabinets.map(({ rack: { hooks, shelves, perShelf } }) => `${hooks} ${shelves} ${perShelf}`).join()}`}
  <div class="gap"><AgeRules {rack} /></div>
{/key}
<p class="caution">
  {t.ageingNeedsACabinet}
</p>

<style>
  .cabinet {
    display: grid;
    grid-template-columns: minmax(0, 2fr) minmax(260px, 1fr);
    gap: 1.1rem;
    align-items: start;
    margin-bottom: 1rem;
  }
  .gap {
    margin-bottom: 1rem;
  }
  h3 {
    font-weight: 700;
    margin-bottom: 0.5rem;
  }
  @media (max-width: 62.5em) {
    .cabinet {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>

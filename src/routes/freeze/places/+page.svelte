<script lang="ts">
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { DAY } from '$lib/core/measure/spans.ts';
  import { untrack } from 'svelte';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import ColdTabs from '$lib/ui/cold/ColdTabs.svelte';
  import ExcursionCard from '$lib/ui/cold/ExcursionCard.svelte';
  import PlaceForm from '$lib/ui/cold/PlaceForm.svelte';
  import SensorForm from '$lib/ui/cold/SensorForm.svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import DayStrip from '$lib/ui/charts/DayStrip.svelte';
  import { formatMass, formatTemperature, moment } from '$lib/ui/format.ts';
  import { temperatureUnits } from '$lib/ui/units.ts';
  import { causeWords } from '$lib/words/cold.ts';
  import { PLACE_KIND_WORDS } from '$lib/words/cuts.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const units = $derived(data.house.units);
  const zone = $derived(data.house.zone);
  const now = $derived(houseNow());
  const names = $derived(Object.fromEntries(data.people.map(({ id, name }) => [id, name ?? 'forgotten'])));
  const open = $derived([...data.view.places.flatMap(({ excursions }) => excursions), ...data.view.elsewhere]);
  /** A sensor whose calibration is older than this is worth a look: the usual yearly round. */
  const YEAR = 366 * DAY;
  /** When a sensor of a place last spoke. */
  const spoke = (place: (typeof data.view.places)[number]) =>
    place.sensors.reduce<number | null>(
      (last, sensor) => (sensor.last ? Math.max(last ?? 0, sensor.last) : last),
      null
    );
  // The key on offer stands until a logger has it: live readings load this page anew, and what was copied must not change.
  let offered = $state(untrack(() => data.newKey));
  let given = $state<string | null>(null);
  $effect(() => {
    if (given === null || data.newKey === given) return;
    offered = data.newKey;
    given = null;
  });
  const stale = (day: string | null) => day === null || now - Date.parse(day) > YEAR;
</script>

<svelte:head><title>Cold places · Ember Tide</title></svelte:head>
<h1>Cold places</h1>
<ColdTabs />
{#if open.length > 0}
  <section class="wrong" aria-labelledby="wrong">
    <h2 id="wrong">Wants an answer</h2>
    {#each open as excursion (excursion.place + excursion.kind + excursion.from + excursion.cause)}
      <ExcursionCard {excursion} pieces={data.pieceNames} {names} {units} {zone} {now} />
    {/each}
  </section>
{/if}
{#if data.view.places.length === 0}
  <p class="sheet">
    No place is named yet. Name the freezers, fridges and drawers below, then their sensors: from then on every piece’s
    clocks run by the air it really lay in, and not by an assumed 2 °C.
  </p>
{/if}
<div class="places">
  {#each data.view.places as place (place.id)}
    <section class="sheet place" id="place-{place.id}" data-place={place.id}>
      <div class="head">
        <h2><a href="/freeze/places/{place.id}">{place.name}</a></h2>
        <p class="soft">
          {PLACE_KIND_WORDS[place.kind]}{place.setPoint
            ? `, set to ${formatTemperature(place.setPoint.si, units)}`
            : ''}{place.litres ? `, ${place.litres} l` : ''}
        </p>
      </div>
      {#if place.last}
        <p class="figure" class:warm={place.last.celsius > place.limit}>
          {formatTemperature(place.last.celsius, units)}
          <small
            >{moment(place.last.at, now, zone)}{place.last.by
              ? `, read by ${names[place.last.by] ?? place.last.by}`
              : ''}{place.last.celsius > place.limit ? `, above ${formatTemperature(place.limit, units)}` : ''}</small
          >
        </p>
      {:else}
        <p class="soft">
          {#if place.kind === 'bench'}Not cold: time here counts against the fish.
          {:else if spoke(place)}Silent since {moment(spoke(place)!, now, zone)}: what it was since is not known.
          {:else if place.kind === 'freezer' || place.kind === 'blast'}Nothing has read it: its cold proves nothing yet.
          {:else}Nothing has read it: fish here is taken as {formatTemperature(2, units)}, an assumption.{/if}
        </p>
      {/if}
      {#if place.bins.length > 0}
        <a href="/freeze/places/{place.id}" class="strip" aria-label="The log of {place.name}">
          <DayStrip bins={place.bins} limit={place.limit} to={data.view.at} />
        </a>
      {/if}
      <p class="lies">
        {#each place.pieces as piece, index (piece.id)}{index > 0 ? ', ' : ''}<a class="link" href="/piece/{piece.id}"
            >{piece.name}</a
          >
          <span class="soft">{formatMass(piece.grams, units)}</span>{:else}<span class="soft">Nothing lies here.</span
          >{/each}
      </p>
      {#each place.sensors as sensor (sensor.id)}
        <p class="soft small">
          {sensor.name}: {sensor.probe}, ±{sensor.accuracy} °C, {sensor.calibratedOn
            ? `calibrated ${sensor.calibratedOn}`
            : 'never calibrated here'}{stale(sensor.calibratedOn) ? ' (due)' : ''}, {sensor.count.toLocaleString(
            'en-GB'
          )} readings
        </p>
      {/each}
      {#if place.kind !== 'bench'}
        <Fold title="Read its thermometer">
          <OperationForm operation="read-place" subject={place.id} submit="Write it down" also={{ place: place.name }}>
            <Field name="reading" label="It shows" kind="quantity" units={temperatureUnits(units)} />
            <Field name="at" label="When" kind="time" optional hint="Empty means now." />
          </OperationForm>
        </Fold>
      {/if}
      <Fold title="Set it up">
        <PlaceForm {place} {units} />
        <OperationForm
          operation="set-place"
          subject="{place.id}-off"
          submit="Take off the list"
          tone="quiet"
          also={{ id: place.id, name: place.name, kind: place.kind, withdraw: 'on' }}
        ></OperationForm>
        {#each place.sensors as sensor (sensor.id)}
          <h3>{sensor.name}</h3>
          <SensorForm {sensor} places={data.view.places} />
          <OperationForm
            operation="set-sensor"
            subject="{sensor.id}-off"
            submit="Take {sensor.name} off the list"
            tone="quiet"
            also={{ id: sensor.id, name: sensor.name, withdraw: 'on' }}
          ></OperationForm>
        {/each}
      </Fold>
    </section>
  {/each}
  {#each data.view.unlisted as place (place.name)}
    <section class="sheet place">
      <h2>{place.name}</h2>
      <p class="soft">
        Not on the list of places: nobody knows how cold it is there, and what lies there spends its time in the warm.
      </p>
      <p class="lies">
        {#each place.pieces as piece, index (piece.id)}{index > 0 ? ', ' : ''}<a class="link" href="/piece/{piece.id}"
            >{piece.name}</a
          >{/each}
      </p>
    </section>
  {/each}
</div>
<div class="cards">
  <section class="sheet">
    <Fold open={data.view.places.length === 0} title="A new place">
      <PlaceForm {units} />
    </Fold>
  </section>
  <section class="sheet">
    <Fold title="A new sensor">
      <SensorForm places={data.view.places} />
    </Fold>
    {#each data.view.idle as sensor (sensor.id)}
      <Fold title="{sensor.name}, standing nowhere">
        <SensorForm {sensor} places={data.view.places} />
      </Fold>
    {/each}
    <p class="soft small">
      Its readings come as <a class="link" href="/freeze/import">a logger’s file</a>, live from a logger with a key, or
      from your own eye on the thermometer.
    </p>
  </section>
  <section class="sheet">
    <h2>Loggers that send</h2>
    {#each data.view.devices as device (device.id)}
      <div class="device">
        <p>
          <b>{device.name}</b>
          {#if device.revoked}<span class="soft">key taken back: “{device.revoked.reason}”</span>{/if}
        </p>
        {#if !device.revoked}
          <Fold title="Take its key back">
            <OperationForm
              operation="revoke-device"
              subject={device.id}
              submit="Take it back"
              tone="quiet"
              also={{ device: device.id }}
            >
              <Field name="reason" label="Why" placeholder="lost on the quay" />
            </OperationForm>
          </Fold>
        {/if}
      </div>
    {:else}<p class="soft">None has a key yet.</p>{/each}
    {#each data.view.waiting as each (each.sensor + each.cause)}
      <p class="trouble">{each.count} more readings of {each.sensor} not believed, {causeWords(each.cause)}.</p>
    {/each}
    <Fold title="Give a logger a key">
      <OperationForm operation="key-device" submit="Give it this key" onDone={() => (given = data.newKey)}>
        <Field name="name" label="Logger" placeholder="Chest freezer logger" />
        <Field
          name="key"
          label="Key"
          value={offered}
          hint="Copy it into the logger now: the house keeps only its hash. It sends to POST /api/v1/readings."
        />
      </OperationForm>
    </Fold>
  </section>
</div>

<style>
  .wrong {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 420px), 1fr));
    align-items: start;
    gap: 0.6rem;
    margin-bottom: 1.2rem;
  }
  .wrong h2 {
    grid-column: 1 / -1;
  }
  .places {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(330px, 1fr));
    gap: 1rem;
    align-items: start;
  }
  .place {
    display: grid;
    gap: 0.45rem;
    min-width: 0;
    overflow-wrap: anywhere;
  }
  .head {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: baseline;
    gap: 0 0.8rem;
  }
  .head h2 a {
    display: inline-flex;
    align-items: center;
    min-height: 48px;
    text-decoration: underline;
    text-decoration-color: var(--water);
    text-underline-offset: 4px;
  }
  .warm {
    color: var(--ember);
  }
  .lies {
    line-height: 1.6;
  }
  .device {
    border-top: 1px solid var(--line);
    padding: 0.4rem 0;
  }
  h3 {
    font-weight: 700;
    margin-top: 0.8rem;
  }
</style>

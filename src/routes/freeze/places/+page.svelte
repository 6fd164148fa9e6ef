<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common, titled } from '$lib/words/screens/common.ts';
  import { freezePlacesPage as t } from '$lib/words/screens/cold.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { DAY } from '$lib/core/measure/spans.ts';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import ColdTabs from '$lib/ui/cold/ColdTabs.svelte';
  import ExcursionCard from '$lib/ui/cold/ExcursionCard.svelte';
  import PlaceForm from '$lib/ui/cold/PlaceForm.svelte';
  import SensorForm from '$lib/ui/cold/SensorForm.svelte';
  import Field from '$lib/ui/controls/Field.svelte';
  import Ticks from '$lib/ui/controls/Ticks.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import DayStrip from '$lib/ui/charts/DayStrip.svelte';
  import { temperatureUnits } from '$lib/ui/units.ts';
  import { causeWords } from '$lib/words/cold.ts';
  import { PLACE_KIND_WORDS } from '$lib/words/cuts.ts';
  import type { PageProps } from './$types';

  let { data, form }: PageProps = $props();
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
  interface Keyed {
    readonly device: string;
    readonly key: string | null;
  }
  /** A key is said once, as it is made: it stands here until the page is left. */
  let made = $state<Keyed | null>(null);
  const keyed = $derived(
    made ?? (form?.operation === 'key-device' && form.ok ? (form.result as unknown as Keyed) : null)
  );
  const sensors = $derived(
    [...data.view.places.flatMap((place) => place.sensors), ...data.view.idle].map(({ id, name }) => ({
      value: id,
      name
    }))
  );
  const stale = (day: string | null) => day === null || now - Date.parse(day) > YEAR;
</script>

<svelte:head><title>{titled(common.coldPlaces)}</title></svelte:head>
<h1>{common.coldPlaces}</h1>
<ColdTabs />
{#if open.length > 0}
  <section class="wrong" aria-labelledby="wrong">
    <h2 id="wrong">{t.toDealWith}</h2>
    {#each open as excursion (excursion.place + excursion.kind + excursion.from + excursion.cause)}
      <ExcursionCard {excursion} pieces={data.pieceNames} {names} {now} />
    {/each}
  </section>
{/if}
{#if data.view.places.length === 0}
  <p class="sheet">
    {t.noPlaceIsNamed}
  </p>
{/if}
<div class="places">
  {#each data.view.places as place (place.id)}
    <section class="sheet place" id="place-{place.id}" data-place={place.id}>
      <div class="head">
        <h2><a class="way" href="/freeze/places/{place.id}">{place.name}</a></h2>
        <p class="soft">
          {PLACE_KIND_WORDS[place.kind]}{place.setPoint ? t.setTo(say.temperature(place.setPoint.si)) : ''}{place.litres
            ? `, ${place.litres} l`
            : ''}
        </p>
      </div>
      {#if place.last}
        <p class="figure" class:warm={place.last.celsius > place.limit}>
          {say.temperature(place.last.celsius)}
          <small
            >{say.moment(place.last.at, now)}{place.last.by
              ? t.readBy(names[place.last.by] ?? place.last.by)
              : ''}{place.last.celsius > place.limit ? t.above(say.temperature(place.limit)) : ''}</small
          >
        </p>
      {:else}
        <p class="soft">
          {#if place.kind === 'bench'}{t.notColdTimeHere}
          {:else if spoke(place)}{t.silentSinceWhatIt(say.moment(spoke(place)!, now))}
          {:else if place.kind === 'freezer' || place.kind === 'blast'}{t.nothingHasReadIt}
          {:else}{t.nothingHasReadItFish(say.temperature(2))}{/if}
        </p>
      {/if}
      {#if place.bins.length > 0}
        <a href="/freeze/places/{place.id}" class="strip" aria-label={t.theLogOf(place.name)}>
          <DayStrip bins={place.bins} limit={place.limit} to={data.view.at} />
        </a>
      {/if}
      <p class="lies">
        {#each place.pieces as piece, index (piece.id)}{index > 0 ? ', ' : ''}<a class="link" href="/piece/{piece.id}"
            >{piece.name}</a
          >
          <span class="soft">{say.mass(piece.grams)}</span>{:else}<span class="soft">{t.nothingLiesHere}</span>{/each}
      </p>
      {#each place.sensors as sensor (sensor.id)}
        <p class="soft small">
          {t.cReadings(
            sensor.name,
            sensor.probe,
            sensor.accuracy,
            sensor.calibratedOn ? t.calibrated(say.shortDate(sensor.calibratedOn)) : t.neverCalibratedHere,
            stale(sensor.calibratedOn) ? ' (due)' : '',
            say.number(sensor.count, 0)
          )}
        </p>
      {/each}
      {#if place.kind !== 'bench'}
        <Fold title={t.readItsThermometer}>
          <OperationForm
            operation="read-place"
            subject={place.id}
            submit={common.writeItDown}
            also={{ place: place.name }}
          >
            <Field name="reading" label={t.itShows} kind="quantity" units={temperatureUnits()} />
            <Field name="at" label={common.when} kind="time" optional hint={common.emptyMeansNow} />
          </OperationForm>
        </Fold>
      {/if}
      <Fold title={t.setItUp}>
        <PlaceForm {place} />
        <OperationForm
          operation="set-place"
          subject="{place.id}-off"
          submit={t.takeOffTheList}
          tone="quiet"
          also={{ id: place.id, name: place.name, kind: place.kind, withdraw: 'on' }}
        ></OperationForm>
        {#each place.sensors as sensor (sensor.id)}
          <h3>{sensor.name}</h3>
          <SensorForm {sensor} places={data.view.places} />
          <OperationForm
            operation="set-sensor"
            subject="{sensor.id}-off"
            submit={t.takeOffTheList2(sensor.name)}
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
        {t.notOnTheList}
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
    <Fold open={data.view.places.length === 0} title={t.aNewPlace}>
      <PlaceForm />
    </Fold>
  </section>
  <section class="sheet">
    <Fold title={t.aNewSensor}>
      <SensorForm places={data.view.places} />
    </Fold>
    {#each data.view.idle as sensor (sensor.id)}
      <Fold title={t.standingNowhere(sensor.name)}>
        <SensorForm {sensor} places={data.view.places} />
      </Fold>
    {/each}
    <p class="soft small">
      {t.itsReadingsComeAs} <a class="link" href="/freeze/import">{t.aLoggersFile}</a>{t.liveFromALogger}
    </p>
  </section>
  <section class="sheet">
    <h2>{t.loggersThatSend}</h2>
    {#if keyed}
      <p class="key" role="status" data-key={keyed.key}>
        {#if keyed.key}{t.copyItIntoThe} <code>{keyed.key}</code>{:else}{t.theKeyWasSaidOnce}{/if}
      </p>
    {/if}
    {#each data.view.devices as device (device.id)}
      <div class="device">
        <p>
          <b>{device.name}</b>
          {#if device.sensors}<span class="soft"
              >{t.sendsFor(device.sensors.map((id) => data.view.sensorNames[id] ?? id))}</span
            >
          {/if}
          {#if device.revoked}<span class="soft">{t.keyTakenBack(device.revoked.reason)}</span>{/if}
        </p>
        {#if !device.revoked}
          {#if device.sensors}
            <OperationForm
              operation="key-device"
              subject={device.id}
              submit={t.giveItANewKey}
              tone="quiet"
              also={{ name: device.name, sensors: device.sensors.join(',') }}
              onDone={(result) => (made = result as unknown as Keyed)}
            />
          {/if}
          <Fold title={t.takeItsKeyBack}>
            <OperationForm
              operation="revoke-device"
              subject={device.id}
              submit={t.takeItBack}
              tone="quiet"
              also={{ device: device.id }}
            >
              <Field name="reason" label={common.why} placeholder={t.lostOnTheQuay} />
            </OperationForm>
          </Fold>
        {/if}
      </div>
    {:else}<p class="soft">{t.noneHasAKey}</p>{/each}
    {#each data.view.waiting as each (each.sensor + each.cause)}
      <p class="trouble">{t.moreReadingsOfNot(each.count, each.sensor, causeWords(each.cause))}</p>
    {/each}
    <Fold title={t.giveALoggerA}>
      {#if sensors.length === 0}<p class="soft">{t.nameASensorFirst}</p>{:else}
        <OperationForm
          operation="key-device"
          submit={t.giveItAKey}
          onDone={(result) => (made = result as unknown as Keyed)}
        >
          <Field name="name" label={t.logger} placeholder={t.chestFreezerLogger} />
          <Ticks name="sensors" legend={t.itSendsFor} options={sensors} />
        </OperationForm>
      {/if}
    </Fold>
  </section>
</div>

<style>
  .wrong {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 26.25rem), 1fr));
    align-items: start;
    gap: 0.6rem;
    margin-bottom: 1.2rem;
  }
  .wrong h2 {
    grid-column: 1 / -1;
  }
  .places {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 20.625rem), 1fr));
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
  .key code {
    display: block;
    overflow-wrap: anywhere;
    font-size: 1.1rem;
    padding: 0.5rem 0;
    user-select: all;
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

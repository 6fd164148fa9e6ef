<script lang="ts">
  import { thickest } from '$lib/core/bench/breakdown/depth.ts';
  import { AIR_CLASS_IDS, LIE_IDS, PACKING_IDS, SHAPE_IDS } from '$lib/core/activity/freeze/bodies.ts';
  import { untrack } from 'svelte';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { Place } from '$lib/core/activity/cold/fold.ts';
  import type { PieceChoice } from '$lib/server/facts/choices.ts';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import { AIR_WORDS, LIE_WORDS, loadWords, PACKING_WORDS, SHAPE_WORDS } from '$lib/words/cold.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import PieceTicks from '../controls/PieceTicks.svelte';
  import ForecastDrawing from './ForecastDrawing.svelte';
  import { dayAndTime, formatDuration, formatLength, formatTemperature } from '../format.ts';
  import { lengthUnits, startWith, temperatureUnits } from '../units.ts';
  import type { forecastFreeze } from '$lib/server/plans/freeze.ts';

  /** A load on its way into a freezer: what, where, which cycle, and what is to be expected of it. */
  let {
    view,
    pieces,
    places,
    sensors,
    cycles,
    units,
    zone,
    now
  }: {
    view: PieceView;
    pieces: readonly PieceChoice[];
    places: readonly Place[];
    sensors: readonly { id: string; name: string; place: string }[];
    cycles: readonly { value: string; name: string }[];
    units: UnitPreferences;
    zone: string;
    now: number;
  } = $props();

  type Forecast = ReturnType<typeof forecastFreeze>;
  const options = (ids: readonly string[], words: Record<string, string>) =>
    ids.map((value) => ({ value, name: words[value] ?? value }));
  // svelte-ignore state_referenced_locally
  const [firstAir, firstUnit] = startWith('temperature', places[0]?.setPoint?.si ?? -25, units);
  // svelte-ignore state_referenced_locally
  const [firstCore] = startWith('temperature', 2, units);
  // svelte-ignore state_referenced_locally
  let place = $state(places[0]?.name ?? '');
  let air = $state(firstAir);
  let airUnit = $state(firstUnit);
  // svelte-ignore state_referenced_locally
  let airClass = $state<string>(places[0]?.airClass ?? 'still');
  let packing = $state('film');
  let shape = $state('slab');
  let lie = $state('unknown');
  let stack = $state('');
  let thickness = $state('');
  let thicknessUnit = $state<string>();
  let startCore = $state(firstCore);
  let startUnit = $state(firstUnit);
  let cycle = $state('');
  let others = $state<string[]>([]);
  let forecast = $state.raw<Forecast | null>(null);
  let trouble = $state('');
  $effect(() => {
    cycle ||= cycles[0]?.value ?? '';
  });
  const loaded = $derived(pieces.filter(({ id }) => others.includes(id)));
  const most = $derived(
    Math.max(
      thickest(view.piece.depth ?? null) ?? view.piece.made.thicknessMm ?? 0,
      ...loaded.map((piece) => piece.thicknessMm ?? 0)
    )
  );
  // What was typed stands until the choice itself changes: the page's data come anew with every reading of the house.
  $effect(() => {
    const millimetres = most;
    untrack(() => {
      if (millimetres > 0) [thickness, thicknessUnit] = startWith('length', millimetres, units);
      else thickness = '';
    });
  });
  /** A known freezer brings its set point and its air with it. */
  function atPlace(name: string) {
    const known = places.find((each) => each.name === name);
    if (!known) return;
    if (known.setPoint) [air, airUnit] = startWith('temperature', known.setPoint.si, units);
    airClass = known.airClass;
  }
  $effect(() => {
    const name = place;
    untrack(() => atPlace(name));
  });
  const pieceId = $derived(view.piece.id);
  $effect(() => {
    if (thickness === '') return void (forecast = null);
    const with_ = (text: string, unit: string | undefined) => (/[a-z°]/i.test(text) ? text : `${text} ${unit}`);
    const asked = new URLSearchParams({
      air: with_(air, airUnit ?? '°C'),
      airClass,
      packing,
      shape,
      lie,
      stack: lie === 'stacked' ? stack : '',
      place,
      piece: pieceId,
      others: others.join(','),
      thickness: with_(thickness, thicknessUnit ?? 'mm'),
      startCore: with_(startCore, startUnit ?? '°C'),
      cycle
    });
    const timer = setTimeout(async () => {
      const answer = await fetch(`/api/v1/preview/freeze?${asked}`);
      const body = await answer.json();
      forecast = answer.ok ? body : null;
      trouble = answer.ok ? '' : body.detail;
    }, 150);
    return () => clearTimeout(timer);
  });
  const cycleName = (id: string) => cycles.find(({ value }) => value === id)?.name ?? id;
  const mine = $derived(forecast?.chances.find((chance) => chance.cycle.id === forecast!.cycle.id));
  const able = $derived(
    forecast?.elsewhere.flatMap(({ place: name, chances }) =>
      chances.flatMap((chance) => (chance.complete ? [{ name, chance }] : []))
    ) ?? []
  );
</script>

<div class="two">
  <section class="sheet">
    <h2>Put {view.piece.made.name} in a freezer</h2>
    <OperationForm
      operation="start-freeze"
      subject={view.piece.id}
      seen={view.piece.lastSeq}
      submit={others.length > 0 ? `Into the freezer, ${others.length + 1} pieces` : 'Into the freezer'}
      tone="ember"
    >
      <input type="hidden" name="piece" value={view.piece.id} />
      <input type="hidden" name="others" value={others.join(',')} />
      <div class="row">
        <Field name="place" label="Freezer" list="freezers" placeholder="Chest freezer" bind:value={place} />
        <div class="whole">
          <Field name="cycle" label="Cycle of the rule book" kind="choice" options={cycles} bind:value={cycle} />
        </div>
        <Field
          name="air"
          label="Freezer air"
          kind="quantity"
          units={temperatureUnits(units)}
          bind:value={air}
          bind:unit={airUnit}
        />
        <Field
          name="airClass"
          label="What moves the air"
          kind="choice"
          options={options(AIR_CLASS_IDS, AIR_WORDS)}
          bind:value={airClass}
        />
        <Field
          name="packing"
          label="Packed"
          kind="choice"
          options={options(PACKING_IDS, PACKING_WORDS)}
          bind:value={packing}
        />
        <Field name="shape" label="Shape" kind="choice" options={options(SHAPE_IDS, SHAPE_WORDS)} bind:value={shape} />
        <Field
          name="lie"
          label="How they lie"
          kind="choice"
          options={options(LIE_IDS, LIE_WORDS)}
          hint={lie === 'unknown' && others.length > 0 ? 'reckoned as one block until you say' : ''}
          bind:value={lie}
        />
        {#if lie === 'stacked'}
          <Field name="stack" label="How many on each other" kind="number" bind:value={stack} />
        {/if}
        <Field
          name="thickness"
          label={lie === 'apart' ? 'Thickest point' : 'Thickest point of one'}
          hint={view.piece.depth ? 'of its measured depth' : ''}
          kind="quantity"
          units={lengthUnits(units)}
          bind:value={thickness}
          bind:unit={thicknessUnit}
        />
        <Field
          name="startCore"
          label="Core now"
          kind="quantity"
          units={temperatureUnits(units)}
          bind:value={startCore}
          bind:unit={startUnit}
        />
        {#if sensors.length > 0}
          <Field
            name="coreSensor"
            label="A probe in this core"
            hint="of the thickest piece; its readings then count for this load"
            kind="choice"
            options={[{ value: '', name: 'none' }, ...sensors.map(({ id, name }) => ({ value: id, name }))]}
          />
        {/if}
      </div>
      <datalist id="freezers"
        >{#each places as each (each.id)}<option value={each.name}></option>{/each}</datalist
      >
    </OperationForm>
    {#if pieces.length > 0}
      <details>
        <summary>More pieces go in with it{others.length > 0 ? `: ${others.length}` : ''}</summary>
        <PieceTicks {pieces} {units} bind:picked={others} />
      </details>
    {/if}
  </section>
  <section class="sheet" aria-live="polite">
    <h2>When the core arrives</h2>
    {#if forecast?.arrival}
      <p class="figure">
        {formatDuration(forecast.arrival.likely)}
        <small>likely, to {formatTemperature(forecast.target, units)}</small>
      </p>
      <p>
        Between {formatDuration(forecast.arrival.low)} and {formatDuration(forecast.arrival.high)}. The slow end counts
        until a core reading says better.
      </p>
      {#if mine?.complete}
        <p class="window" data-earliest>
          Raw at the earliest <b>{dayAndTime(now + mine.complete.high * 1000, zone)}</b>, if the log proves every hour;
          by the likely core {dayAndTime(now + mine.complete.likely * 1000, zone)}.
        </p>
      {/if}
      <ForecastDrawing {forecast} limit={forecast.target} beside="medium" {now} {zone} {units} />
      <p class="soft small">
        Pham (1986): {forecast.pham ? formatDuration(forecast.pham.likely) : 'no answer'}; simulated on the enthalpy: {forecast.simulated
          ? formatDuration(forecast.simulated.likely)
          : 'no answer'}. Band of both over air, packing and method; the slower counts. On flat pieces the formula reads
        up to a fifth longer.
      </p>
    {:else if forecast}
      <p class="trouble" data-cannot>
        This freezer cannot do it: for {cycleName(forecast.cycle.id)} its air has to be {formatTemperature(
          mine?.needsAir ?? forecast.target - 1,
          units
        )} or colder. In air of the target itself the core creeps towards it and never arrives.
      </p>
      <ul class="could">
        {#each able as { name, chance } (name + chance.cycle.id)}
          <li>
            <b>{name}</b> could: {cycleName(chance.cycle.id)}, complete {dayAndTime(
              now + chance.complete!.high * 1000,
              zone
            )} at the slow end.
          </li>
        {/each}
        {#each forecast.chances.filter(({ complete }) => complete) as chance (chance.cycle.id)}
          <li>This freezer could: {cycleName(chance.cycle.id)}.</li>
        {/each}
        <li>A colder set point could: {formatTemperature(mine?.needsAir ?? forecast.target - 1, units)}.</li>
        <li>A supplier who freezes it and states temperature and time in writing could; so could the pan.</li>
      </ul>
    {:else}
      <p class="soft">{trouble || 'Give the thickness, and the forecast stands here.'}</p>
    {/if}
    {#if forecast}
      {#each forecast.load as warning (warning.code)}
        <p class={warning.code === 'load.unknown' ? 'soft small' : 'trouble'} data-load={warning.code}>
          {loadWords(warning)}
        </p>
      {/each}
      <table class="plain">
        <thead><tr><th>Cycle</th><th>Air it needs</th><th>Complete, likely to slow</th></tr></thead>
        <tbody>
          {#each forecast.chances as chance (chance.cycle.id)}
            <tr>
              <td>{cycleName(chance.cycle.id)}</td>
              <td>{formatTemperature(chance.needsAir, units)}</td>
              <td>
                {#if chance.complete}{dayAndTime(now + chance.complete.likely * 1000, zone)} to {dayAndTime(
                    now + chance.complete.high * 1000,
                    zone
                  )}{:else}not in this air{/if}
              </td>
            </tr>
          {/each}
        </tbody>
      </table>
      {#if forecast.thinner !== null && forecast.arrival && forecast.arrival.likely > 8 * 3600}
        <p class="soft small">Cut to {formatLength(forecast.thinner, units)}, the core would likely be there in 8 h.</p>
      {/if}
    {/if}
    <p class="caution">
      The clock starts when the core is at temperature, not when the door shuts. Salt, lime, vinegar, wasabi and spirits
      kill no worms. Guidance only: your local code decides.
    </p>
  </section>
</div>

<style>
  .two {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1.15fr);
    gap: 1.2rem;
    align-items: start;
  }
  .row {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
    gap: 0.8rem;
  }
  .whole {
    grid-column: 1 / -1;
    order: 1;
  }
  .small {
    font-size: 0.92rem;
    margin-top: 0.5rem;
  }
  .window {
    margin: 0.5rem 0;
    padding: 0.4rem 0.8rem;
    border-left: 4px solid var(--water);
    background: var(--sunk);
  }
  .could {
    margin: 0.6rem 0;
    display: grid;
    gap: 0.3rem;
    list-style: disc;
    padding-left: 1.2rem;
  }
  .trouble,
  .caution {
    margin-top: 0.7rem;
  }
  @media (max-width: 1000px) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>

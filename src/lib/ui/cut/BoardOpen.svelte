<script lang="ts">
  import Select from '$lib/ui/kit/Select.svelte';
  import { page } from '$app/state';
  import { goto } from '$app/navigation';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import { OUT_OF_COLD_CELSIUS } from '$lib/core/rules/out-of-cold.ts';
  import { formatDuration } from '$lib/core/measure/format.ts';
  import { formatMass, formatTemperature } from '$lib/ui/format.ts';
  import { massUnits, temperatureUnits } from '$lib/ui/units.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import { CHOICE_WORDS, MAP_WORDS, SCHOOL_WORDS, STEP_WORDS } from '$lib/words/cuts.ts';
  import type { BoardView } from '$lib/server/views/board.ts';

  /** Before the knife: what it should give, how it is to be cut, and the start of its time out of the cold. */
  let { view, units }: { view: BoardView; units: UnitPreferences } = $props();
  const kilo = (share: number) => formatMass(share * view.piece.grams, units);
  const percent = (share: number) => `${Math.round(share * 100)} %`;
  /** Map, school and ways stand in the address, so that the drawing and the order of work follow at once. */
  function choose(name: string, value: string) {
    const url = new URL(page.url);
    url.searchParams.set('piece', view.piece.id);
    url.searchParams.set(name, value);
    if (name === 'map') for (const each of ['school', 'template']) url.searchParams.delete(each);
    void goto(url.pathname + url.search, { noScroll: true, keepFocus: true });
  }
</script>

<section class="sheet">
  <h2>Before the knife</h2>
  <p class="figure">
    {kilo(view.forecast.likely)} <small>usable, likely: {percent(view.forecast.likely)}</small>
  </p>
  <p class="soft">
    Eight boards in ten: {kilo(view.forecast.low)} to {kilo(view.forecast.high)} ({percent(view.forecast.low)} to {percent(
      view.forecast.high
    )}).
    {#if view.forecast.runs === 0}By typical shares of its kind and form; no board of this house yet.{:else}From {view
        .forecast.runs} board{view.forecast.runs === 1 ? '' : 's'} of this kind here, {view.forecast.ofSupplier} of them from
      this supplier, and typical shares.{/if}
  </p>
  <OperationForm operation="open-board" piece={view.piece} submit="Put it on the board" tone="ember">
    <div class="fields">
      <label>
        Cut map
        <Select name="map" value={view.map} onchange={(event) => choose('map', event.currentTarget.value)}>
          {#each view.maps as map (map)}
            <option value={map}>{MAP_WORDS[map]}{map === view.suggested ? ' · fits' : ''}</option>
          {/each}
        </Select>
      </label>
      <label>
        School
        <Select name="school" value={view.school} onchange={(event) => choose('school', event.currentTarget.value)}>
          {#each view.schools as school (school)}<option value={school}>{SCHOOL_WORDS[school]?.name}</option>{/each}
        </Select>
      </label>
      {#if view.map === 'side'}
        <label>
          Division
          <Select
            name="template"
            value={view.template}
            onchange={(event) => choose('template', event.currentTarget.value)}
          >
            {#each view.templates as template (template.id)}<option value={template.id}>{template.name}</option>{/each}
          </Select>
        </label>
      {/if}
      {#each view.choices as choice (choice.id)}
        <label>
          {CHOICE_WORDS[choice.id]}
          <Select
            name="way-{choice.id}"
            value={view.ways[choice.id]}
            onchange={(event) => choose(`way-${choice.id}`, event.currentTarget.value)}
          >
            {#each choice.ways as way (way)}<option value={way}>{STEP_WORDS[way]?.do}</option>{/each}
          </Select>
        </label>
      {/each}
      <Field name="mass" label="Weighed now" kind="quantity" units={massUnits(units)} optional />
      <Field name="core" label="Core now" kind="quantity" units={temperatureUnits(units)} optional />
    </div>
    <p class="soft">
      From here its time out of the cold runs, taken as {formatTemperature(OUT_OF_COLD_CELSIUS, units)} until a probe says
      better.
      {#if view.warm}<b
          >It has {formatDuration(view.warm.left)} left in the warm for its whole life: a board of {formatDuration(
            view.warm.usual
          )} leaves {formatDuration(view.warm.after)} for the tray.</b
        > Cold cores read before and after a short board spend nothing.{/if}
    </p>
  </OperationForm>
</section>

<style>
  section {
    display: grid;
    gap: 0.5rem;
  }
  label {
    display: grid;
    font-weight: 600;
    min-width: 0;
  }
</style>

<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common } from '$lib/words/screens/common.ts';
  import { boardOpen as t } from '$lib/words/screens/break.ts';
  import Select from '$lib/ui/kit/Select.svelte';
  import { page } from '$app/state';
  import { goto } from '$app/navigation';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import { OUT_OF_COLD_CELSIUS } from '$lib/core/rules/out-of-cold.ts';
  import { massUnits, temperatureUnits } from '$lib/ui/units.ts';
  import { CHOICE_WORDS, MAP_WORDS, SCHOOL_WORDS, STEP_WORDS } from '$lib/words/cuts.ts';
  import type { BoardView } from '$lib/server/views/board.ts';

  /** Before the knife: what it should give, how it is to be cut, and the start of its time out of the cold. */
  let { view }: { view: BoardView } = $props();
  const kilo = (share: number) => say.mass(share * view.piece.grams);
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
  <h2>{t.beforeTheKnife}</h2>
  <p class="figure">
    {kilo(view.forecast.likely)} <small>{t.usableLikely(percent(view.forecast.likely))}</small>
  </p>
  <p class="soft">
    {t.eightBoardsInTen(
      kilo(view.forecast.low),
      kilo(view.forecast.high),
      percent(view.forecast.low),
      percent(view.forecast.high)
    )}
    {#if view.forecast.runs === 0}{t.byTypicalSharesOf}{:else}{t.fromBoardOfThis(
        view.forecast.runs,
        view.forecast.runs === 1 ? '' : 's',
        view.forecast.ofSupplier
      )}{/if}
  </p>
  <OperationForm operation="open-board" piece={view.piece} submit={t.putItOnThe} tone="ember">
    <div class="fields">
      <label>
        {t.cutMap}
        <Select name="map" value={view.map} onchange={(event) => choose('map', event.currentTarget.value)}>
          {#each view.maps as map (map)}
            <option value={map}>{MAP_WORDS[map]}{map === view.suggested ? t.fits : ''}</option>
          {/each}
        </Select>
      </label>
      <label>
        {common.school}
        <Select name="school" value={view.school} onchange={(event) => choose('school', event.currentTarget.value)}>
          {#each view.schools as school (school)}<option value={school}>{SCHOOL_WORDS[school]?.name}</option>{/each}
        </Select>
      </label>
      {#if view.map === 'side'}
        <label>
          {t.division}
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
      <Field name="mass" label={t.weighedNow} kind="quantity" units={massUnits()} optional />
      <Field name="core" label={t.coreNow} kind="quantity" units={temperatureUnits()} optional />
    </div>
    <p class="soft">
      {t.fromHereItsTime(say.temperature(OUT_OF_COLD_CELSIUS))}
      {#if view.warm}<b
          >{t.itHasLeftIn(say.span(view.warm.left), say.span(view.warm.usual), say.span(view.warm.after))}</b
        >
        {t.coldCoresReadBefore}{/if}
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

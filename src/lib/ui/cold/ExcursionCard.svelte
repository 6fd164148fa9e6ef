<script lang="ts">
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { CORRECTIVE } from '$lib/core/activity/cold/bodies.ts';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { PlaceExcursion } from '$lib/server/facts/excursions.ts';
  import { CORRECTIVE_WORDS, excursionTitle, WHAT_MAY_BE_DONE } from '$lib/words/cold.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import { dayAndTime, formatDuration, formatTemperature } from '../format.ts';

  /** Something a log shows: since when, how far, what lay there, what may be done; and, once it is over, its closing. */
  let {
    excursion,
    pieces,
    names,
    units,
    zone,
    now,
    closable = true
  }: {
    excursion: PlaceExcursion;
    /** Names of pieces, by id. */
    pieces: Readonly<Record<string, string>>;
    names: Readonly<Record<string, string>>;
    units: UnitPreferences;
    zone: string;
    now: number;
    closable?: boolean;
  } = $props();
  const MOST = 8;
</script>

<article class:closed={excursion.closed} data-excursion={excursion.kind}>
  <h3>{excursionTitle(excursion)}</h3>
  <p>
    {#if excursion.kind === 'quarantine'}
      told {dayAndTime(excursion.from, zone)}
    {:else}
      {dayAndTime(excursion.from, zone)}, {excursion.to === null
        ? `for ${formatDuration((now - excursion.from) / 1000)} now`
        : excursion.to > excursion.from
          ? `for ${formatDuration((excursion.to - excursion.from) / 1000)}`
          : 'one reading'}{#if excursion.peak !== null}, up to {formatTemperature(
          excursion.peak,
          units
        )}{/if}{#if excursion.limit !== null && excursion.kind !== 'silent'}, limit {formatTemperature(
          excursion.limit,
          units
        )}{/if}
    {/if}
  </p>
  {#if excursion.pieces.length > 0}
    <p class="soft">
      Lay there: {#each excursion.pieces.slice(0, MOST) as id, index (id)}{index > 0 ? ', ' : ''}<a
          class="link"
          href="/piece/{id}">{pieces[id] ?? id}</a
        >{/each}{excursion.pieces.length > MOST ? ` and ${excursion.pieces.length - MOST} more` : ''}
    </p>
  {:else if excursion.kind !== 'quarantine'}<p class="soft">Nothing that is still here lay there.</p>{/if}
  {#if excursion.closed}
    <p class="soft">
      Closed {dayAndTime(excursion.closed.at, zone)} by {names[excursion.closed.by] ?? excursion.closed.by}: {CORRECTIVE_WORDS[
        excursion.closed.action
      ]}. “{excursion.closed.note}”
    </p>
  {:else}
    <p class="may">{WHAT_MAY_BE_DONE[excursion.kind]}</p>
    {#if excursion.to === null}
      <p class="soft">It still lasts: it can be closed once a reading says that it is over.</p>
    {:else if closable}
      <Fold title="Close it">
        <OperationForm
          operation="close-excursion"
          subject="{excursion.place}-{excursion.kind}-{excursion.from}"
          submit="Close it in my name"
          also={{ place: excursion.place, kind: excursion.kind, from: excursion.from }}
        >
          <Field
            name="action"
            label="What was done"
            kind="choice"
            options={CORRECTIVE.map((value) => ({ value, name: CORRECTIVE_WORDS[value] }))}
          />
          <Field name="note" label="What was found" placeholder="core 1.8 °C in the thickest piece" />
        </OperationForm>
      </Fold>
    {/if}
  {/if}
</article>

<style>
  article {
    border-left: 5px solid var(--ember-glow);
    background: var(--ember-wash);
    padding: 0.6rem 0.9rem;
    display: grid;
    gap: 0.25rem;
  }
  article.closed {
    border-left-color: var(--strong-line);
    background: var(--sunk);
  }
  h3 {
    font-weight: 700;
  }
  .soft {
    color: var(--ink);
  }
  .may {
    max-width: 75ch;
  }
</style>

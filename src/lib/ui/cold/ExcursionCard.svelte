<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { excursionCard as t } from '$lib/words/screens/cold.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { CORRECTIVE } from '$lib/core/activity/cold/bodies.ts';
  import type { PlaceExcursion } from '$lib/server/facts/excursions.ts';
  import { CORRECTIVE_WORDS, excursionTitle, WHAT_MAY_BE_DONE } from '$lib/words/cold.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';

  /** Something a log shows: since when, how far, what lay there, what may be done; and, once it is over, its closing. */
  let {
    excursion,
    pieces,
    names,
    now,
    closable = true
  }: {
    excursion: PlaceExcursion;
    /** Names of pieces, by id. */
    pieces: Readonly<Record<string, string>>;
    names: Readonly<Record<string, string>>;
    now: number;
    closable?: boolean;
  } = $props();
  const MOST = 8;
</script>

<article class:closed={excursion.closed} data-excursion={excursion.kind}>
  <h3>{excursionTitle(excursion)}</h3>
  <p>
    {#if excursion.kind === 'quarantine'}
      {t.told(say.dayAndTime(excursion.from))}
    {:else}
      {say.dayAndTime(excursion.from)}, {excursion.to === null
        ? t.forNow(say.span((now - excursion.from) / 1000))
        : excursion.to > excursion.from
          ? t.forText(say.span((excursion.to - excursion.from) / 1000))
          : t.oneReading}{#if excursion.peak !== null}{t.upTo(
          say.temperature(excursion.peak)
        )}{/if}{#if excursion.limit !== null && excursion.kind !== 'silent'}{t.limit(
          say.temperature(excursion.limit)
        )}{/if}
    {/if}
  </p>
  {#if excursion.pieces.length > 0}
    <p class="soft">
      {t.layThere}
      {#each excursion.pieces.slice(0, MOST) as id, index (id)}{index > 0 ? ', ' : ''}<a class="link" href="/piece/{id}"
          >{pieces[id] ?? id}</a
        >{/each}{excursion.pieces.length > MOST ? t.andMore(excursion.pieces.length - MOST) : ''}
    </p>
  {:else if excursion.kind !== 'quarantine'}<p class="soft">{t.nothingThatIsStill}</p>{/if}
  {#if excursion.closed}
    <p class="soft">
      {t.closedBy(
        say.dayAndTime(excursion.closed.at),
        names[excursion.closed.by] ?? excursion.closed.by,
        CORRECTIVE_WORDS[excursion.closed.action],
        excursion.closed.note
      )}
    </p>
  {:else}
    <p class="may">{WHAT_MAY_BE_DONE[excursion.kind]}</p>
    {#if excursion.to === null}
      <p class="soft">{t.itStillLastsIt}</p>
    {:else if closable}
      <Fold title={t.closeIt}>
        <OperationForm
          operation="close-excursion"
          subject="{excursion.place}-{excursion.kind}-{excursion.from}"
          submit={t.closeItInMy}
          also={{ place: excursion.place, kind: excursion.kind, from: excursion.from }}
        >
          <Field
            name="action"
            label={t.whatWasDone}
            kind="choice"
            options={CORRECTIVE.map((value) => ({ value, name: CORRECTIVE_WORDS[value] }))}
          />
          <Field name="note" label={t.whatWasFound} placeholder={t.coreCInThe} />
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

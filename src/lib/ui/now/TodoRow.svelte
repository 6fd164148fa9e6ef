<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { DANGER_WORDS, nowPage as t } from '$lib/words/screens/now.ts';
  import { excursionTitle } from '$lib/words/cold.ts';
  import { taskWords } from '$lib/words/tasks.ts';
  import { URGENT } from '$lib/core/service/danger.ts';
  import RowDeed from './RowDeed.svelte';
  import { answersTo, deedOf } from './deeds.ts';
  import type { Row } from './groups.ts';

  /** One thing to do: when, what, to which piece, and the deed. */
  let { row, now }: { row: Row; now: number } = $props();
  const isUrgent = $derived(URGENT.has(row.danger));
  const deeds = $derived(row.task ? [deedOf(row.task, now)] : answersTo(row.alarm));
  const isPaper = $derived(row.danger === 'paper');
  const moment = $derived(say.moment(row.at, now));
  const about = $derived(
    [isPaper ? t.since(moment) : t.at(moment), row.place === '' ? '' : t.inPlace(row.place), DANGER_WORDS[row.danger]]
      .filter((part) => part !== '')
      .join(' · ')
  );
</script>

<li class:urgent={isUrgent} data-danger={row.danger} data-task={row.task?.code} data-excursion={row.alarm?.kind}>
  <a class="about" href={row.task?.path ?? '/freeze/places'}>
    <span class="when">
      {#if row.alarm}{row.alarm.to === null ? t.lasts : t.answer}{:else if isPaper}{t.waits}{:else}{say.until(
          row.at,
          now
        )}{/if}
    </span>
    <span class="what">
      {#if row.alarm}
        <b>{excursionTitle(row.alarm)}</b>
        <span class="soft"
          >{t.inside(row.alarm.pieces)}{row.alarm.peak === null ? '' : t.upTo(say.temperature(row.alarm.peak))}</span
        >
        <span class="soft">{t.since(say.moment(row.alarm.from, now))}</span>
      {:else}
        <b>{taskWords(row.task)}</b>
        <span class="soft">{row.task.name} <span class="code">{row.task.piece}</span></span>
        <span class="soft">{about}</span>
      {/if}
    </span>
  </a>
  <div class="deeds">
    {#each deeds as deed, index (index)}
      <RowDeed {deed} piece={row.task ? { id: row.task.piece, seq: row.task.seq } : undefined} subject={row.key} />
    {/each}
  </div>
</li>

<style>
  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.3rem 0.8rem;
    padding: 0.35rem 0.8rem;
    background: var(--surface);
    border: 1px solid var(--line);
    border-left: 5px solid var(--water);
    border-radius: 3px;
  }
  .urgent {
    border-left-color: var(--ember-glow);
    background: var(--ember-wash);
  }
  .about {
    flex: 1 1 17rem;
    display: grid;
    grid-template-columns: 5.6rem 1fr;
    align-items: center;
    gap: 0.7rem;
    min-height: 56px;
  }
  .when {
    font-size: 1.15rem;
    font-weight: 650;
    line-height: 1.1;
  }
  .urgent .when {
    color: var(--ember);
  }
  .what {
    min-width: 0;
    overflow-wrap: anywhere;
    display: flex;
    flex-direction: column;
    line-height: 1.25;
  }
  .what .soft {
    font-size: 0.92rem;
  }
  .urgent .soft {
    color: var(--ink);
  }
  .code {
    white-space: nowrap;
  }
  .deeds {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
    align-items: end;
  }
</style>

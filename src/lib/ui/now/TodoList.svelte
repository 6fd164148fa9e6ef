<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { nowPage as t, STATION_NAMES } from '$lib/words/screens/now.ts';
  import { page } from '$app/state';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import type { Danger, Station } from '$lib/core/service/danger.ts';
  import type { NowView } from '$lib/server/views/now.ts';
  import TodoRow from './TodoRow.svelte';
  import RowDeed from './RowDeed.svelte';
  import { answersTo, deedOf } from './deeds.ts';
  import { byHour, byPlace, byStation, bySupplier, rowsOf, type Group, type Row } from './groups.ts';

  /** What is to be done, worst first, each with its deed; or by station, by place, or what the person at the tablet had in hand. */
  let { view, person, now }: { view: NowView; person: string | null; now: number } = $props();
  const order = $derived(page.url.searchParams.get('by') ?? 'danger');
  const ORDERS = [
    ['danger', t.worstFirst],
    ['station', t.byStation],
    ['place', t.byPlace],
    ['mine', t.mine]
  ] as const;
  const all = $derived(rowsOf(view.tasks, view.excursions, now));
  const rows = $derived(order === 'mine' ? all.filter(({ task }) => task && task.by === person) : all);
  const parts = $derived(byHour(rows));
  // What nobody has read is one line, however many places it is.
  const unread = $derived(parts.urgent.filter(({ danger }) => danger === 'unread'));
  const pressing = $derived(parts.urgent.filter(({ danger }) => danger !== 'unread'));
  const groups = $derived(order === 'station' ? byStation(rows) : byPlace(rows));
  const named = ({ key }: Group) =>
    order === 'station' ? STATION_NAMES[key as Station] : key === '' ? t.nowhereSaid : key;
  const waitingFor = (danger: string): string => {
    const words: Partial<Record<Danger, string>> = {
      'before-service': view.service ? t.beforeService(view.service.name, say.moment(view.service.at, now)) : '',
      tonight: t.tonight,
      later: t.later,
      paper: t.papersWanted
    };
    return words[danger as Danger] ?? '';
  };
  const reading = (row: Row) => (row.task ? deedOf(row.task, now) : answersTo(row.alarm)[0]!);
  const pieceOf = ({ task }: Row) => (task ? { id: task.piece, seq: task.seq } : undefined);
</script>

<section aria-labelledby="hands">
  <div class="head">
    <h2 id="hands">{t.handsNow}</h2>
    <nav class="orders" aria-label={t.orderedBy}>
      {#each ORDERS as [value, name] (value)}
        <a
          href={value === 'danger' ? '/' : `/?by=${value}`}
          data-sveltekit-noscroll
          data-sveltekit-keepfocus
          aria-current={order === value ? 'true' : undefined}>{name}</a
        >
      {/each}
    </nav>
  </div>
  {#if rows.length === 0}
    <p class="soft">{order === 'mine' ? t.nothingOfYours : t.nothingToDo}</p>
  {:else if order === 'station' || order === 'place'}
    {#each groups as group (group.key)}
      <h3>{named(group)}</h3>
      <ol class="queue">
        {#each group.rows as row (row.key)}<TodoRow {row} {now} />{/each}
      </ol>
    {/each}
  {:else}
    <ol class="queue">
      {#each pressing as row (row.key)}<TodoRow {row} {now} />{/each}
      {#if unread.length === 1}
        <TodoRow row={unread[0]!} {now} />
      {:else if unread.length > 1}
        <li class="unread" data-danger="unread">
          <p><b>{t.toRead(unread.length)}</b> <span class="soft">{t.unreadIsNotCold}</span></p>
          <div class="places">
            {#each unread as row (row.key)}
              <div>
                <span class="place">{row.place || row.task?.name}</span>
                <RowDeed deed={reading(row)} piece={pieceOf(row)} subject={row.key} />
              </div>
            {/each}
          </div>
        </li>
      {/if}
    </ol>
    {#each parts.waiting as group (group.key)}
      {#if group.key === 'paper'}
        <Fold title="{t.papersWanted} ({group.rows.length})" data-papers>
          {#each bySupplier(group.rows) as each (each.key)}
            <h3>{t.papersOf(each.rows.length, each.key || t.nobodyNamed)}</h3>
            <ol class="queue">
              {#each each.rows as row (row.key)}<TodoRow {row} {now} />{/each}
            </ol>
          {/each}
        </Fold>
      {:else}
        <h3>{waitingFor(group.key)}</h3>
        <ol class="queue">
          {#each group.rows as row (row.key)}<TodoRow {row} {now} />{/each}
        </ol>
      {/if}
    {/each}
  {/if}
</section>

<style>
  .head {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.3rem 1.4rem;
  }
  .orders {
    display: flex;
    flex-wrap: wrap;
  }
  .orders a {
    display: flex;
    align-items: center;
    min-height: 48px;
    padding: 0 0.9rem;
    border: 1px solid var(--strong-line);
    background: var(--surface);
    font-weight: 600;
  }
  .orders a + a {
    border-left: 0;
  }
  .orders a[aria-current] {
    background: var(--ink);
    color: var(--surface);
  }
  h3 {
    margin: 0.7rem 0 0.1rem;
    font-weight: 650;
  }
  .queue {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 29rem), 1fr));
    gap: 0.4rem;
    margin-top: 0.4rem;
  }
  .unread {
    grid-column: 1 / -1;
    padding: 0.4rem 0.8rem 0.6rem;
    background: var(--ember-wash);
    border: 1px solid var(--line);
    border-left: 5px solid var(--ember-glow);
    border-radius: 3px;
  }
  .unread .soft {
    color: var(--ink);
  }
  .places {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1.4rem;
  }
  .place {
    font-weight: 600;
  }
</style>

<script lang="ts">
  import { common } from '$lib/words/screens/common.ts';
  import { nowPage as t } from '$lib/words/screens/now.ts';
  import Tide from '$lib/ui/charts/Tide.svelte';
  import TodoList from '$lib/ui/now/TodoList.svelte';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import { DOCUMENT_WORDS } from '$lib/words/documents.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const now = $derived(houseNow());
  // The chart does not need every second.
  const chartNow = $derived(Math.floor(now / 30_000) * 30_000);
</script>

<h1 class="unseen">{t.now}</h1>
{#each data.ending as each (each.id)}
  <p class="trouble" data-document-ending={each.state}>
    {each.state === 'ended'
      ? DOCUMENT_WORDS.ended(each.number, each.expiresOn)
      : DOCUMENT_WORDS.ending(each.number, each.expiresOn)}
    <a class="link" href="/house/documents">{DOCUMENT_WORDS.title}</a>
  </p>
{/each}
{#if data.view.rows.length === 0}
  <section class="empty">
    <h2>{t.theBoardsAreClear}</h2>
    <p>{t.noFishInThe}</p>
    <p><a class="big" href="/receive">{common.receiveALot} <kbd>n</kbd></a></p>
    {#if data.people.length === 0}<p>
        {t.nobodyIsOnThe} <a class="link" href="/house">{t.addYourselfInHouse}</a>
        {t.first}
      </p>{/if}
  </section>
{:else}
  <TodoList view={data.view} person={data.person?.id ?? null} {now} />
  <div class="gap"></div>
  <Tide rows={data.view.rows} now={chartNow} warnSeconds={data.view.warnSeconds} />
{/if}

<style>
  .gap {
    height: 1.3rem;
  }
  .empty {
    max-width: 40rem;
    display: grid;
    gap: 0.9rem;
    padding: 3rem 0;
  }
  .big {
    display: inline-flex;
    gap: 0.7rem;
    align-items: center;
    min-height: 56px;
    padding: 0 1.4rem;
    background: var(--ember);
    color: var(--on-ember);
    font-weight: 700;
    font-size: 1.15rem;
    border-radius: 3px;
  }
</style>

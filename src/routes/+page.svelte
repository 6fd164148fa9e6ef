<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common } from '$lib/words/screens/common.ts';
  import { nowPage as t } from '$lib/words/screens/shell.ts';
  import Button from '$lib/ui/kit/Button.svelte';
  import { HOUR } from '$lib/core/measure/spans.ts';
  import Tide from '$lib/ui/charts/Tide.svelte';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import { excursionTitle } from '$lib/words/cold.ts';
  import type { NowView } from '$lib/server/views/now.ts';
  import { DOCUMENT_WORDS } from '$lib/words/documents.ts';
  import { taskWords } from '$lib/words/tasks.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const now = $derived(houseNow());
  // What has a clock comes before what waits for a paper.
  const tasks = $derived(
    [...data.view.tasks].sort(
      (a, b) => Number(a.code === 'paper-missing') - Number(b.code === 'paper-missing') || a.at - b.at
    )
  );
  const soon = $derived(tasks.filter((task) => task.at < now + 18 * HOUR));
  const urgent = (task: NowView['tasks'][number]) => task.code !== 'paper-missing' && task.at - now < 60 * 60_000;
  let isWhole = $state(false);
  const shownExcursions = $derived(isWhole ? data.view.excursions : data.view.excursions.slice(0, 3));
  const shown = $derived(isWhole ? tasks : soon.slice(0, 9));
  const hidden = $derived(tasks.length - shown.length + data.view.excursions.length - shownExcursions.length);
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
  <section aria-labelledby="hands">
    <h2 id="hands">{t.handsNow}</h2>
    {#if soon.length === 0 && data.view.excursions.length === 0}
      <p class="soft">{t.nothingWantsHandsIn}</p>
    {:else}
      <ol class="queue">
        {#each shownExcursions as each (each.place + each.kind + each.from + each.cause)}
          <li class="urgent" data-excursion={each.kind}>
            <a href="/freeze/places">
              <span class="when">{each.to === null ? t.lasts : t.answer}</span>
              <span class="what">
                <b>{excursionTitle(each)}</b>
                <span class="soft"
                  >{each.pieces > 0
                    ? t.layThere(each.pieces, each.pieces === 1 ? 'piece' : 'pieces')
                    : t.nothingLayThere}{each.peak === null ? '' : t.upTo(say.temperature(each.peak))}</span
                >
                <span class="soft">{t.since(say.moment(each.from, now))}</span>
              </span>
            </a>
          </li>
        {/each}
        {#each shown as task (task.code + task.piece)}
          <li class:urgent={urgent(task)}>
            <a href={task.path}>
              <span class="when">{task.code === 'paper-missing' ? t.waits : say.until(task.at, now)}</span>
              <span class="what">
                <b>{taskWords(task)}</b>
                <span class="soft">{task.name} <span class="code">{task.piece}</span></span>
                <span class="soft">
                  {task.code === 'paper-missing' ? t.since2 : t.at}
                  {say.moment(task.at, now)}
                </span>
              </span>
            </a>
          </li>
        {/each}
      </ol>
      {#if hidden > 0 || isWhole}
        <p class="more">
          <Button aria-expanded={isWhole} onclick={() => (isWhole = !isWhole)}
            >{isWhole ? t.onlyWhatIsNear : t.showMore(hidden)}</Button
          >
        </p>
      {/if}
    {/if}
  </section>
  <div class="gap"></div>
  <Tide rows={data.view.rows} now={chartNow} warnSeconds={data.view.warnSeconds} />
{/if}

<style>
  .queue {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 19.4rem), 1fr));
    gap: 0.5rem;
    margin-top: 0.5rem;
  }
  .queue a {
    display: grid;
    grid-template-columns: 6.6rem 1fr;
    align-items: center;
    gap: 0.8rem;
    height: 100%;
    min-height: 64px;
    padding: 0.4rem 0.8rem;
    background: var(--surface);
    border: 1px solid var(--line);
    border-left: 5px solid var(--water);
    border-radius: 3px;
  }
  .urgent a {
    border-left-color: var(--ember-glow);
    background: var(--ember-wash);
  }
  .when {
    font-size: 1.3rem;
    font-weight: 650;
    line-height: 1.1;
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
  .code {
    white-space: nowrap;
  }
  .urgent .when {
    color: var(--ember);
  }
  .urgent .soft {
    color: var(--ink);
  }
  .more {
    margin-top: 0.4rem;
  }
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

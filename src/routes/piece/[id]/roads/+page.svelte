<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { titled } from '$lib/words/screens/common.ts';
  import { pieceOneRoadsPage as t } from '$lib/words/screens/piece.ts';
  import Line from '$lib/ui/kit/Line.svelte';
  import Select from '$lib/ui/kit/Select.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { ROUTES } from '$lib/core/codes/window.ts';
  import Headline from '$lib/ui/piece/Headline.svelte';
  import { ROAD_WORDS as SAY, roadLine, roadRoutes, stepWords } from '$lib/words/roads.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const asked = $derived(data.asked);
  const isOpen = $derived(
    data.verdict.windows.some(({ route, state }) => route === asked.route && (state === 'open' || state === 'ebbing'))
  );
  let copied = $state(-1);
  async function copy(letter: string, index: number) {
    await navigator.clipboard.writeText(letter);
    copied = index;
  }
</script>

<svelte:head><title>{titled(t.text(SAY.title, asked.piece.name))}</title></svelte:head>
<p class="no-print"><a class="link way" href="/piece/{asked.piece.id}">{asked.piece.name}, {asked.piece.id}</a></p>
<h1>{SAY.title}</h1>
<Headline verdict={data.verdict} route={asked.route} now={asked.now} warnSeconds={data.house.warnMinutes * 60} />
<form method="GET" class="ask no-print">
  <label>
    {SAY.wanted}
    <Select name="want" value={asked.route}>
      {#each roadRoutes(ROUTES) as { value, name } (value)}<option {value}>{name}</option>{/each}
    </Select>
  </label>
  <label>{SAY.by} <Line type="datetime-local" name="by" value={say.wallInput(asked.by)} /></label>
  <Button type="submit">{SAY.ask}</Button>
</form>
<p class="soft">{SAY.lead}</p>
{#if isOpen}<p class="note" data-already>{SAY.already}</p>{/if}
<ol class="roads" data-roads={asked.roads.length}>
  {#each asked.roads as road, index (index)}
    <li class="sheet" class:late={road.misses !== null} data-road={road.route} data-misses={road.misses ?? ''}>
      <div class="line">
        <h2>{roadLine(road, asked.now)}</h2>
        <span class="tag"
          >{road.misses === null ? `${SAY.inTime}: ${say.dayAndTime(asked.by)}` : SAY.misses[road.misses]}</span
        >
      </div>
      <ul>
        {#each road.steps as step, at (at)}<li>{stepWords(step, asked.now)}</li>{/each}
      </ul>
      {#if road.letter}
        <Fold data-letter title={SAY.letter}>
          <pre>{road.letter}</pre>
          <div class="ways no-print">
            <Button onclick={() => void copy(road.letter, index)}>{copied === index ? SAY.copied : SAY.copy}</Button>
            <Button onclick={() => window.print()}>{SAY.print}</Button>
          </div>
        </Fold>
      {/if}
    </li>
  {:else}
    {#if !isOpen}<li class="sheet">{SAY.none}</li>{/if}
  {/each}
</ol>
<p class="caution">{SAY.caution}</p>

<style>
  .ask {
    display: flex;
    flex-wrap: wrap;
    gap: 0.8rem;
    align-items: end;
    margin-bottom: 0.6rem;
  }
  .ask label {
    display: grid;
    font-weight: 600;
  }
  .roads {
    display: grid;
    gap: 0.8rem;
    margin: 0.8rem 0;
  }
  .line {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 0.3rem 1rem;
  }
  .tag {
    font-weight: 600;
    color: var(--water-deep);
  }
  .late .tag {
    color: var(--ember);
  }
  .roads ul {
    list-style: disc;
    padding-left: 1.3rem;
    margin: 0.4rem 0;
  }
  .roads ul li {
    padding: 0.15rem 0;
    overflow-wrap: anywhere;
  }
  pre {
    white-space: pre-wrap;
    font: inherit;
    padding: 0.6rem 0;
    overflow-wrap: anywhere;
  }
  .ways {
    display: flex;
    gap: 0.6rem;
  }
</style>

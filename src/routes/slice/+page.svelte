<script lang="ts">
  import { titled } from '$lib/words/screens/common.ts';
  import { slicePage as t, togetherPage } from '$lib/words/screens/slice.ts';
  import PiecePick from '$lib/ui/controls/PiecePick.svelte';
  import Lifted from '$lib/ui/slice/Lifted.svelte';
  import SliceBench from '$lib/ui/slice/SliceBench.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  /** What this touch made stands first, on its way to a tray. */
  let made = $state<string[]>([]);
  const waiting = $derived([
    ...data.lifted.filter(({ id }) => made.includes(id)),
    ...data.lifted.filter(({ id, onTray }) => !made.includes(id) && !onTray)
  ]);
</script>

<svelte:head><title>{titled(t.slice)}</title></svelte:head>
<h1>{t.slice}</h1>
<PiecePick
  pieces={data.pieces}
  chosen={data.chosen}
  away={made.length > 0 ? null : data.away}
  left={data.left}
  empty={t.nothingToSliceYet}
/>
{#if data.lifted.length > 1}
  <p><a class="way" href="/slice/plate">{togetherPage.together}</a></p>
{/if}
{#if waiting.length > 0}
  <div class="cards">
    {#each waiting as each (each.id)}<Lifted
        made={each}
        labels={data.labels}
        control={data.control}
        units={data.house.units}
        scale={data.scale}
        playable={data.playable}
      />{/each}
  </div>
{/if}
{#if data.view && data.block}
  {#key data.view.piece.id}
    <SliceBench
      view={data.view}
      block={data.block}
      units={data.house.units}
      places={data.places}
      knives={data.knives}
      knife={data.knife}
      notes={data.notes}
      cuts={data.cuts}
      hand={data.hand}
      warnMinutes={data.house.warnMinutes}
      onDone={(result) => (made = [...made, ...(result.slices as string[])])}
    />
  {/key}
{/if}

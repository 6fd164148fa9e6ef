<script lang="ts">
  import { titled } from '$lib/words/screens/common.ts';
  import { squarePage as t } from '$lib/words/screens/slice.ts';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import PiecePick from '$lib/ui/controls/PiecePick.svelte';
  import SquareBench from '$lib/ui/slice/SquareBench.svelte';
  import * as say from '$lib/words/say.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  /** What this touch made stands here, on its way to the slices. */
  let made = $state<string[]>([]);
  const blocks = $derived(data.squared.filter(({ id }) => made.includes(id)));
</script>

<svelte:head><title>{titled(t.square)}</title></svelte:head>
<h1>{t.square}</h1>
<PiecePick
  pieces={data.pieces}
  chosen={data.chosen}
  away={made.length > 0 ? null : data.away}
  left={data.left}
  empty={t.nothingToSquare}
/>
{#if blocks.length > 0}
  <section class="sheet stack" data-squared>
    <h2>
      {t.made(blocks.length, say.mass(blocks.reduce((sum, { grams }) => sum + grams, 0)))}
    </h2>
    <ul>
      {#each blocks as block (block.id)}
        <li>
          <a class="way" href="/piece/{block.id}">{block.name}</a>
          <small>{say.mass(block.grams)}</small>
          <a class="way" href="/slice?piece={block.id}">{t.sliceIt}</a>
        </li>
      {/each}
    </ul>
    <OperationForm
      operation="put-blocks-back"
      piece={{ id: blocks[0]!.id, seq: blocks[0]!.seq }}
      submit={t.notSquared}
      tone="quiet"
      onDone={() => (made = [])}
    />
  </section>
{/if}
{#if data.view && data.block}
  {#key data.view.piece.id}
    <SquareBench
      view={data.view}
      block={data.block}
      units={data.house.units}
      currency={data.house.currency}
      perGram={data.perGram}
      places={data.places}
      knives={data.knives}
      knife={data.knife}
      onDone={(result) => (made = result.blocks as string[])}
    />
  {/key}
{/if}

<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { pieceTicks as t } from '$lib/words/screens/controls.ts';
  import LevelMark from '../marks/LevelMark.svelte';
  import type { WindowState } from '$lib/core/codes/window.ts';

  /** Several pieces to tick, each with its raw window. Named, the ticks are fields of the form around them. */
  let {
    pieces,
    picked = $bindable([]),
    name,
    onchange
  }: {
    pieces: readonly { id: string; name: string; grams: number; raw: WindowState }[];
    picked?: string[];
    name?: string;
    onchange?: () => void;
  } = $props();
  const MOST = 200;
  const shown = $derived(pieces.filter(({ id }, index) => index < MOST || picked.includes(id)));
</script>

<div class="ticks">
  {#each shown as piece (piece.id)}
    <label>
      <input type="checkbox" {name} value={piece.id} bind:group={picked} {onchange} />
      <LevelMark state={piece.raw} size={20} />
      <span
        >{piece.name}<br /><span class="soft">{piece.id} · <span class="mass">{say.mass(piece.grams)}</span></span
        ></span
      >
    </label>
  {/each}
</div>
{#if pieces.length > shown.length}<p class="soft">{t.moreAreNotListed(pieces.length - shown.length)}</p>{/if}

<style>
  .ticks {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 13.75rem), 1fr));
    gap: 0.2rem;
    max-height: 55vh;
    overflow-y: auto;
    margin: 0.5rem 0;
  }
  label {
    display: flex;
    gap: 0.5rem;
    align-items: center;
    min-height: 52px;
    line-height: 1.2;
    overflow-wrap: anywhere;
  }
  .mass {
    white-space: nowrap;
  }
  input {
    width: 26px;
    height: 26px;
    flex: none;
    background-color: var(--surface);
    border-color: var(--strong-line);
  }
  input:checked {
    /* The tick in it is white in both lights. */
    background-color: #1f5f7d;
  }
</style>

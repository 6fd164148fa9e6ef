<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { pieceTicks as t } from '$lib/words/screens/controls.ts';
  import { tick } from 'svelte';
  import { finder, scannedPiece } from '$lib/core/find.ts';
  import Line from '$lib/ui/kit/Line.svelte';
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
  let text = $state('');
  /** So many are seen at a glance: of more, letters leave the rest away. What is ticked stays in sight. */
  const FEW = 8;
  const fits = $derived(finder(text));
  const found = $derived(
    text.trim() === ''
      ? pieces
      : pieces.filter(({ id, name: called }) => picked.includes(id) || fits([id, called]) !== null)
  );
  const shown = $derived(found.filter(({ id }, index) => index < MOST || picked.includes(id)));
  /** A scanned label ticks its piece, and the field is ready for the next. */
  function scan(event: KeyboardEvent) {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    const id = scannedPiece(text);
    if (!id || !pieces.some((piece) => piece.id === id)) return;
    if (!picked.includes(id)) picked = [...picked, id];
    text = '';
    void tick().then(() => onchange?.());
  }
</script>

{#if pieces.length > FEW}
  <Line
    class="w-60"
    aria-label={t.threeLetters}
    placeholder={t.threeLetters}
    autocomplete="off"
    bind:value={text}
    onkeydown={scan}
  />
{/if}
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
{#if found.length > shown.length}<p class="soft">{t.moreAreNotListed(found.length - shown.length)}</p>{/if}

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

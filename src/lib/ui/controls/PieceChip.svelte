<script lang="ts">
  import LevelMark from '../marks/LevelMark.svelte';
  import type { WindowState } from '$lib/core/codes/window.ts';

  /** A piece as it is named in a row: its raw window, its name, its code. */
  let { piece }: { piece: { readonly id: string; readonly name: string; readonly raw: WindowState } } = $props();
</script>

<LevelMark state={piece.raw} size={24} />
<span class="chip"><b>{piece.name}</b><span class="soft">{piece.id}</span></span>

<style>
  .chip {
    display: grid;
    line-height: 1.2;
    min-width: 0;
  }
  b {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .soft {
    font-size: 0.9rem;
  }
</style>

<script lang="ts">
  import type { Snippet } from 'svelte';

  /** The layout of a page of the book: itself, what stands beside it, and below both its next version. */
  let { children, side, next, caution }: { children: Snippet; side: Snippet; next: Snippet; caution: string } =
    $props();
</script>

<div class="halves main">
  <section class="sheet">{@render children()}</section>
  <div class="stack">{@render side()}</div>
</div>
{@render next()}
<p class="caution">{caution}</p>

<style>
  .caution {
    margin-top: 0.9rem;
  }
  .halves :global(.wide) {
    overflow-x: auto;
  }
  .halves :global(ol) {
    list-style: decimal;
    padding-left: 1.4rem;
    margin: 0.5rem 0;
  }
</style>

<script lang="ts">
  import type { Snippet } from 'svelte';

  /** The layout of a page of the book: itself, what stands beside it, and below both its next version. */
  let { children, side, next, caution }: { children: Snippet; side: Snippet; next: Snippet; caution: string } =
    $props();
</script>

<div class="two">
  <section class="sheet">{@render children()}</section>
  <div class="side">{@render side()}</div>
</div>
{@render next()}
<p class="caution">{caution}</p>

<style>
  .caution {
    margin-top: 0.9rem;
  }
  .two {
    display: grid;
    grid-template-columns: minmax(0, 1.45fr) minmax(285px, 1fr);
    gap: 1.1rem;
    align-items: start;
    margin: 0.7rem 0;
  }
  .side {
    display: grid;
    gap: 0.8rem;
    min-width: 0;
  }
  .two :global(.wide) {
    overflow-x: auto;
  }
  .two :global(ol) {
    list-style: decimal;
    padding-left: 1.4rem;
    margin: 0.5rem 0;
  }
  @media (max-width: 1000px) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>

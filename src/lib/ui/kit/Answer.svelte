<script lang="ts">
  import type { Snippet } from 'svelte';

  /** A bench's answer on top of it: whether what is set gets where it is wanted, and the ways that would, each at a touch. */
  let {
    reached,
    children,
    ways
  }: {
    /** Asking while the newest is worked out: what stands is an older one's. */
    reached: 'yes' | 'no' | 'asking';
    children: Snippet;
    ways?: Snippet | undefined;
  } = $props();
</script>

<div class="answer" role="status" data-answer={reached}>
  <div class="said">{@render children()}</div>
  {#if ways}<div class="ways">{@render ways()}</div>{/if}
</div>

<style>
  .answer {
    border-left: 5px solid var(--water);
    background: var(--sunk);
    padding: 0.4rem 0.8rem;
    margin-bottom: 0.5rem;
    font-size: 1.1rem;
    /* As tall as a way that is a button: what stands below does not move when one comes. */
    min-height: 60px;
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.3rem 1.4rem;
  }
  .said {
    flex: 1 1 20rem;
  }
  .answer[data-answer='no'] {
    border-left-color: var(--ember-glow);
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.4rem;
  }
</style>

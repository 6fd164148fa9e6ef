<script lang="ts">
  import { Modal } from 'flowbite-svelte';
  import { tick, type Snippet } from 'svelte';

  /** A panel over the page, which Escape closes: where one was before is where one is afterwards. Only a browser opens it. */
  let {
    title,
    size = 'md',
    close,
    children
  }: { title: string; size?: 'sm' | 'md'; close: () => void; children: Snippet<[() => void]> } = $props();
  let open = $state(true);
  const before = document.activeElement;
  $effect(() => {
    if (open) return;
    close();
    // Not before the panel is gone, and not where a link of it has led elsewhere.
    void tick().then(() => before instanceof HTMLElement && before.isConnected && before.focus());
  });
</script>

<Modal bind:open {title} {size} aria-label={title} class="bg-(--surface) text-(--ink)">
  {@render children(() => (open = false))}
</Modal>

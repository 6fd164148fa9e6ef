<script lang="ts">
  import { Modal } from 'flowbite-svelte';
  import { PLACES } from './places.ts';

  let { close }: { close: () => void } = $props();
  let open = $state(true);
  $effect(() => {
    if (!open) close();
  });
  const keys = [
    ...PLACES.map(({ key, name }) => ({ key, what: name })),
    { key: 'n', what: 'A new lot' },
    { key: 'w', what: 'Break down: take the weight that is at rest' },
    { key: '/', what: 'Find a piece, lot or species' },
    { key: '?', what: 'This sheet' },
    { key: '← →', what: 'On the tide chart: along time' },
    { key: '+ −', what: 'On the tide chart: zoom' }
  ];
</script>

<Modal bind:open title="Keys" size="sm" class="bg-(--surface) text-(--ink)">
  <dl class="grid grid-cols-[4rem_1fr] gap-y-2">
    {#each keys as { key, what } (key)}
      <dt><kbd class="inline-block min-w-8 border border-(--strong-line) px-2 text-center">{key}</kbd></dt>
      <dd>{what}</dd>
    {/each}
  </dl>
</Modal>

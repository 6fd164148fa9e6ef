<script lang="ts">
  import { keys as t, PLACE_NAMES } from '$lib/words/screens/shell.ts';
  import Panel from '$lib/ui/kit/Panel.svelte';
  import { PLACES } from './places.ts';

  let { close }: { close: () => void } = $props();
  const keys = [
    ...PLACES.map(({ key, path }) => ({ key, what: PLACE_NAMES[path] })),
    { key: 'n', what: t.aNewLot },
    { key: 'w', what: t.breakDownTakeThe },
    { key: '/', what: t.findAPieceLot },
    { key: '?', what: t.thisSheet },
    { key: '← →', what: t.onTheTideChart },
    { key: '+ −', what: t.onTheTideChartZoom }
  ];
</script>

<Panel title={t.keys} size="sm" {close}>
  <dl class="grid grid-cols-[4rem_1fr] gap-y-2">
    {#each keys as { key, what } (key)}
      <dt><kbd class="inline-block min-w-8 border border-(--strong-line) px-2 text-center">{key}</kbd></dt>
      <dd>{what}</dd>
    {/each}
  </dl>
</Panel>

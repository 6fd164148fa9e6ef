<script lang="ts">
  import { coldLogTable as t } from '$lib/words/screens/charts.ts';
  import * as say from '$lib/words/say.ts';
  import AsTable from './AsTable.svelte';
  import type { Track } from './cold-log.ts';

  /** A log for those who read rather than look: a dozen rows of each track. */
  let { tracks }: { tracks: readonly Track[] } = $props();
  const ROWS = 12;
  const rows = $derived(tracks.flatMap((track) => coarse(track)));

  function coarse({ name: track, bins }: Track) {
    const size = Math.max(1, Math.ceil(bins.length / ROWS));
    return Array.from({ length: Math.ceil(bins.length / size) }, (_, index) => {
      const part = bins.slice(index * size, (index + 1) * size);
      return {
        track,
        from: part[0]!.from,
        min: Math.min(...part.map(({ min }) => min)),
        max: Math.max(...part.map(({ max }) => max))
      };
    });
  }
</script>

{#if rows.length > 0}
  <AsTable
    head={t.head}
    rows={rows.map(({ track, from, min, max }) => [
      track,
      say.dayAndTime(from),
      say.temperature(min),
      say.temperature(max)
    ])}
  />
{/if}

<script lang="ts">
  import AsTable from './AsTable.svelte';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import { dayAndTime, formatTemperature } from '../format.ts';
  import type { Track } from './cold-log.ts';

  /** A log for those who read rather than look: a dozen rows of each track. */
  let { tracks, zone, units }: { tracks: readonly Track[]; zone: string; units: UnitPreferences } = $props();
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
    head={['Sensor', 'From', 'Least', 'Most']}
    rows={rows.map(({ track, from, min, max }) => [
      track,
      dayAndTime(from, zone),
      formatTemperature(min, units),
      formatTemperature(max, units)
    ])}
  />
{/if}

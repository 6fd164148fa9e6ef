<script lang="ts">
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
  <details>
    <summary>As a table</summary>
    <table class="plain">
      <thead><tr><th>Sensor</th><th>From</th><th>Least</th><th>Most</th></tr></thead>
      <tbody>
        {#each rows as row, index (index)}
          <tr>
            <td>{row.track}</td>
            <td>{dayAndTime(row.from, zone)}</td>
            <td>{formatTemperature(row.min, units)}</td>
            <td>{formatTemperature(row.max, units)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </details>
{/if}

<style>
  summary {
    color: var(--soft);
  }
</style>

<script lang="ts">
  import { forecastDrawing as t } from '$lib/words/screens/freeze.ts';
  import type { Shape, ThermalPicture, ThermalPoint } from '$lib/core/bench/freeze/simulate.ts';
  import ColdLog from '../charts/ColdLog.svelte';
  import ThermalSection from '../charts/ThermalSection.svelte';

  /** A freeze or a thaw as it is to be expected: its core over time beside what matters most, and the piece cut through. */
  let {
    forecast,
    limit,
    beside,
    now
  }: {
    forecast: {
      readonly points: readonly ThermalPoint[];
      readonly pictures: readonly ThermalPicture[];
      readonly shape: Shape;
      readonly thicknessMm: number;
    };
    /** °C */
    limit: number;
    /** What is drawn beside the core: the air at the fish when it freezes, its surface when it thaws. */
    beside: 'medium' | 'surface';
    now: number;
  } = $props();
  const curve = (of: 'core' | 'medium' | 'surface') =>
    forecast.points.map((point) => ({ at: now + point.seconds * 1000, core: point[of] }));
  const end = $derived(forecast.points.at(-1)!.seconds);
</script>

<ColdLog
  name={beside === 'medium' ? 'Forecast of the core' : 'Forecast of the thaw'}
  tracks={[]}
  curves={[
    { name: t.likelyCore, kind: 'read', points: curve('core') },
    { name: beside === 'medium' ? t.airAtTheFish : t.surface, kind: 'planned', points: curve(beside) }
  ]}
  {limit}
  from={now}
  to={now + end * 1000}
  {now}
/>
<ThermalSection
  pictures={forecast.pictures}
  shape={forecast.shape}
  thicknessMm={forecast.thicknessMm}
  target={limit}
  at={end / 2}
/>

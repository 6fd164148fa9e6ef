<script lang="ts">
  /** A fish on its hook, or a fillet on its shelf: filled from below as far as it has come to what is wanted. */
  let { hung, kind, share, stopped }: { hung: boolean; kind: 'whole' | 'fillet'; share: number; stopped: boolean } =
    $props();
  const id = $props.id();
  const H = $derived(hung ? 120 : 44);
  const W = $derived(hung ? 60 : 84);
  const whole = $derived(
    hung
      ? 'M30 26 L21 10 Q30 15 39 10 Z M30 26 Q48 48 46 74 Q44 100 30 116 Q16 100 14 74 Q12 48 30 26 Z'
      : 'M16 22 L4 10 Q8 22 4 34 Z M16 22 Q30 6 52 7 Q72 9 81 22 Q72 35 52 37 Q30 38 16 22 Z'
  );
  const fillet = $derived(
    hung
      ? 'M22 18 L38 18 Q46 60 42 96 Q36 116 30 116 Q18 112 17 90 Q15 50 22 18 Z'
      : 'M5 18 Q30 8 66 10 Q80 14 80 24 Q70 36 44 34 Q18 34 5 28 Z'
  );
  const shape = $derived(kind === 'whole' ? whole : fillet);
  const level = $derived(H * (1 - share));
</script>

<svg viewBox="0 0 {W} {H}" width={W} height={H} aria-hidden="true">
  {#if hung}<path class="hook" d="M30 0 V8 q0 6 5 6 q5 0 5 -5" />{/if}
  <clipPath id="{id}-c"><path d={shape} /></clipPath>
  <path class="body" d={shape} />
  <rect class="aged" x="0" y={level} width={W} height={H - level} clip-path="url(#{id}-c)" />
  <path class="edge" d={shape} />
  {#if kind === 'whole'}<circle class="eye" cx={hung ? 35 : 72} cy={hung ? 100 : 18} r="2.2" />{/if}
  {#if stopped}<path class="stop" d={hung ? 'M8 58 L52 92' : 'M14 8 L70 38'} />{/if}
</svg>

<style>
  .hook {
    fill: none;
    stroke: var(--strong-line);
    stroke-width: 2.5;
  }
  .body {
    fill: var(--surface);
  }
  .aged {
    fill: var(--water);
    fill-opacity: 0.6;
  }
  .edge {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
    stroke-linejoin: round;
  }
  .eye {
    fill: var(--ink);
  }
  .stop {
    stroke: var(--ember);
    stroke-width: 5;
    stroke-linecap: round;
  }
</style>

<script lang="ts">
  import type { HTMLInputAttributes } from 'svelte/elements';

  /** A handle to slide along: the browser's own, wide enough for a thumb. */
  let {
    value,
    onslide,
    class: own = '',
    ...rest
  }: Omit<HTMLInputAttributes, 'type' | 'value'> & {
    value: number | string | null | undefined;
    /** Each place it is slid to. */
    onslide: (value: number) => void;
  } = $props();

  /**
   * Where it was slid to and nobody was told yet. A browser draws in the very task in which it tells of a slide: what follows from it
   * is worked out in a task of its own, so that neither holds the page for long.
   */
  let waiting: number | null = null;
  function tell() {
    if (waiting === null) return;
    const at = waiting;
    waiting = null;
    onslide(at);
  }
  function slid(at: number) {
    if (waiting === null) setTimeout(tell);
    waiting = at;
  }
</script>

<input
  {...rest}
  class="slid {own}"
  type="range"
  {value}
  oninput={(event) => slid(Number(event.currentTarget.value))}
  onchange={tell}
/>

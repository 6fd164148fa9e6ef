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
</script>

<input
  {...rest}
  class="slid {own}"
  type="range"
  {value}
  oninput={(event) => onslide(Number(event.currentTarget.value))}
/>

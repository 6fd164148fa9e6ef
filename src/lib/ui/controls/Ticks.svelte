<script lang="ts">
  /** Several of a list, each with a box of its own. */
  let {
    name,
    legend,
    options,
    chosen = []
  }: {
    name: string;
    legend: string;
    options: readonly { readonly value: string; readonly name: string }[];
    chosen?: readonly string[];
  } = $props();
</script>

<fieldset>
  <legend>{legend}</legend>
  <div class="ticks">
    {#each options as option (option.value)}
      <label>
        <input type="checkbox" {name} value={option.value} checked={chosen.includes(option.value)} />
        {option.name}
      </label>
    {/each}
  </div>
</fieldset>

<style>
  fieldset {
    border: 0;
    padding: 0;
  }
  legend {
    font-weight: 600;
  }
  .ticks {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 11.25rem), 1fr));
  }
  .ticks label {
    display: flex;
    gap: 0.5rem;
    align-items: center;
    min-height: 48px;
  }
  .ticks input {
    width: 24px;
    height: 24px;
    border-color: var(--strong-line);
    background-color: var(--surface);
  }
  .ticks input:checked {
    background-color: #1f5f7d;
  }
</style>

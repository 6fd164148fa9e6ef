<script lang="ts">
  import { conflict as t } from '$lib/words/screens/controls.ts';
  import { withUnit } from '$lib/core/fields/written.ts';
  import { fieldName } from '$lib/words/field-names.ts';

  /** What somebody wrote meanwhile, and what was sent and not written, side by side. */
  let { newer, values }: { newer: readonly string[]; values: Readonly<Record<string, string>> } = $props();
  const sent = $derived(
    Object.entries(values)
      .filter(
        ([name, value]) => !name.startsWith('_') && !name.includes(':') && name !== 'piece' && value.trim() !== ''
      )
      .map(([name, value]) => [name, withUnit(value, values[`${name}:unit`])] as const)
  );
</script>

<div class="both">
  <div>
    <h3>{t.writtenMeanwhile}</h3>
    {#each newer as line (line)}<p>{line}</p>{/each}
  </div>
  <div>
    <h3>{t.whatYouSent}</h3>
    <dl>
      {#each sent as [name, value] (name)}<dt>{fieldName(name)}</dt>
        <dd>{value}</dd>{/each}
    </dl>
  </div>
</div>

<style>
  .both {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 14rem), 1fr));
    gap: 0.4rem 1.4rem;
    padding: 0.3rem 0;
  }
  h3 {
    font-weight: 650;
    border-bottom: 1px solid var(--strong-line);
  }
  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 0 0.8rem;
  }
</style>

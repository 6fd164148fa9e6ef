<script lang="ts">
  import Field from '../controls/Field.svelte';
  import type { KnifeNow } from '$lib/server/facts/knives.ts';
  import { knifeLog as t } from '$lib/words/screens/slice.ts';

  /** Which knife it is cut with; one that wants its edge says so before the first stroke. */
  let { knives, lately }: { knives: readonly KnifeNow[]; lately: string } = $props();
  // svelte-ignore state_referenced_locally
  let chosen = $state(lately);
  const due = $derived(knives.find(({ id, isDue }) => id === chosen && isDue));
</script>

{#if knives.length > 0}
  <Field
    name="knife"
    label={t.withIt}
    kind="choice"
    bind:value={chosen}
    options={[{ value: '', name: t.noKnife }, ...knives.map(({ id, name }) => ({ value: id, name }))]}
  />
  {#if due}
    <p class="caution" data-due>
      {t.wantsItsEdge(due.name, due.strokes)} <a class="way" href="/house/knife">{t.writeItDown}</a>
    </p>
  {/if}
{/if}

<script lang="ts">
  import Fold from '$lib/ui/kit/Fold.svelte';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import { ROUTES } from '$lib/core/codes/window.ts';
  import { ROUTE_WORDS } from '$lib/words/findings.ts';
  import { missingWord } from '$lib/words/scopes.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';

  /** Answering by name for what the rule book holds back. What nobody may answer for is not offered. */
  let { view, person }: { view: PieceView; person: string | null } = $props();
  const choices = $derived(
    view.ownable.map((code) => ({ value: code, name: `${missingWord(code)} is missing, or does not hold` }))
  );
  // svelte-ignore state_referenced_locally
  let code = $state(view.ownable[0] ?? '');
  const touched = $derived(
    ROUTES.filter((route) =>
      view.verdict.reasons.some(
        (reason) => reason.code === code && reason.effect.kind === 'missing' && reason.routes.includes(route)
      )
    )
  );
  let chosen = $state<string[]>([]);
</script>

{#if view.ownable.length > 0 && !view.piece.gone}
  <Fold class="sheet no-print" title="Answer for an exception by name">
    <p class="caution">
      The rule book does not clear it. If you go on, it is you who answers: your name and reason stay on the piece, its
      pieces and in the ledger for ever.
    </p>
    <OperationForm operation="own-exception" piece={view.piece} submit="I answer for it">
      <input
        type="hidden"
        name="routes"
        value={chosen.filter((route) => touched.some((each) => each === route)).join(',')}
      />
      <Field name="code" label="What you answer for" kind="choice" options={choices} bind:value={code} />
      <fieldset>
        <legend>Routes it opens</legend>
        {#each touched as route (route)}
          <label><input type="checkbox" value={route} bind:group={chosen} /> {ROUTE_WORDS[route]}</label>
        {/each}
      </fieldset>
      <Field name="reason" label="Why, in a sentence" kind="long" />
      <Field name="until" label="For how long" kind="quantity" units={['h', 'd']} optional />
      <Field name="own" label="I, {person ?? 'nobody yet'}, answer for it" kind="tick" />
    </OperationForm>
  </Fold>
{/if}

<style>
  fieldset {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 1.2rem;
  }
  legend {
    font-weight: 600;
  }
  label {
    display: flex;
    align-items: center;
    gap: 0.5rem;
    min-height: 48px;
  }
  input[type='checkbox'] {
    width: 26px;
    height: 26px;
    border-color: var(--strong-line);
    background-color: var(--surface);
  }
  input:checked {
    background-color: #1f5f7d;
  }
  .caution {
    margin-bottom: 0.6rem;
  }
</style>

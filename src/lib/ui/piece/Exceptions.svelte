<script lang="ts">
  import { exceptions as t } from '$lib/words/screens/piece.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import type { PieceView } from '$lib/server/views/piece.ts';
  import { ROUTES } from '$lib/core/codes/window.ts';
  import { ROUTE_WORDS } from '$lib/words/findings.ts';
  import { missingWord } from '$lib/words/scopes.ts';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';

  /** Answering by name for what the rule book holds back. What nobody may answer for is not offered. */
  let { view, person }: { view: PieceView; person: string | null } = $props();
  const choices = $derived(view.ownable.map((code) => ({ value: code, name: t.isMissingOrDoes(missingWord(code)) })));
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
  <Fold class="sheet no-print" title={t.answerForAnException}>
    <p class="caution">
      {t.theRuleBookDoes}
    </p>
    <OperationForm operation="own-exception" piece={view.piece} submit={t.iAnswerForIt}>
      <input
        type="hidden"
        name="routes"
        value={chosen.filter((route) => touched.some((each) => each === route)).join(',')}
      />
      <Field name="code" label={t.whatYouAnswerFor} kind="choice" options={choices} bind:value={code} />
      <fieldset>
        <legend>{t.routesItOpens}</legend>
        {#each touched as route (route)}
          <label><input type="checkbox" value={route} bind:group={chosen} /> {ROUTE_WORDS[route]}</label>
        {/each}
      </fieldset>
      <Field name="reason" label={t.whyInASentence} kind="long" />
      <Field name="until" label={t.forHowLong} kind="quantity" units={['h', 'd']} optional />
      <Field name="own" label={t.iAnswerForIt2(person ?? t.nobodyYet)} kind="tick" />
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

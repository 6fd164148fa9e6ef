<script lang="ts">
  import { page } from '$app/state';
  import type { Effect, Reason } from '$lib/core/codes/window.ts';
  import { ROUTE_WORDS, sentence, wouldChange } from '$lib/words/findings.ts';
  import { dayAndTime } from './format.ts';

  /** The chain of reasons behind a verdict: what decided first, then what it rests on. */
  let {
    reasons,
    zone,
    names = {}
  }: { reasons: readonly Reason[]; zone: string; names?: Record<string, string | null> } = $props();
  const weight: Record<Effect['kind'], number> = { never: 0, missing: 1, opens: 2, 'read-by': 3, closes: 3, pass: 4 };
  const sorted = $derived([...reasons].sort((a, b) => weight[a.effect.kind] - weight[b.effect.kind]));
  /** The first and the last entries carry the proof; a long log between them is on the bench. */
  const shown = (evidence: readonly number[]) => {
    const real = evidence.filter((seq) => seq > 0);
    return real.length <= 4 ? real : [...real.slice(0, 2), ...real.slice(-2)];
  };
  const tag: Record<Effect['kind'], string> = {
    never: 'Shuts for ever',
    missing: 'Holds back',
    opens: 'Opens',
    closes: 'Closes',
    'read-by': 'Read it by',
    pass: 'Stands'
  };
</script>

<ul>
  {#each sorted as reason (reason)}
    <li data-code={reason.code} class={reason.effect.kind}>
      <span class="tag">
        {reason.owned ? (names[reason.owned.by] ? 'Owned' : 'Allowed') : tag[reason.effect.kind]}
        {#if 'at' in reason.effect}<b>{dayAndTime(reason.effect.at, zone)}</b>{/if}
      </span>
      <div>
        <p>
          {#if reason.lots}<b>Of {reason.lots}:</b>{/if}
          {#if reason.candidate}<b>If {reason.candidate}:</b>{/if}
          {sentence(reason, page.data.house.units)}
        </p>
        {#if reason.owned}
          <p class="change">
            {#if names[reason.owned.by]}Owned by {names[reason.owned.by]}, {dayAndTime(reason.owned.at, zone)}: “{reason
                .owned.reason}”{:else}Allowed by {reason.owned.by}, {reason.owned.reason}{/if}
          </p>
        {/if}
        {#if reason.struck}<p class="soft">
            Corrected since, by who wrote it or by striking it out. It counts all the same.
          </p>{/if}
        {#if wouldChange(reason)}<p class="change">Would change it: {wouldChange(reason)}</p>{/if}
        <p class="soft small">
          {reason.rule.citation}{#if reason.rule.check}
            · check with your authority{/if} · {reason.routes.length === 5
            ? 'all routes'
            : reason.routes.map((route) => ROUTE_WORDS[route].toLowerCase()).join(', ')}
          {#each shown(reason.evidence) as seq (seq)}
            &nbsp;· <a class="link" href="/ledger?seq={seq}#e{seq}">entry {seq}</a
            >{/each}{#if reason.evidence.length > 4}
            &nbsp;· {reason.evidence.length} entries in all{/if}
        </p>
      </div>
    </li>
  {/each}
</ul>

<style>
  li {
    display: grid;
    grid-template-columns: 8.2rem 1fr;
    gap: 0.8rem;
    padding: 0.6rem 0;
    border-top: 1px solid var(--line);
  }
  .tag {
    font-size: 0.92rem;
    color: var(--soft);
    display: flex;
    flex-direction: column;
  }
  .never .tag,
  .missing .tag {
    color: var(--ember);
    font-weight: 600;
  }
  .change {
    font-weight: 600;
  }
  @media (max-width: 560px) {
    li {
      grid-template-columns: 1fr;
      gap: 0.2rem;
    }
  }
</style>

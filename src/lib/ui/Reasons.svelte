<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { reasons as t } from '$lib/words/screens/shell.ts';
  import { page } from '$app/state';
  import type { Effect, Reason } from '$lib/core/codes/window.ts';
  import { ROUTE_WORDS, sentence, wouldChange } from '$lib/words/findings.ts';

  /** The chain of reasons behind a verdict: what decided first, then what it rests on. */
  let { reasons, names = {} }: { reasons: readonly Reason[]; names?: Record<string, string | null> } = $props();
  const weight: Record<Effect['kind'], number> = { never: 0, missing: 1, opens: 2, 'read-by': 3, closes: 3, pass: 4 };
  const sorted = $derived([...reasons].sort((a, b) => weight[a.effect.kind] - weight[b.effect.kind]));
  /** The first and the last entries carry the proof; a long log between them is on the bench. */
  const shown = (evidence: readonly number[]) => {
    const real = [...new Set(evidence)].filter((seq) => seq > 0);
    return real.length <= 4 ? real : [...real.slice(0, 2), ...real.slice(-2)];
  };
  const tag: Record<Effect['kind'], string> = {
    never: t.shutsForEver,
    missing: t.holdsBack,
    opens: t.opens,
    closes: t.closes,
    'read-by': t.readItBy,
    pass: t.stands
  };
</script>

<ul>
  {#each sorted as reason (reason)}
    <li data-code={reason.code} class={reason.effect.kind}>
      <span class="tag">
        {reason.owned ? (names[reason.owned.by] ? t.owned : t.allowed) : tag[reason.effect.kind]}
        {#if 'at' in reason.effect}<b>{say.dayAndTime(reason.effect.at)}</b>{/if}
      </span>
      <div>
        <p>
          {#if reason.lots}<b>{t.of(reason.lots)}</b>{/if}
          {#if reason.candidate}<b>{t.ifText(reason.candidate)}</b>{/if}
          {sentence(reason, page.data.house.units)}
        </p>
        {#if reason.owned}
          <p class="change">
            {#if names[reason.owned.by]}{t.ownedBy(
                names[reason.owned.by] ?? '',
                say.dayAndTime(reason.owned.at),
                reason.owned.reason
              )}{:else}{t.allowedBy(reason.owned.by, reason.owned.reason)}{/if}
          </p>
        {/if}
        {#if reason.struck}<p class="soft">
            {t.correctedSinceByWho}
          </p>{/if}
        {#if wouldChange(reason)}<p class="change">{t.wouldChangeIt(wouldChange(reason) ?? '')}</p>{/if}
        <p class="soft small">
          <cite>{reason.rule.citation}</cite>{#if reason.rule.check}
            {t.checkWithYourAuthority}{/if} · {reason.routes.length === 5
            ? t.allRoutes
            : reason.routes.map((route) => ROUTE_WORDS[route].toLowerCase()).join(', ')}
          {#each shown(reason.evidence) as seq (seq)}
            &nbsp;· <a class="link" href="/ledger?seq={seq}#e{seq}">{t.entry(seq)}</a
            >{/each}{#if reason.evidence.length > 4}
            {t.entriesInAll(reason.evidence.length)}{/if}
        </p>
      </div>
    </li>
  {/each}
</ul>

<style>
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 0.8rem;
    padding: 0.6rem 0;
    border-top: 1px solid var(--line);
  }
  li > div {
    flex: 1 1 17rem;
    min-width: 0;
    overflow-wrap: anywhere;
  }
  .tag {
    flex: 0 0 8.2rem;
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
</style>

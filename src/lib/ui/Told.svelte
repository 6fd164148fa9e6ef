<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { told as t } from '$lib/words/screens/shell.ts';
  import { invalidateAll } from '$app/navigation';
  import Button from '$lib/ui/kit/Button.svelte';
  import { houseNow } from '$lib/ui/clock.svelte.ts';
  import { tell, told } from '$lib/ui/told.svelte.ts';

  /** What was just done, with the way back while there is one; or what was not written, and why. */
  let { person }: { person: string | null } = $props();
  const now = $derived(told());
  const left = $derived(now?.kind === 'done' ? (now.until - houseNow()) / 1000 : 0);
  const mayUndo = $derived(now?.kind === 'done' && left > 0 && now.by === person);
  let busy = $state(false);

  /** Undoes them all, the last first; the first that is refused stops it, and says so. */
  async function undo(seqs: readonly number[]) {
    busy = true;
    let refused: string | null = null;
    for (const seq of seqs) {
      const answer = await fetch('/api/v1/operations/amend-entry', {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'idempotency-key': `undo-${seq}` },
        body: JSON.stringify({ seq, void: true, reason: t.undoneAtOnce, ownWidening: true })
      }).catch(() => null);
      const body = (await answer?.json().catch(() => ({}))) as { detail?: string } | undefined;
      if (answer?.ok) continue;
      refused = body?.detail ?? t.didNotReach;
      break;
    }
    busy = false;
    tell(refused === null ? { kind: 'undone', text: t.undone } : { kind: 'refused', text: refused, newer: [] });
    await invalidateAll();
  }
</script>

<div class="told no-print" role="status">
  {#if now}
    <div class="line {now.kind}" data-told={now.kind}>
      <p>
        {now.text}
        {#if now.kind === 'refused'}{#each now.newer as line (line)}<span class="newer">{line}</span>{/each}{/if}
      </p>
      {#if mayUndo && now.kind === 'done'}
        <Button tone="ember" disabled={busy} onclick={() => void undo(now.seqs)}>
          {t.undo} <small>{say.span(left)}</small>
        </Button>
      {/if}
      <Button onclick={() => tell(null)}>{t.putAway}</Button>
    </div>
  {/if}
</div>

<style>
  .told {
    position: sticky;
    bottom: 0;
    z-index: 5;
  }
  .line {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.5rem 0.9rem;
    padding: 0.5rem 1.4rem;
    background: var(--surface);
    border-top: 3px solid var(--water-deep);
  }
  .line p {
    flex: 1 1 16rem;
    font-weight: 600;
  }
  .refused {
    border-top-color: var(--ember);
    background: var(--ember-wash);
  }
  .newer {
    display: block;
    font-weight: 400;
  }
  small {
    font-weight: 400;
  }
</style>

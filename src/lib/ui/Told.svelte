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

  async function undo(seq: number) {
    busy = true;
    const answer = await fetch('/api/v1/operations/amend-entry', {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'idempotency-key': `undo-${seq}` },
      body: JSON.stringify({ seq, void: true, reason: t.undoneAtOnce, ownWidening: true })
    }).catch(() => null);
    busy = false;
    if (!answer) return tell({ kind: 'refused', text: t.didNotReach, newer: [] });
    const body = (await answer.json().catch(() => ({}))) as { detail?: string };
    if (!answer.ok) return tell({ kind: 'refused', text: body.detail ?? t.didNotReach, newer: [] });
    tell({ kind: 'undone', text: t.undone });
    await invalidateAll();
  }
</script>

<div class="told no-print" role="status" class:empty={!now}>
  {#if now}
    <div class="line {now.kind}" data-told={now.kind}>
      <p>
        {now.text}
        {#if now.kind === 'refused'}{#each now.newer as line (line)}<span class="newer">{line}</span>{/each}{/if}
      </p>
      {#if mayUndo && now.kind === 'done'}
        <Button tone="ember" disabled={busy} onclick={() => void undo(now.seq)}>
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

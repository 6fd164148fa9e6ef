<script lang="ts">
  import { find as t, FIND_NAMES } from '$lib/words/screens/shell.ts';
  import { GONE_WORDS } from '$lib/words/occupation.ts';
  import { goto } from '$app/navigation';
  import Line from '$lib/ui/kit/Line.svelte';
  import Panel from '$lib/ui/kit/Panel.svelte';
  import LabelPhoto from '$lib/ui/controls/LabelPhoto.svelte';
  import type { Finding } from '$lib/server/views/find.ts';
  import { onMount } from 'svelte';

  /** Whatever was written down once: pieces here and gone, lots, places, suppliers, people, pages of the books, entries. */
  let { close, first = '' }: { close: () => void; first?: string } = $props();
  // svelte-ignore state_referenced_locally
  let text = $state(first);
  let found = $state<readonly Finding[]>([]);
  let asked = 0;
  /** Whether what stands there answers to what is typed: "nothing" is only said by the house. */
  let isAnswered = $state(false);
  let isLost = $state(false);

  async function look() {
    const turn = ++asked;
    isAnswered = false;
    if (text.trim() === '') return void (found = []);
    try {
      const answer = await fetch(`/api/v1/find?q=${encodeURIComponent(text.trim())}`);
      const body = (await answer.json()) as { found: readonly Finding[] };
      if (turn !== asked) return;
      found = answer.ok ? body.found : [];
      isAnswered = answer.ok;
      isLost = false;
    } catch {
      // Without the house nothing is found, and that is no answer.
      isLost = true;
    }
  }
  onMount(() => void look());
  const more = ({ kind, id, gone, beside }: Finding) =>
    [
      FIND_NAMES[kind],
      ...(kind === 'piece' || kind === 'lot' ? [id] : []),
      gone ? GONE_WORDS[gone] : kind === 'supplier' ? t.lots(Number(beside)) : beside
    ]
      .filter((part) => part !== '')
      .join(' · ');
</script>

<Panel title={t.findAPieceA} {close}>
  {#snippet children(leave)}
    <form
      onsubmit={(event) => {
        event.preventDefault();
        // A scanner sends its Enter before the house has answered.
        void look().then(() => {
          if (!found[0]) return;
          leave();
          void goto(found[0].href);
        });
      }}
    >
      <Line
        aria-label={t.whatToFind}
        autofocus
        class="w-full"
        placeholder={t.turbotTurIwashi}
        bind:value={text}
        oninput={() => void look()}
      />
    </form>
    <div class="py-2">
      <LabelPhoto
        onRead={(piece) => {
          leave();
          void goto(`/piece/${piece}`);
        }}
      />
    </div>
    <ul aria-live="polite">
      {#each found as each (each.kind + each.id)}
        <li data-found={each.kind}>
          <a class="flex min-h-12 items-center gap-3 border-t border-(--line)" href={each.href} onclick={leave}>
            <b class:gone={each.gone}>{each.name}</b><span class="soft">{more(each)}</span>
          </a>
        </li>
      {:else}
        {#if text.trim() !== ''}
          <li class="soft py-2">{isLost ? t.notConnected : isAnswered ? t.nothingByThatName : t.looking}</li>
          {#if isAnswered}
            <li class="ways">
              <a class="link" href="/receive" onclick={leave}>{t.receiveIt}</a>
              <a class="link" href="/ledger" onclick={leave}>{t.lookInTheLedger}</a>
              <a class="link" href="/house/species" onclick={leave}>{t.allSpecies}</a>
            </li>
          {/if}
        {/if}
      {/each}
    </ul>
  {/snippet}
</Panel>

<style>
  .gone {
    font-weight: 400;
    text-decoration: line-through;
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1.4rem;
  }
  .ways a {
    min-height: 48px;
    display: inline-flex;
    align-items: center;
  }
</style>

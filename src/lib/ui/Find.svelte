<script lang="ts">
  import { find as t } from '$lib/words/screens/shell.ts';
  import { goto } from '$app/navigation';
  import Line from '$lib/ui/kit/Line.svelte';
  import Panel from '$lib/ui/kit/Panel.svelte';

  let { close }: { close: () => void } = $props();
  let text = $state('');
  let found = $state<{ href: string; name: string; more: string }[]>([]);

  interface NowAnswer {
    pieces: { id: string; name: string; lot: string }[];
  }
  interface SpeciesAnswer {
    species: { id: string; name: string; alsoCalled: string[]; scientific: string[] }[];
  }
  interface Method {
    id: string;
    name: string;
    goodFor: string;
    withdrawn: boolean;
  }
  let pieces: NowAnswer['pieces'] | null = null;
  let methods: { href: string; name: string; more: string }[] | null = null;
  let asked = 0;
  let isLost = $state(false);

  /** Cures, sauces and dishes by their names, and by what they are good for. */
  async function booked() {
    const [cures, sauces, dishes] = await Promise.all([
      fetch('/api/v1/recipes').then(async (answer) => ((await answer.json()) as { recipes: Method[] }).recipes),
      fetch('/api/v1/sauces').then(async (answer) => ((await answer.json()) as { sauces: Method[] }).sauces),
      fetch('/api/v1/dishes').then(async (answer) => ((await answer.json()) as { dishes: Method[] }).dishes)
    ]);
    const listed = (all: Method[], path: string, kind: string) =>
      all
        .filter(({ withdrawn }) => !withdrawn)
        .map(({ id, name, goodFor }) => ({ href: `${path}/${id}`, name, more: `${kind} · ${goodFor}` }));
    return [
      ...listed(cures, '/cure/recipes', 'cure'),
      ...listed(sauces, '/acid/sauces', 'sauce'),
      ...listed(dishes, '/serve/dishes', 'dish')
    ];
  }

  async function look() {
    try {
      await lookUp();
      isLost = false;
    } catch {
      // Without the house nothing is found, and that is no answer.
      isLost = true;
    }
  }

  async function lookUp() {
    const turn = ++asked;
    const wanted = text.trim().toLowerCase();
    if (wanted === '') return void (found = []);
    pieces ??= ((await (await fetch('/api/v1/now')).json()) as NowAnswer).pieces;
    methods ??= await booked();
    const species = (await (await fetch(`/api/v1/species?q=${encodeURIComponent(wanted)}`)).json()) as SpeciesAnswer;
    if (turn !== asked) return;
    found = [
      ...pieces
        .filter((piece) => `${piece.name} ${piece.id} ${piece.lot}`.toLowerCase().includes(wanted))
        .slice(0, 8)
        .map((piece) => ({ href: `/piece/${piece.id}`, name: piece.name, more: piece.id })),
      ...methods.filter(({ name, more }) => `${name} ${more}`.toLowerCase().includes(wanted)).slice(0, 6),
      ...species.species.map((each) => ({
        href: `/house/species?id=${each.id}`,
        name: each.name,
        more: t.species(each.scientific[0] ?? '')
      }))
    ];
  }
</script>

<Panel title={t.findAPieceA} {close}>
  {#snippet children(leave)}
    <form
      onsubmit={(event) => {
        event.preventDefault();
        if (!found[0]) return;
        leave();
        void goto(found[0].href);
      }}
    >
      <Line
        aria-label={t.whatToFind}
        autofocus
        class="w-full"
        placeholder={t.turbotTurIwashi}
        bind:value={text}
        oninput={look}
      />
    </form>
    <ul aria-live="polite">
      {#each found as each (each.href)}
        <li>
          <a class="flex min-h-12 items-center gap-3 border-t border-(--line)" href={each.href} onclick={leave}>
            <b>{each.name}</b><span class="soft">{each.more}</span>
          </a>
        </li>
      {:else}
        {#if text.trim() !== ''}<li class="soft py-2">{isLost ? t.notConnected : t.nothingByThatName}</li>{/if}
      {/each}
    </ul>
  {/snippet}
</Panel>

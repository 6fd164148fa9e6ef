<script lang="ts">
  import { bookList as t } from '$lib/words/screens/book.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { toldLine } from '$lib/words/notices.ts';

  /** A part of the book, by kind: every page in it, and what was taken out. */
  let {
    pages,
    groups,
    path
  }: {
    pages: readonly {
      readonly id: string;
      readonly name: string;
      readonly group: string;
      readonly goodFor: string;
      readonly version: number;
      readonly own: boolean;
      readonly withdrawn: boolean;
      readonly notes: number;
      readonly told: Parameters<typeof toldLine>[0] | null;
    }[];
    groups: readonly { readonly id: string; readonly name: string }[];
    path: string;
  } = $props();
  const inBook = $derived(pages.filter(({ withdrawn }) => !withdrawn));
  const out = $derived(pages.filter(({ withdrawn }) => withdrawn));
  const about = (page: (typeof pages)[number]) =>
    [
      page.goodFor,
      page.version > 1 ? t.version(page.version) : '',
      page.own ? t.theHouses : '',
      page.notes > 0 ? t.notes(page.notes) : ''
    ]
      .filter(Boolean)
      .join(' · ');
</script>

<div class="book" data-pages={inBook.length}>
  {#each groups as group (group.id)}
    {@const shown = inBook.filter((page) => page.group === group.id)}
    {#if shown.length > 0}
      <section class="sheet">
        <h2>{group.name}</h2>
        <ul>
          {#each shown as page (page.id)}
            <li>
              <a class="page" href="{path}/{page.id}">
                <b>{page.name}</b>
                <span class="soft">{about(page)}</span>
                {#if page.told}<span class="told">{toldLine(page.told)}</span>{/if}
              </a>
            </li>
          {/each}
        </ul>
      </section>
    {/if}
  {/each}
</div>
{#if out.length > 0}
  <Fold class="sheet" title={t.takenOutOfThe(out.length)}>
    <ul>
      {#each out as page (page.id)}
        <li><a class="page" href="{path}/{page.id}"><b>{page.name}</b></a></li>
      {/each}
    </ul>
  </Fold>
{/if}

<style>
  .book {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 18.75rem), 1fr));
    gap: 0.9rem;
    align-items: start;
    margin-bottom: 0.9rem;
  }
  .page {
    display: grid;
    min-height: 56px;
    padding: 0.4rem 0;
    border-top: 1px solid var(--line);
    align-content: center;
    overflow-wrap: anywhere;
  }
  .page b {
    text-decoration: underline;
    text-underline-offset: 3px;
    text-decoration-color: var(--water);
  }
  .told {
    font-weight: 600;
    font-size: 0.92rem;
  }
</style>

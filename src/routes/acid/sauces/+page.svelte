<script lang="ts">
  import { SAUCE_KINDS } from '$lib/core/activity/acid/sauce-body.ts';
  import AcidTabs from '$lib/ui/acid/AcidTabs.svelte';
  import SauceForm from '$lib/ui/acid/SauceForm.svelte';
  import { SAUCE_KIND_WORDS } from '$lib/words/acid.ts';
  import { toldLine } from '$lib/words/notices.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const inBook = $derived(data.sauces.filter(({ withdrawn }) => !withdrawn));
  const out = $derived(data.sauces.filter(({ withdrawn }) => withdrawn));
</script>

<svelte:head><title>Sauces · Ember Tide</title></svelte:head>
<h1>Sauces and dressings</h1>
<AcidTabs />
<div class="book" data-sauces={inBook.length}>
  {#each SAUCE_KINDS as kind (kind)}
    {@const sauces = inBook.filter((sauce) => sauce.kind === kind)}
    {#if sauces.length > 0}
      <section class="sheet">
        <h2>{SAUCE_KIND_WORDS[kind]}</h2>
        <ul>
          {#each sauces as sauce (sauce.id)}
            <li>
              <a class="sauce" href="/acid/sauces/{sauce.id}">
                <b>{sauce.name}</b>
                <span class="soft">
                  {sauce.goodFor}{sauce.version > 1 ? ` · version ${sauce.version}` : ''}{sauce.own
                    ? ' · the house’s'
                    : ''}
                </span>
                <span class="told">{toldLine(sauce.told)}</span>
              </a>
            </li>
          {/each}
        </ul>
      </section>
    {/if}
  {/each}
</div>
{#if out.length > 0}
  <details class="sheet">
    <summary>Taken out of the book ({out.length})</summary>
    <ul>
      {#each out as sauce (sauce.id)}
        <li><a class="sauce" href="/acid/sauces/{sauce.id}"><b>{sauce.name}</b></a></li>
      {/each}
    </ul>
  </details>
{/if}
<details class="sheet">
  <summary>Write a new sauce</summary>
  <SauceForm />
</details>
<p class="caution">
  Ratios are starting points, to be tasted. What a line holds is added up from the <a
    class="link"
    href="/house/ingredients">list of ingredients</a
  >; a maker’s label goes before it. Guidance only: your local code and licensed practice decide.
</p>

<style>
  .book {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
    gap: 0.9rem;
    align-items: start;
    margin-bottom: 0.9rem;
  }
  details {
    margin-bottom: 0.7rem;
  }
  .sauce {
    display: grid;
    min-height: 56px;
    padding: 0.4rem 0;
    border-top: 1px solid var(--line);
    align-content: center;
    overflow-wrap: anywhere;
  }
  .sauce b {
    text-decoration: underline;
    text-underline-offset: 3px;
    text-decoration-color: var(--water);
  }
  .told {
    font-weight: 600;
    font-size: 0.92rem;
  }
</style>

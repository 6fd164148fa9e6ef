<script lang="ts">
  import { SCHOOL_IDS } from '$lib/core/activity/cure/lists.ts';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import CureTabs from '$lib/ui/cure/CureTabs.svelte';
  import RecipeForm from '$lib/ui/cure/RecipeForm.svelte';
  import { SCHOOL_WORDS } from '$lib/words/cure.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const inBook = $derived(data.recipes.filter(({ withdrawn }) => !withdrawn));
  const out = $derived(data.recipes.filter(({ withdrawn }) => withdrawn));
  let text = $state('');
  let taken = $state('');
  async function read(event: Event & { currentTarget: HTMLInputElement }) {
    text = (await event.currentTarget.files?.[0]?.text()) ?? '';
  }
</script>

<svelte:head><title>Recipe book · Ember Tide</title></svelte:head>
<h1>Recipe book</h1>
<CureTabs />
<div class="book">
  {#each SCHOOL_IDS as school (school)}
    {@const recipes = inBook.filter((recipe) => recipe.school === school)}
    {#if recipes.length > 0}
      <section class="sheet">
        <h2>{SCHOOL_WORDS[school].name}</h2>
        <ul>
          {#each recipes as recipe (recipe.id)}
            <li>
              <a class="recipe" href="/cure/recipes/{recipe.id}">
                <b>{recipe.name}</b>
                <span class="soft">
                  {recipe.goodFor}{recipe.version > 1 ? ` · version ${recipe.version}` : ''}{recipe.own
                    ? ' · the house’s'
                    : ''}{recipe.notes > 0 ? ` · ${recipe.notes} ${recipe.notes === 1 ? 'note' : 'notes'}` : ''}
                </span>
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
      {#each out as recipe (recipe.id)}
        <li><a class="recipe" href="/cure/recipes/{recipe.id}"><b>{recipe.name}</b></a></li>
      {/each}
    </ul>
  </details>
{/if}
<details class="sheet">
  <summary>Write a new recipe</summary>
  <RecipeForm />
</details>
<details class="sheet">
  <summary>Take recipes elsewhere, or in</summary>
  <p><a class="link" href="/cure/recipes/export" download="ember-tide-recipes.json">All recipes as a file</a> (JSON)</p>
  <OperationForm
    operation="import-recipes"
    submit="Take them in"
    onDone={(result) => {
      const names = result.taken as string[];
      taken = `${names.length} taken in, ${result.alike} known already.`;
      text = '';
    }}
  >
    <label class="file">A file of recipes <input type="file" accept="application/json,.json" onchange={read} /></label>
    <label class="file">
      or its text
      <textarea name="text" rows="5" bind:value={text}></textarea>
    </label>
  </OperationForm>
  {#if taken}<p role="status">{taken}</p>{/if}
  <p class="soft">
    One of a known name becomes its next version. A file with anything unreadable in it is not taken at all.
  </p>
</details>
<p class="caution">
  Ratios are starting points, tasted and not measured. Volumes are no weights: fine and flake salt differ almost
  two-fold. Guidance only: your local code and licensed practice decide.
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
  .recipe {
    display: grid;
    min-height: 56px;
    padding: 0.4rem 0;
    border-top: 1px solid var(--line);
    align-content: center;
    overflow-wrap: anywhere;
  }
  .recipe b {
    text-decoration: underline;
    text-underline-offset: 3px;
    text-decoration-color: var(--water);
  }
  .file {
    display: grid;
    gap: 0.3rem;
    font-weight: 600;
  }
  .file input,
  .file textarea {
    min-height: 48px;
    padding: 0.4rem;
    border: 1px solid var(--strong-line);
    border-radius: 3px;
    background-color: var(--surface);
    color: var(--ink);
    font-weight: 400;
  }
</style>

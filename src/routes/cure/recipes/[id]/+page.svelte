<script lang="ts">
  import Line from '$lib/ui/kit/Line.svelte';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { BULK_DENSITY, saltVolume } from '$lib/core/bench/cure/brine.ts';
  import { type SaltKind } from '$lib/core/activity/cure/lists.ts';
  import PageChanges from '$lib/ui/book/PageChanges.svelte';
  import PageSheet from '$lib/ui/book/PageSheet.svelte';
  import PageSide from '$lib/ui/book/PageSide.svelte';
  import ScaledTo from '$lib/ui/book/ScaledTo.svelte';
  import CureTabs from '$lib/ui/cure/CureTabs.svelte';
  import { amountWords, recipeLinesText } from '$lib/ui/cure/recipe-text.ts';
  import RecipeForm from '$lib/ui/cure/RecipeForm.svelte';
  import { formatDuration, formatLength, formatMass, weighed } from '$lib/ui/format.ts';
  import { SCHOOL_WORDS } from '$lib/words/cure.ts';
  import Swapped from '$lib/ui/controls/Swapped.svelte';
  import { toldLine } from '$lib/words/notices.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
  const units = $derived(data.house.units);
  const zone = $derived(data.house.zone);
  const recipe = $derived(data.recipe);
  const body = $derived(data.body);
  let spoons = $state(false);
  let densities = $state<Record<SaltKind, string>>({
    fine: String(BULK_DENSITY.fine),
    coarse: String(BULK_DENSITY.coarse),
    flake: String(BULK_DENSITY.flake)
  });
  const spoonful = (grams: number, kind: SaltKind): string => {
    const density = Number(densities[kind].replace(',', '.'));
    return density >= 0.3 && density <= 1.6
      ? `about ${Math.round(saltVolume(grams, density))} ml`
      : 'density 0.3 to 1.6 g/ml';
  };
</script>

<PageSheet
  page={recipe}
  version={data.version}
  kind={SCHOOL_WORDS[body.school].name}
  goodFor={body.goodFor}
  caution="Ratios are starting points, tasted and not measured. Cured is still a raw route. Guidance only: your local code and licensed practice decide."
>
  {#snippet tabs()}<CureTabs />{/snippet}
  <h2>For {formatMass(data.scaled.grams, units)} of fish</h2>
  <Table data-scaled>
    <thead
      ><tr
        ><th>What</th><th>Written</th><th>Weigh</th>{#if spoons}<th>Spoon</th>{/if}</tr
      ></thead
    >
    <tbody>
      {#each data.scaled.lines as line, index (index)}
        <tr>
          <td
            >{line.what}{#if line.saltKind && !line.what.toLowerCase().includes(line.saltKind)}<span class="soft"
                >, {line.saltKind}</span
              >{/if}</td
          >
          <td class="soft">{amountWords(body.lines[index]!, body.basis)}</td>
          <td>
            <b>{weighed(line.weighed, units)}</b>
            {#if line.tooFine}<span class="soft">({line.grams.toFixed(2)} g: too little for this scale)</span>{/if}
          </td>
          {#if spoons}<td>{line.role === 'salt' ? spoonful(line.grams, line.saltKind || 'fine') : ''}</td>{/if}
        </tr>
      {/each}
    </tbody>
  </Table>
  <p class="soft small">
    Rounded to {data.interval} g, which the scale shows (House, Knife work).
    {#if body.basis === 'parts'}The mix is {Number((body.rate * 100).toFixed(1))} % of the fish.{/if}
    {#if body.school === 'weighed'}The salt is what brings the finished piece to its share: a little more than of the
      raw weight.{/if}
  </p>
  <label class="ticked"><input type="checkbox" bind:checked={spoons} /> No scale: salt by volume</label>
  {#if spoons}
    <p class="trouble">
      A makeshift, good to a fifth at best: fine and flake salt differ almost two-fold. Weigh a level spoon of yours and
      set its density.
    </p>
    <div class="row">
      {#each ['fine', 'coarse', 'flake'] as const as kind (kind)}
        <label class="density"
          >{kind}, g/ml <Line class="w-28" inputmode="decimal" bind:value={densities[kind]} /></label
        >
      {/each}
    </div>
  {/if}
  <dl>
    <div>
      <dt>Time</dt>
      <dd>{formatDuration(body.hours * 3600)}{body.school === 'desalt' ? `, ${body.changes} waters` : ''}</dd>
    </div>
    {#if body.presaltMinutes > 0}
      <div>
        <dt>Salted first</dt>
        <dd>{(body.presalt * 100).toFixed(1)} %, {body.presaltMinutes} min</dd>
      </div>
    {/if}
    {#if body.restHours > 0}<div>
        <dt>Rest</dt>
        <dd>{formatDuration(body.restHours * 3600)}</dd>
      </div>{/if}
    {#if body.forMm !== null}
      <div data-for-size>
        <dt>Made for</dt>
        <dd>{formatLength(body.forMm, units)}, {body.forFaces === 1 ? 'skin on' : 'both faces open'}</dd>
      </div>
    {/if}
    <div>
      <dt>Middle</dt>
      <dd>{(body.target * 100).toFixed(1)} % salt</dd>
    </div>
    <div>
      <dt>Allergens</dt>
      <dd data-told>{toldLine(data.told)}; and the fish</dd>
    </div>
  </dl>
  <Swapped swaps={data.swaps} />
  <PageChanges changes={data.scaled.changes} per="a kilogram of fish" />
  {#if body.steps.length > 0}
    <ol>
      {#each body.steps as step (step)}<li>{step}</li>{/each}
    </ol>
  {/if}
  <p>
    <a class="link" href="/cure?recipe={recipe.id}{data.picked[0] ? `&piece=${data.picked[0]}` : ''}"
      >Take it to the bench</a
    >
    ·
    <a class="link" href="/cure/recipes/export?id={recipe.id}" download="{recipe.id}.json">as a file</a>
  </p>
  {#snippet side()}
    <ScaledTo pieces={data.pieces} chosen={data.picked} grams={data.scaled.grams} {units} />
    <PageSide shape="recipe" page={recipe} people={data.people} {zone} />
  {/snippet}
  {#snippet next()}
    {#key `${recipe.id} ${data.version} ${recipe.version}`}
      <Fold class="sheet" title="Write the next version from version {data.version}">
        <RecipeForm id={recipe.id} recipe={body} />
        <p class="soft small">As it is typed: <code>{recipeLinesText(body).split('\n')[0]}</code></p>
      </Fold>
    {/key}
  {/snippet}
</PageSheet>

<style>
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 0.7rem;
    margin: 0.5rem 0;
  }
  .density {
    display: grid;
    gap: 0.2rem;
  }
  dl {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 1.6rem;
    margin: 0.6rem 0;
  }
  dt {
    color: var(--soft);
    font-size: 0.9rem;
  }
</style>

<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common } from '$lib/words/screens/common.ts';
  import { cureRecipesOnePage as t } from '$lib/words/screens/cure.ts';
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
  import { recipeLinesText } from '$lib/ui/cure/recipe-text.ts';
  import { amountWords } from '$lib/words/screens/book.ts';
  import RecipeForm from '$lib/ui/cure/RecipeForm.svelte';
  import { CURE_NAMES } from '$lib/words/cure-names.ts';
  import Swapped from '$lib/ui/controls/Swapped.svelte';
  import { toldLine } from '$lib/words/notices.ts';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
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
      ? t.aboutMl(Math.round(saltVolume(grams, density)))
      : 'density 0.3 to 1.6 g/ml';
  };
</script>

<PageSheet
  page={recipe}
  version={data.version}
  kind={CURE_NAMES[body.school].name}
  goodFor={body.goodFor}
  caution={t.ratiosAreStartingPoints}
>
  {#snippet tabs()}<CureTabs />{/snippet}
  <h2>{t.forOfFish(say.mass(data.scaled.grams))}</h2>
  <Table data-scaled>
    <thead
      ><tr
        ><th>{common.what}</th><th>{t.written}</th><th>{common.weigh}</th>{#if spoons}<th>{t.spoon}</th>{/if}</tr
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
          <td class="soft">{amountWords(body.lines[index]!.amount, body.basis)}</td>
          <td>
            <b>{say.weighed(line.weighed)}</b>
            {#if line.tooFine}<span class="soft">{t.gTooLittleFor(say.exactly(line.grams, 2))}</span>{/if}
          </td>
          {#if spoons}<td>{line.role === 'salt' ? spoonful(line.grams, line.saltKind || 'fine') : ''}</td>{/if}
        </tr>
      {/each}
    </tbody>
  </Table>
  <p class="soft small">
    {t.roundedToGWhich(data.interval)}
    {#if body.basis === 'parts'}{t.theMixIsOf(say.number(body.rate * 100, 1))}{/if}
    {#if body.school === 'weighed'}{t.theSaltIsWhat}{/if}
  </p>
  <label class="ticked"><input type="checkbox" bind:checked={spoons} /> {t.noScaleSaltBy}</label>
  {#if spoons}
    <p class="trouble">
      {t.aMakeshiftGoodTo}
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
      <dt>{t.time}</dt>
      <dd>{say.span(body.hours * 3600)}{body.school === 'desalt' ? t.waters(body.changes) : ''}</dd>
    </div>
    {#if body.presaltMinutes > 0}
      <div>
        <dt>{t.saltedFirst}</dt>
        <dd>{say.exactly(body.presalt * 100, 1)} %, {body.presaltMinutes} min</dd>
      </div>
    {/if}
    {#if body.restHours > 0}<div>
        <dt>{t.rest}</dt>
        <dd>{say.span(body.restHours * 3600)}</dd>
      </div>{/if}
    {#if body.forMm !== null}
      <div data-for-size>
        <dt>{t.madeFor}</dt>
        <dd>{say.length(body.forMm)}, {body.forFaces === 1 ? t.skinOn : t.bothFacesOpen}</dd>
      </div>
    {/if}
    <div>
      <dt>{t.middle}</dt>
      <dd>{t.salt(say.exactly(body.target * 100, 1))}</dd>
    </div>
    <div>
      <dt>{t.allergens}</dt>
      <dd data-told>{t.andTheFish(toldLine(data.told))}</dd>
    </div>
  </dl>
  <Swapped swaps={data.swaps} />
  <PageChanges changes={data.scaled.changes} per={t.aKilogramOfFish} />
  {#if body.steps.length > 0}
    <ol>
      {#each body.steps as step (step)}<li>{step}</li>{/each}
    </ol>
  {/if}
  <p class="no-print">
    <a class="link" href="/cure?recipe={recipe.id}{data.picked[0] ? `&piece=${data.picked[0]}` : ''}">{t.takeItToThe}</a
    >
    ·
    <a class="link" href="/cure/recipes/export?id={recipe.id}" download="{recipe.id}.json">{common.asAFile}</a>
  </p>
  {#snippet side()}
    <ScaledTo pieces={data.pieces} chosen={data.picked} grams={data.scaled.grams} />
    <PageSide shape="recipe" page={recipe} people={data.people} />
  {/snippet}
  {#snippet next()}
    {#key `${recipe.id} ${data.version} ${recipe.version}`}
      <Fold class="sheet" title={t.writeTheNextVersion(data.version)}>
        <RecipeForm id={recipe.id} recipe={body} />
        <p class="soft small">{t.asItIsTyped} <code>{recipeLinesText(body).split('\n')[0]}</code></p>
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

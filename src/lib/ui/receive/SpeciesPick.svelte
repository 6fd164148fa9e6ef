<script lang="ts">
  import { speciesPick as t } from '$lib/words/screens/receive.ts';
  import Line from '$lib/ui/kit/Line.svelte';
  import Select from '$lib/ui/kit/Select.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import { whyItMatters } from '$lib/core/codes/ambiguity.ts';
  import { speciesIndex } from '$lib/core/fish/search.ts';
  import { speciesCalled, type Species } from '$lib/core/fish/species.ts';
  import type { RuleProfile } from '$lib/core/codes/profile.ts';
  import { differenceWord, handlingWord } from '$lib/words/species.ts';

  /** Species by any market name. A name that several answer to is asked about; a fish nobody can name gets its candidates. */
  let {
    catalogue,
    profile,
    species = $bindable(''),
    candidates = $bindable([]),
    given = '',
    onpick
  }: {
    catalogue: readonly Species[];
    profile: RuleProfile;
    species?: string;
    candidates?: string[];
    given?: string;
    onpick?: (species: Species) => void;
  } = $props();

  const byId = $derived(new Map(catalogue.map((each) => [each.id, each])));
  // svelte-ignore state_referenced_locally
  let text = $state(catalogue.find(({ id }) => id === given)?.name ?? '');
  const search = $derived(speciesIndex(catalogue));
  const unsettled = $derived(species === 'unidentified');
  const chosen = $derived(byId.get(species));
  const found = $derived(text.trim() === '' || chosen?.name === text ? [] : search(text, 6));
  /** A market name that several species answer to settles nothing. */
  const senses = $derived.by(() => {
    const same = speciesCalled(text, catalogue);
    return same.length > 1 ? whyItMatters(same, profile) : [];
  });

  function pick(each: Species) {
    if (unsettled) {
      candidates = candidates.includes(each.id)
        ? candidates.filter((id) => id !== each.id)
        : [...candidates, each.id].slice(0, 8);
      text = '';
      return;
    }
    species = each.id;
    text = each.name;
    onpick?.(each);
  }
  function unsettle() {
    // What was found so far is what it may be.
    candidates = (senses.length > 0 ? senses.map((sense) => sense.species) : found.slice(0, 3)).map(({ id }) => id);
    species = 'unidentified';
    text = '';
  }
</script>

<div class="search">
  <label for="species-text">{unsettled ? t.itMayAlsoBe : t.speciesByAnyMarket}</label>
  <Line
    class="text-xl font-semibold"
    id="species-text"
    autocomplete="off"
    placeholder={t.charIwashiLubina}
    bind:value={text}
    oninput={() => {
      if (!unsettled) species = '';
    }}
    onkeydown={(event) => {
      if (event.key !== 'Enter' || !found[0] || (species !== '' && !unsettled)) return;
      event.preventDefault();
      if (senses.length === 0) pick(found[0]);
    }}
  />
  <input type="hidden" name="species" value={species} />
  <input type="hidden" name="candidates" value={unsettled ? candidates.join(',') : ''} />
  <noscript>
    <Select name="species">
      {#each catalogue as each (each.id)}<option value={each.id}>{each.name}</option>{/each}
    </Select>
  </noscript>
  {#if senses.length > 1 && (species === '' || unsettled)}
    <p class="ask">
      {t.isTheMarketName(text.trim(), senses.length)}
    </p>
    <div class="senses">
      {#each senses as { species: each, points } (each.id)}
        <Button onclick={() => pick(each)}>
          <b>{each.name}</b> <i>{each.scientific[0]}</i>
          {#each points as point (point)}<span>{differenceWord(point)}</span>{:else}<span class="soft"
              >{t.nothingThatSetsIt}</span
            >{/each}
        </Button>
      {/each}
    </div>
  {:else if text.trim().length > 1 && found.length === 0 && (species === '' || unsettled)}
    <p class="ask" data-found="none">
      {t.isNotInThe(text.trim())} <a class="link" href="/house/species">{t.describeIt}</a>{t.orSayWhatIt}
    </p>
  {:else if species === '' || unsettled}
    <div class="found">
      {#each found as each (each.id)}
        <Button onclick={() => pick(each)}><b>{each.name}</b> <i>{each.scientific[0]}</i></Button>
      {/each}
    </div>
  {/if}
  {#if unsettled}
    <p class="ask">{t.notSettledJudgedAs}</p>
    <div class="found">
      {#each candidates as id (id)}
        <Button aria-label={t.not(byId.get(id)?.name ?? id)} onclick={() => pick(byId.get(id)!)}>
          <b>{byId.get(id)?.name}</b> ×
        </Button>
      {:else}<p class="soft">{t.nameWhatItMay}</p>{/each}
    </div>
    <Button tone="quiet" onclick={() => ((species = ''), (candidates = []))}>{t.iKnowWhatIt}</Button>
  {:else if chosen}
    <p class="soft">
      <i>{chosen.scientific.join(', ')}</i>{chosen.note
        ? ` · ${chosen.note}`
        : ''}{#each chosen.handling.slice(0, 3) as code (code)}
        {` · ${handlingWord(code)}`}{/each}
    </p>
  {:else}
    <Button tone="quiet" onclick={unsettle}>{t.nobodyCanSayWhat}</Button>
  {/if}
</div>

<style>
  .search {
    display: grid;
    gap: 0.3rem;
  }
  label {
    font-weight: 600;
  }
  .found,
  .senses {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
  }
  .senses span {
    display: block;
    font-size: 0.92rem;
  }
  i {
    color: var(--soft);
  }
  .ask {
    color: var(--ember);
    font-weight: 600;
  }
</style>

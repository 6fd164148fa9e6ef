<script lang="ts">
  import { compare as t } from '$lib/words/screens/piece.ts';
  import Table from '$lib/ui/kit/Table.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { page } from '$app/state';
  import type { CompareView } from '$lib/server/views/piece.ts';
  import { ROUTES } from '$lib/core/codes/window.ts';
  import { ROUTE_WORDS, sentence } from '$lib/words/findings.ts';
  import WindowLine from '../marks/WindowLine.svelte';

  /** One piece under every rule book, route by route, and why they differ. */
  let { compare, now, warnSeconds }: { compare: CompareView; now: number; warnSeconds: number } = $props();
  const differing = $derived(
    ROUTES.filter(
      (route) =>
        new Set(
          compare.profiles.map(({ windows }) => {
            const window = windows.find((each) => each.route === route)!;
            return `${window.state} ${window.opens} ${window.closes}`;
          })
        ).size > 1
    )
  );
  /** What decides under one rule book and not under all of them. */
  const own = (id: string) =>
    compare.profiles
      .find((profile) => profile.id === id)!
      .reasons.filter(
        ({ code, rule }) =>
          !compare.profiles.every(({ reasons }) =>
            reasons.some((other) => other.code === code && other.rule.rule === rule.rule)
          )
      );
</script>

<Fold
  class="sheet compare"
  title={t.underOtherRuleBooks(
    differing.length > 0
      ? t.differ(differing.map((route) => ROUTE_WORDS[route].toLowerCase()).join(', '))
      : t.noDifferenceNow
  )}
>
  <div class="sideways" tabindex="-1">
    <Table least="rows">
      <thead>
        <tr>
          <th scope="col">{t.ruleBook}</th>
          {#each ROUTES as route (route)}<th scope="col">{ROUTE_WORDS[route]}</th>{/each}
        </tr>
      </thead>
      <tbody>
        {#each compare.profiles as profile (profile.id)}
          <tr data-profile={profile.id}>
            <th scope="row">{profile.name}{profile.inForce ? t.inForce : ''}</th>
            {#each profile.windows as window (window.route)}
              <td><WindowLine {window} {now} {warnSeconds} named={false} size={22} /></td>
            {/each}
          </tr>
        {/each}
      </tbody>
    </Table>
  </div>
  {#each compare.profiles as profile (profile.id)}
    {#if own(profile.id).length > 0}
      <h3>{t.onlySoUnder(profile.name)}</h3>
      <ul>
        {#each own(profile.id) as reason, index (index)}
          <li>
            {sentence(reason, page.data.house.units)}
            <span class="soft"><cite>{reason.rule.citation}</cite>{reason.rule.check ? t.check : ''}</span>
          </li>
        {/each}
      </ul>
    {/if}
  {/each}
</Fold>

<style>
  h3 {
    font-weight: 600;
    margin-top: 0.7rem;
  }
  li {
    padding: 0.3rem 0;
    border-top: 1px solid var(--line);
  }
</style>

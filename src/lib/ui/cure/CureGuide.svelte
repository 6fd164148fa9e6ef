<script lang="ts">
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { page } from '$app/state';
  import { guardsOf } from '$lib/core/bench/cure/guards.ts';
  import type { School } from '$lib/core/activity/cure/lists.ts';
  import { SCHOOL_WORDS } from '$lib/words/cure.ts';
  import { sentence } from '$lib/words/findings.ts';

  /** A school's steps with their reasons, and what is to be said of every cure. */
  let {
    method,
    guards,
    histamine
  }: { method: School; guards: Parameters<typeof guardsOf>[0] | null; histamine: boolean } = $props();
  const words = $derived(SCHOOL_WORDS[method]);
  const said = $derived(
    guards
      ? guardsOf(guards).flatMap(({ code, seen }) =>
          code === 'cure.open' ? [] : [{ code, text: sentence({ code, seen }, page.data.house.units) }]
        )
      : []
  );
</script>

<Fold class="sheet guide" title="{words.name}: steps, reasons, mistakes">
  <ol>
    {#each words.steps as step (step.do)}<li><b>{step.do}</b> <span class="soft">{step.why}</span></li>{/each}
  </ol>
  <p><b>Usual:</b> {words.usual}</p>
  <p><b>Look at:</b> {words.inspect.join('; ')}.</p>
  <p><b>Mistakes:</b> {words.mistakes.join('; ')}.</p>
  <p class="soft">
    Salt diffuses through the water of the flesh (Fick’s second law, 60 layers in each of up to 12 zones). Under laid
    salt the face stands at saturated brine until the salt is gone, then at a brine that weakens; a bath is finite and
    stirred; a rest only evens out. Likely diffusivity 3 × 10⁻¹⁰ m²/s at 4 °C for lean fish, drawn from 1.5 to 8 ×
    10⁻¹⁰, slower in fat, faster in the warm (22.5 kJ/mol) and in thawed flesh. Salt along the length, a paste that is
    not stirred, and what pressing does are not followed. Bands: 200 seeded draws. Crank 1975; Resnik and Chirife 1988;
    Ross 1975.
  </p>
</Fold>
<section class="caution" aria-label="Cautions">
  {#each said as guard (guard.code)}<p data-guard={guard.code}>{guard.text}</p>{/each}
  {#if histamine}<p>A histamine species: every warm minute counts, and no salt undoes it.</p>{/if}
  <p>
    The date mark counts from the first day of the cure. Lightly cured fish is not shelf-stable. Guidance only: your
    local code and licensed practice decide.
  </p>
</section>

<style>
  ol {
    list-style: decimal;
    padding-left: 1.4rem;
    display: grid;
    gap: 0.25rem;
  }
  .caution {
    display: grid;
    gap: 0.35rem;
    margin-top: 0.9rem;
  }
</style>

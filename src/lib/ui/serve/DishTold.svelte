<script lang="ts">
  import type { TableRow } from '$lib/server/facts/table.ts';
  import { ROUTE_WORDS } from '$lib/words/findings.ts';
  import { GEAR_OPTIONS, KILLING_OPTIONS } from '$lib/words/receive.ts';
  import { allergenWord, toldLine } from '$lib/words/notices.ts';
  import { factsWords, NOT_FOR_WORDS, TELL_WORDS } from '$lib/words/plates.ts';
  import * as say from '$lib/words/say.ts';
  import { tablePage as t } from '$lib/words/screens/serve.ts';

  /** What is answered at a table of one dish: by the pieces of its next plate. */
  let { row, now, currency }: { row: TableRow; now: number; currency: string } = $props();
  const besides = $derived([...row.tells.map((tell) => TELL_WORDS[tell]), ...(row.rawEgg ? [t.rawEgg] : [])]);
  const notFor = $derived([
    ...row.notFor.map((each) => NOT_FOR_WORDS[each]),
    ...(row.houseNotFor === '' ? [] : [row.houseNotFor])
  ]);
</script>

<article class="sheet stack" data-told={row.id}>
  <h3>{row.card}</h3>
  <p class="soft">
    {row.route === '' ? t.notSaid : ROUTE_WORDS[row.route]}
    {#if row.ready}
      · {row.off ? t.off : t.left(row.plates)}
      {#if row.until !== null && row.plates > 0}· {t.until(say.until(row.until, now))}{/if}
    {/if}
    {#if row.price !== null}· {say.money(row.price * 100, currency)}{/if}
  </p>
  {#each row.fish as { name, scientific, facts } (name)}
    <p>
      <b>{name}</b> <i>{scientific}</i>
      {#each facts as fact, at (at)}
        <span class="fact"
          >{factsWords(fact)}; {t.caught(GEAR_OPTIONS[fact.gear]!)}; {t.killed(KILLING_OPTIONS[fact.killing]!)}</span
        >
      {:else}
        <span class="fact">{t.noPlate}</span>
      {/each}
    </p>
  {/each}
  <p>{toldLine({ holds: row.holds, mayHold: row.mayHold, unsaid: row.unsaid })}</p>
  {#if row.garnish.length > 0}
    <p>
      {t.leftOff(
        row.garnish
          .map(({ what, holds }) => (holds.length === 0 ? what : `${what} (${holds.map(allergenWord).join(', ')})`))
          .join(', ')
      )}
    </p>
  {/if}
  {#if besides.length > 0}<p>{t.alsoIn(besides.join(', '))}</p>{/if}
  {#if notFor.length > 0}<p><b>{t.notFor}</b> {notFor.join('; ')}</p>{/if}
</article>

<style>
  .fact {
    display: block;
  }
</style>

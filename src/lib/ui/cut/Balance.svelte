<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common } from '$lib/words/screens/common.ts';
  import { balance as t } from '$lib/words/screens/break.ts';
  import type { Balance } from '$lib/core/bench/breakdown/mass.ts';

  /** What came off against what went on, as one bar: the open end is what is still to be weighed. */
  let { balance, closed }: { balance: Balance; closed: boolean } = $props();
  const whole = $derived(Math.max(balance.input, balance.parts + balance.waste + balance.drip));
  const share = (grams: number) => (whole > 0 ? (Math.max(0, grams) / whole) * 600 : 0);
  const bars = $derived([
    { name: 'parts', grams: balance.parts, x: 0 },
    { name: 'waste', grams: balance.waste, x: share(balance.parts) },
    { name: 'drip', grams: balance.drip, x: share(balance.parts + balance.waste) },
    { name: 'open', grams: balance.open, x: share(balance.parts + balance.waste + balance.drip) }
  ]);
  const said = $derived(
    balance.closes
      ? t.itBalancesAndThe(
          say.mass(Math.abs(balance.open)),
          balance.open < 0 ? t.over : t.open2,
          say.mass(balance.tolerance)
        )
      : balance.open > 0
        ? `${say.mass(balance.open)} ${closed ? t.wereNeverWeighed : t.stillToWeigh}.`
        : t.moreCameOffThan(say.mass(-balance.open))
  );
</script>

<div class="balance" class:closes={balance.closes} data-closes={balance.closes}>
  <svg viewBox="-2 0 604 30" aria-hidden="true" preserveAspectRatio="none">
    {#each bars as bar (bar.name)}
      {#if share(bar.grams) > 0}<rect x={bar.x} y="3" width={share(bar.grams)} height="24" class={bar.name} />{/if}
    {/each}
    <rect x="0" y="3" width={share(balance.input)} height="24" class="frame" />
  </svg>
  <dl>
    <div>
      <dt>{t.onTheBoard}</dt>
      <dd>{say.mass(balance.input)}</dd>
    </div>
    <div>
      <dt><i class="parts"></i>{t.parts}</dt>
      <dd>{say.mass(balance.parts)}</dd>
    </div>
    <div>
      <dt><i class="waste"></i>{common.waste}</dt>
      <dd>{say.mass(balance.waste)}</dd>
    </div>
    <div>
      <dt><i class="drip"></i>{t.drip}</dt>
      <dd>{say.mass(balance.drip)}</dd>
    </div>
    <div class="last">
      <dt><i class="open"></i>{t.open}</dt>
      <dd>{say.mass(balance.open)}</dd>
    </div>
  </dl>
  <p role="status" class:said={!balance.closes}>{said}</p>
</div>

<style>
  svg {
    width: 100%;
    height: 30px;
    display: block;
  }
  rect {
    stroke: none;
  }
  rect.parts,
  i.parts {
    fill: var(--water);
    background: var(--water);
  }
  rect.waste,
  i.waste {
    fill: var(--strong-line);
    background: var(--strong-line);
  }
  rect.drip,
  i.drip {
    fill: var(--water-pale);
    background: var(--water-pale);
  }
  rect.open,
  i.open {
    fill: var(--surface);
    background: var(--surface);
  }
  rect.frame {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.5;
    vector-effect: non-scaling-stroke;
  }
  dl {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 1.1rem;
    margin: 0.3rem 0;
  }
  dt {
    font-size: 0.9rem;
    color: var(--soft);
    display: flex;
    align-items: center;
    gap: 0.3rem;
  }
  i {
    width: 10px;
    height: 10px;
    border: 1px solid var(--ink);
    display: inline-block;
  }
  dd {
    font-weight: 600;
    font-size: 1.1rem;
  }
  .said {
    color: var(--ember);
    font-weight: 600;
  }
</style>

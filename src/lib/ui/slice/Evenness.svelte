<script lang="ts" module>
  /** "+8 %", "−3 %". */
  const signed = (share: number): string => `${share < 0 ? '−' : '+'}${say.points(Math.abs(share) * 100)}`;
</script>

<script lang="ts">
  import ChartFrame from '../charts/ChartFrame.svelte';
  import Field from '../controls/Field.svelte';
  import OperationForm from '../controls/OperationForm.svelte';
  import ScalePanel from '../devices/ScalePanel.svelte';
  import Button from '$lib/ui/kit/Button.svelte';
  import { evenness, TOLERANCE, weightsTold } from '$lib/core/bench/slice/evenness.ts';
  import { EmberError } from '$lib/core/errors.ts';
  import { errorSentence } from '$lib/words/errors.ts';
  import * as say from '$lib/words/say.ts';
  import { evennessWords as t } from '$lib/words/screens/slice.ts';

  /** Slices on the scale, one after the other: how even they are, which are odd, whether they drift along the block. */
  let {
    made,
    scale,
    playable
  }: {
    made: {
      readonly id: string;
      readonly seq: number;
      readonly aim: number;
      readonly weighed: { readonly weights: readonly number[]; readonly per: number } | null;
    };
    /** There is a scale at this house. */
    scale: boolean;
    playable: boolean;
  } = $props();

  let text = $state('');
  let per = $state('1');
  /** Lifted from a heap, slice by slice, instead of laid on. */
  let isHeap = $state(false);
  const add = (grams: number) => (text = `${text}${text.trim() === '' ? '' : ' '}${Math.round(grams * 10) / 10}`);
  const told = $derived.by(() => {
    try {
      if (text.trim() === '' && made.weighed) {
        const weights = made.weighed.weights.map((grams) => grams / made.weighed!.per);
        return { weights, ...evenness(weights, made.aim) };
      }
      if (text.trim() === '') return null;
      const weights = weightsTold(text).map((grams) => grams / Number(per));
      return { weights, ...evenness(weights, made.aim) };
    } catch (error) {
      if (!(error instanceof EmberError)) throw error;
      return errorSentence(error.code, error.details);
    }
  });
  const W = 600;
  const H = 150;
  const x = (index: number, count: number) => 40 + ((W - 60) * (index + 0.5)) / count;
  const y = (share: number) => H / 2 - Math.max(-1, Math.min(1, share / 0.4)) * (H / 2 - 14);
</script>

{#if scale}
  <ScalePanel
    {playable}
    onTake={isHeap ? null : add}
    onLift={isHeap ? add : null}
    usual={{ low: made.aim * 0.5 * Number(per), high: made.aim * 2 * Number(per) }}
    onByItself={() => undefined}
  />
  <Button aria-pressed={isHeap} onclick={() => (isHeap = !isHeap)}>{t.liftThem}</Button>
{/if}
<OperationForm
  operation="weigh-slices"
  piece={{ id: made.id, seq: made.seq }}
  submit={t.keepThem}
  onDone={() => (text = '')}
>
  <div class="fields">
    <Field name="weights" label={t.weights} hint={t.inOrder} bind:value={text} />
    <Field
      name="per"
      label={t.eachWeighing}
      kind="choice"
      options={[
        { value: '1', name: t.oneSlice },
        { value: '5', name: t.fiveSlices }
      ]}
      bind:value={per}
    />
  </div>
</OperationForm>
{#if typeof told === 'string'}
  <p class="trouble">{told}</p>
{:else if told}
  <div class="figures" data-even={told.inTolerance}>
    <p class="figure">{say.points(told.inTolerance * 100)} <small>{t.withinATenth(say.mass(made.aim))}</small></p>
    <p class="figure">{say.number(told.mean, 1)} g <small>{t.onAverage(signed(told.bias))}</small></p>
    {#if told.spread !== null}<p class="figure">{say.points(told.spread * 100)} <small>{t.scatter}</small></p>{/if}
  </div>
  <ChartFrame
    width={W}
    height={H}
    says={t.inOrderOfCutting(told.count)}
    table={{
      head: t.head,
      rows: told.weights.map((grams, index) => [String(index + 1), say.number(grams, 1), signed(grams / made.aim - 1)]),
      numbers: [0, 1, 2]
    }}
  >
    <rect class="band" x="40" width={W - 60} y={y(TOLERANCE)} height={y(-TOLERANCE) - y(TOLERANCE)} />
    <path class="aim" d="M40 {y(0)} H{W - 20}" />
    <text x="34" y={y(0) + 5} text-anchor="end">0</text>
    <text x="34" y={y(TOLERANCE) + 4} text-anchor="end">+10</text>
    {#each told.weights as grams, index (index)}
      <circle class:odd={told.odd.includes(index + 1)} cx={x(index, told.count)} cy={y(grams / made.aim - 1)} r="5" />
    {/each}
  </ChartFrame>
  {#if told.odd.length > 0}<p data-odd>{t.oddOnes(told.odd.join(', '))}</p>{/if}
  {#if told.drift !== null && Math.abs(told.drift) > TOLERANCE}<p>
      {told.drift > 0 ? t.heavierTowardsTheEnd : t.lighterTowardsTheEnd}
    </p>{/if}
{/if}

<style>
  text {
    font-size: calc(14px * var(--drawn, 1));
    fill: var(--soft);
  }
  .band {
    fill: var(--water-pale);
  }
  .aim {
    stroke: var(--water-deep);
    stroke-width: 1.5;
  }
  circle {
    fill: var(--water-deep);
  }
  circle.odd {
    fill: var(--ember);
  }
</style>

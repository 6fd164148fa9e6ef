<script lang="ts">
  import * as say from '$lib/words/say.ts';
  import { common } from '$lib/words/screens/common.ts';
  import { combine as t } from '$lib/words/screens/break.ts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import type { Step } from '$lib/core/record/occupation.ts';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import PieceTicks from '$lib/ui/controls/PieceTicks.svelte';
  import type { WindowState } from '$lib/core/codes/window.ts';
  import { USE_WORDS } from '$lib/words/cuts.ts';

  /** Spoon meat and trim into one batch: every parent stays known, and it is only as good as its worst. */
  let {
    pieces
  }: {
    pieces: readonly { id: string; name: string; grams: number; raw: WindowState; may: readonly Step[] }[];
  } = $props();
  const free = $derived(pieces.filter(({ may }) => may.includes('combine')));
  let picked = $state<string[]>([]);
  const sum = $derived(free.filter(({ id }) => picked.includes(id)).reduce((grams, piece) => grams + piece.grams, 0));
</script>

<Fold class="sheet no-print" title={t.putPiecesTogetherInto}>
  <p class="soft">
    {t.spoonMeatAndTrim}
  </p>
  <PieceTicks pieces={free} bind:picked />
  <OperationForm
    operation="combine-pieces"
    submit={t.putThemTogether}
    onDone={() => (picked = [])}
    also={{ pieces: picked.join(',') }}
  >
    <div class="fields broad">
      <Field name="name" label={t.whatTheBatchIs} placeholder={t.minceForChoppedDishes} />
      <Field
        name="use"
        label={common.itsUse}
        kind="choice"
        start="mince"
        options={Object.entries(USE_WORDS)
          .filter(([value]) => value !== '')
          .map(([value, name]) => ({ value, name }))}
      />
    </div>
    <p role="status">{t.pickedTogether(picked.length, say.mass(sum))}</p>
  </OperationForm>
</Fold>

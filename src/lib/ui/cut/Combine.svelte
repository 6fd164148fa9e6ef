<script lang="ts">
  import Fold from '$lib/ui/kit/Fold.svelte';
  import type { Step } from '$lib/core/record/occupation.ts';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import { formatMass } from '$lib/ui/format.ts';
  import PieceTicks from '$lib/ui/controls/PieceTicks.svelte';
  import type { UnitPreferences } from '$lib/core/measure/units.ts';
  import type { WindowState } from '$lib/core/codes/window.ts';
  import { USE_WORDS } from '$lib/words/cuts.ts';

  /** Spoon meat and trim into one batch: every parent stays known, and it is only as good as its worst. */
  let {
    pieces,
    units
  }: {
    pieces: readonly { id: string; name: string; grams: number; raw: WindowState; may: readonly Step[] }[];
    units: UnitPreferences;
  } = $props();
  const free = $derived(pieces.filter(({ may }) => may.includes('combine')));
  let picked = $state<string[]>([]);
  const sum = $derived(free.filter(({ id }) => picked.includes(id)).reduce((grams, piece) => grams + piece.grams, 0));
</script>

<Fold class="sheet no-print" title="Put pieces together into one batch">
  <p class="soft">
    Spoon meat and trim, for instance. The batch keeps every parent and is only as good as its worst. Live shellfish of
    several lots are never put together.
  </p>
  <PieceTicks pieces={free} {units} bind:picked />
  <OperationForm
    operation="combine-pieces"
    submit="Put them together"
    onDone={() => (picked = [])}
    also={{ pieces: picked.join(',') }}
  >
    <div class="fields broad">
      <Field name="name" label="What the batch is" placeholder="mince, for chopped dishes" />
      <Field
        name="use"
        label="Its use"
        kind="choice"
        value="mince"
        options={Object.entries(USE_WORDS)
          .filter(([value]) => value !== '')
          .map(([value, name]) => ({ value, name }))}
      />
    </div>
    <p role="status">{picked.length} picked, {formatMass(sum, units)} together</p>
  </OperationForm>
</Fold>

<script lang="ts">
  import { boardClose as t } from '$lib/words/screens/break.ts';
  import Field from '$lib/ui/controls/Field.svelte';
  import OperationForm from '$lib/ui/controls/OperationForm.svelte';
  import { massUnits, temperatureUnits } from '$lib/ui/units.ts';
  import type { BoardView } from '$lib/server/views/board.ts';

  /** The end of the step: it balances, or somebody says where the rest went. */
  let { view }: { view: BoardView } = $props();
</script>

<section class="sheet" id="finish">
  <h2>{t.closeTheBoard}</h2>
  <OperationForm operation="close-board" piece={view.piece} submit={t.closeTheBoard}>
    <div class="fields">
      <Field name="remains" label={t.staysUncut} kind="quantity" units={massUnits()} optional />
      <Field name="place" label={t.partsGoTo} among={view.places} placeholder={t.theColdestDrawer} optional />
      <Field name="core" label={t.warmestCoreNow} kind="quantity" units={temperatureUnits()} optional />
    </div>
    <p class="soft">{t.nameAPlaceOn}</p>
    <Field
      name="gapReason"
      label={t.whereTheRestWent}
      hint={t.askedForWhereMore}
      optional={view.balance?.closes ?? false}
    />
  </OperationForm>
</section>

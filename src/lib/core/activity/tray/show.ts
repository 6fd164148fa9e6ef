import { show } from '../../service/show.ts';

/** A tray out of the cold: when it is to be binned. */
export const trayShow = show({
  codes: ['tray-discard'],
  tasks({ state: { id: piece, holds } }) {
    const tray = holds.at(-1);
    return tray ? [{ code: 'tray-discard', at: tray.plan.discardAt, piece, seen: { label: tray.plan.label } }] : [];
  },
  steps: ({ holds }) =>
    holds.map(({ at: from, plan }) => ({ kind: 'hold', from, to: plan.discardAt, seen: { label: plan.label } }))
});

import { theApp } from '$lib/server/app.ts';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = () => {
  const { store, readOnly, executor } = theApp();
  const loss = store.noted.loss();
  const clockAheadSeconds = executor.clockAheadSeconds();
  // A house that only shows what it has is up, and is not well: whoever watches over it is to come and look.
  const ok = !readOnly && loss === null && clockAheadSeconds === 0;
  const state = {
    ok,
    seq: store.record.head().seq,
    readOnly,
    recordHolds: loss === null,
    entriesLost: loss ? Math.max(0, loss.noted.seq - loss.found.seq) : 0,
    sealed: store.seal !== null,
    headNoted: !store.noted.isBehind(),
    clockBehindSeconds: executor.clockBehindSeconds(),
    clockAheadSeconds
  };
  return json(state, { status: ok ? 200 : 503, headers: { 'cache-control': 'no-store' } });
};

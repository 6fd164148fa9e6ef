import { theApp } from '$lib/server/app.ts';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = () => {
  const { store, readOnly, executor } = theApp();
  const head = store.record.head();
  return json({ ok: true, seq: head.seq, readOnly, clockBehindSeconds: executor.clockBehindSeconds() });
};

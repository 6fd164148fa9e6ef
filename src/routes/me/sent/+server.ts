import { json } from '@sveltejs/kit';
import { theApp } from '$lib/server/app.ts';
import type { RequestHandler } from './$types';

/** Whether what was sent under a key came: for a tablet whose line broke before it was answered. Only who sent it is told. */
export const GET: RequestHandler = ({ url, locals }) => {
  const sent = theApp().store.requests.get(url.searchParams.get('key')?.slice(0, 200) ?? '');
  const isTheirs = sent !== null && sent.actor === (locals.person?.id ?? '');
  return json({ written: isTheirs }, { headers: { 'cache-control': 'no-store' } });
};

import { theApp } from '$lib/server/app.ts';
import { formOf } from '$lib/server/input/strangers.ts';
import { redirect } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

const YEAR_SECONDS = 365 * 86_400;
const local = (path: FormDataEntryValue | null) =>
  typeof path === 'string' && /^\/(?!\/)[\w\-./?=&%]*$/.test(path) ? path : '/';

/** Who is at this device, and how it likes its light: kept on the device, not in the ledger. */
export const POST: RequestHandler = async ({ request, cookies, url }) => {
  const form = await formOf(request);
  const options = {
    path: '/',
    maxAge: YEAR_SECONDS,
    httpOnly: true,
    sameSite: 'lax',
    secure: url.protocol === 'https:'
  } as const;
  const person = form.get('person');
  if (typeof person === 'string') {
    if (theApp().store.people.get(person)?.name) cookies.set('ember-person', person, options);
    else cookies.delete('ember-person', { path: '/' });
  }
  const theme = form.get('theme');
  if (theme === 'dim' || theme === 'light') cookies.set('ember-theme', theme, options);
  redirect(303, local(form.get('back')));
};

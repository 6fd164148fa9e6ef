import { EmberError } from '$lib/core/errors.ts';
import { problem } from '$lib/server/api.ts';
import { closeApp, theApp } from '$lib/server/app.ts';
import { FILE_BODY_LIMIT_BYTES } from '$lib/server/config.ts';
import { LOG_BYTES } from '$lib/server/import/jobs.ts';
import { counted, drained } from '$lib/server/input/body.ts';
import { isEveryObjects } from '$lib/server/input/strangers.ts';
import { closeStreams } from '$lib/server/stream.ts';
import { errorSentence } from '$lib/words/errors.ts';
import { localeOf, speaksAs, type Speech } from '$lib/words/speech.ts';
import { building } from '$app/environment';
import { AsyncLocalStorage } from 'node:async_hooks';
import { randomUUID } from 'node:crypto';
import { error } from '@sveltejs/kit';
import type { Handle, HandleServerError, ServerInit } from '@sveltejs/kit';

const TABLET_COOKIE = 'ember-tablet';
/** s */
const A_YEAR = 365 * 86_400;

/** Each request speaks with its own: what is said within it finds the language, the zone and the units here. */
const speeches = new AsyncLocalStorage<Speech>();
speaksAs(() => speeches.getStore());

export const init: ServerInit = () => {
  if (building) return;
  try {
    theApp();
  } catch (trouble) {
    // Whoever starts it reads this line and acts on it; a list of functions would hide it.
    if (!(trouble instanceof EmberError)) throw trouble;
    console.error(`ember-tide: ${errorSentence(trouble.code, trouble.details)}`);
    process.exit(1);
  }
  process.once('sveltekit:shutdown', () => {
    closeStreams();
    // Requests still in flight finish their synchronous transactions before the next turn; the last of them may end it all.
    setImmediate(closeApp);
    process.once('exit', closeApp);
  });
};

/** Writes come from our own pages or from a program, never from another site's page. */
function isForeign(request: Request, url: URL): boolean {
  if (request.method === 'GET' || request.method === 'HEAD') return false;
  const origin = request.headers.get('origin');
  if (origin !== null) return origin !== url.origin;
  const site = request.headers.get('sec-fetch-site');
  return site !== null && site !== 'same-origin' && site !== 'none';
}

export const handle: Handle = async ({ event, resolve }) => {
  const { request, url, cookies, locals } = event;
  const app = theApp();
  if (isForeign(request, url)) return problem(403, new EmberError('request.foreign-origin', {}));
  const carriesFile =
    request.headers.get('content-type')?.startsWith('multipart/form-data') || url.pathname === '/api/v1/files';
  const carriesLog = url.pathname === '/api/v1/imports';
  const most = carriesLog ? LOG_BYTES : carriesFile ? FILE_BODY_LIMIT_BYTES : app.config.bodyLimit;
  const tooLarge = () => problem(413, new EmberError('request.too-large', { max: most }));
  if (Number(request.headers.get('content-length') ?? 0) > most) {
    const answer = tooLarge();
    if (!(await drained(request.body))) answer.headers.set('connection', 'close');
    return answer;
  }
  // A body that does not say how long it is is counted as it comes.
  let isOver = () => false;
  if (request.headers.has('transfer-encoding') && request.body && !carriesLog) {
    const body = counted(request, most);
    event.request = body.request;
    isOver = body.isOver;
  }
  // The API says so itself; of a page's address there is nothing of that name.
  const asked = [...url.pathname.split('/'), ...url.searchParams.values()];
  if (!url.pathname.startsWith('/api/') && asked.some((each) => isEveryObjects(each)))
    error(404, errorSentence('request.unknown-path', { seen: url.pathname }));
  const who = request.headers.get('x-ember-person') ?? cookies.get('ember-person');
  const person = who ? app.store.people.get(who) : null;
  locals.person = person?.name ? person : null;
  locals.tablet = (request.headers.get('x-ember-tablet') ?? cookies.get(TABLET_COOKIE))?.slice(0, 40);
  if (!locals.tablet && request.headers.get('accept')?.includes('text/html')) {
    cookies.set(TABLET_COOKIE, randomUUID().slice(0, 8), {
      path: '/',
      httpOnly: true,
      sameSite: 'lax',
      secure: false,
      maxAge: A_YEAR
    });
  }
  locals.theme = cookies.get('ember-theme') === 'dim' ? 'dim' : 'light';
  locals.locale = localeOf(cookies.get('ember-locale'));
  const { zone, units } = app.store.projections.currentHouse();
  const response = await speeches.run({ locale: locals.locale, zone, units }, () =>
    resolve(event, {
      transformPageChunk: ({ html }) =>
        html
          .replace('%ember.lang%', locals.locale)
          .replace('%ember.theme%', locals.theme)
          .replace('%ember.class%', locals.theme === 'dim' ? 'dark' : '')
    })
  );
  if (isOver()) {
    const answer = tooLarge();
    answer.headers.set('connection', 'close');
    return answer;
  }
  response.headers.set('x-content-type-options', 'nosniff');
  // A page holds the house's data: no browser keeps it for whoever has the tablet next.
  if (response.headers.get('content-type')?.startsWith('text/html'))
    response.headers.set('cache-control', 'private, no-store');
  response.headers.set('referrer-policy', 'same-origin');
  response.headers.set('cross-origin-opener-policy', 'same-origin');
  return response;
};

export const handleError: HandleServerError = ({ error, status, message }) => {
  if (error instanceof EmberError) return { message: errorSentence(error.code, error.details), code: error.code };
  // What was asked wrong is the asker's to mend: only a fault of ours is written down.
  if (status >= 500) console.error(error);
  return { message: status === 404 ? 'There is nothing here.' : message };
};

import { answerQuery } from '$lib/server/api.ts';
import { theApp } from '$lib/server/app.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, url }) => answerQuery(theApp(), params.path, url.searchParams);

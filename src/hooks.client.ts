import type { ClientInit } from '@sveltejs/kit';
import { holdTheLine } from '$lib/ui/line.svelte.ts';

export const init: ClientInit = () => holdTheLine();

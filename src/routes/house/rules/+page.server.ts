import { HOUSE_LIMITS } from '$lib/core/codes/profiles/house.ts';
import { PROFILES, profileById, profilesOf } from '$lib/core/codes/profiles/index.ts';
import { theApp } from '$lib/server/app.ts';
import { noticeOf } from '$lib/server/facts/declarations.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { noticeText } from '$lib/words/notices.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/house/rules');

export const load = (({ url }) => {
  const house = theApp().store.projections.currentHouse();
  const all = profilesOf(house.profiles);
  const copy = house.profiles[url.searchParams.get('copy') ?? ''] ?? null;
  const inForce = profileById(house.profile, house.profiles);
  return {
    profiles: all.map((profile) => ({
      id: profile.id,
      name: profile.name,
      version: profile.version,
      house: profile.house
    })),
    bases: PROFILES.map(({ id, name }) => ({ value: id, name })),
    copy,
    limits: HOUSE_LIMITS.map(({ id, unit, isSwitch, looserWhen, get }) => ({
      id,
      unit,
      isSwitch: isSwitch ?? false,
      looserWhen,
      values: all.map((profile) => {
        const base = profile.house ? profileById(profile.house.base) : profile;
        const changed = profile.house ? house.profiles[profile.id]?.changes[id] : undefined;
        return {
          profile: profile.id,
          value: changed === undefined ? get(base) : Number(changed),
          changed: changed !== undefined
        };
      })
    })),
    notice: { text: noticeOf(house), own: house.notice, shipped: noticeText(inForce.house?.base ?? inForce.id) }
  };
}) satisfies PageServerLoad;

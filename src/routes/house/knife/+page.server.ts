import { scaleIntervalOf } from '$lib/core/bench/breakdown/mass.ts';
import { CREDITS, PORTIONS } from '$lib/core/bench/breakdown/portions.ts';
import { templatesOf } from '$lib/core/bench/breakdown/maps.ts';
import { SPECIES } from '$lib/core/fish/species.ts';
import { theApp } from '$lib/server/app.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { handWeeks } from '$lib/server/facts/hands.ts';
import { knivesNow } from '$lib/server/facts/knives.ts';
import { houseCuts, houseStyles } from '$lib/server/facts/slicing.ts';
import { yieldFields, yieldHistory } from '$lib/server/facts/yields.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/house/knife');

export const load = (({ url }) => {
  const app = theApp();
  const house = app.store.projections.currentHouse();
  const asked = yieldFields.catch({ by: 'species', species: '', form: '' }).parse(Object.fromEntries(url.searchParams));
  const names = new Map([
    ...SPECIES.map(({ id, name }) => [id, name] as const),
    ...app.store.people.list().map(({ id, name }) => [id, name ?? 'somebody forgotten'] as const)
  ]);
  const history = yieldHistory(app, asked);
  const weeks = handWeeks(app);
  return {
    knives: knivesNow(app),
    styles: Object.values(houseStyles(house)),
    ownStyles: house.styles,
    ownCuts: Object.values(house.cuts).map((cut) => ({ cut, style: houseCuts(house)[cut.id]! })),
    weeks: { ...weeks, hands: weeks.hands.map((hand) => ({ ...hand, name: names.get(hand.person) ?? hand.person })) },
    people: Object.fromEntries(names),
    templates: templatesOf(house.templates).map((template) => ({ ...template, own: template.id in house.templates })),
    credits: { ...CREDITS, ...house.kitchen?.credits },
    portions: house.kitchen?.portions ?? PORTIONS,
    interval: scaleIntervalOf(house),
    history: {
      ...history,
      groups: history.groups.map((group) => ({ ...group, name: names.get(group.key) ?? group.key }))
    },
    kinds: yieldHistory(app, { by: 'species', species: '', form: '' }).groups.map(({ key }) => ({
      id: key,
      name: names.get(key) ?? key
    }))
  };
}) satisfies PageServerLoad;

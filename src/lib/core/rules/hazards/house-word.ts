import { ALL_ROUTES, reason, type Hazard } from '../context.ts';

const HOUSE_WORD = {
  rule: 'house value',
  citation: "The house's own value, owned by a named person; the code it departs from is on the House page",
  from: 'house' as const
};

/** Says on every verdict it touches where the house departs from what ships: a species entry, a rule profile. */
export const houseWord: Hazard = (context) => {
  const own = context.house.species[context.species.id];
  const copy = context.profile.house;
  return [
    ...(own
      ? [
          reason(
            context,
            'house',
            own.added
              ? 'house.species-added'
              : own.looser.length > 0
                ? 'house.species-looser'
                : 'house.species-changed',
            { kind: 'pass' },
            HOUSE_WORD,
            {
              routes: ALL_ROUTES,
              evidence: [own.seq],
              seen: { species: context.species.name, fields: own.looser.join(', '), by: own.by, reason: own.reason }
            }
          )
        ]
      : []),
    ...(copy
      ? [
          reason(
            context,
            'house',
            copy.looser.length > 0 ? 'house.profile-looser' : 'house.profile-stricter',
            { kind: 'pass' },
            HOUSE_WORD,
            {
              routes: ALL_ROUTES,
              evidence: [copy.seq],
              seen: { base: copy.base, fields: copy.looser.join(', '), by: copy.by, reason: copy.reason }
            }
          )
        ]
      : [])
  ];
};

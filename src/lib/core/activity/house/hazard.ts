import { FIXED_FIELDS } from '../../fish/house-species.ts';
import { ALL_ROUTES, reason, type Hazard } from '../../rules/context.ts';

const HOUSE_WORD = {
  rule: 'house value',
  citation: "The house's own value, owned by a named person; the code it departs from is on the House page",
  from: 'house' as const
};

/** Says on every verdict it touches where the house departs from what ships: a species entry, a rule profile. */
export const houseWord: Hazard = (context) => {
  const own = context.house.species[context.species.id];
  const copy = context.profile.house;
  // What no name may loosen does not act, whatever an older entry says.
  const looser = (own?.looser ?? []).filter((field) => own?.added || !FIXED_FIELDS.includes(field));
  return [
    ...(own
      ? [
          reason(
            context,
            'house',
            own.added ? 'house.species-added' : looser.length > 0 ? 'house.species-looser' : 'house.species-changed',
            { kind: 'pass' },
            HOUSE_WORD,
            {
              routes: ALL_ROUTES,
              evidence: [own.seq],
              seen: { species: context.species.name, fields: looser.join(', '), by: own.by, reason: own.reason }
            }
          )
        ]
      : []),
    ...(copy
      ? [
          reason(
            context,
            'house',
            copy.refused.length > 0
              ? 'house.profile-floor'
              : copy.looser.length > 0
                ? 'house.profile-looser'
                : 'house.profile-stricter',
            { kind: 'pass' },
            HOUSE_WORD,
            {
              routes: ALL_ROUTES,
              evidence: [copy.seq],
              seen: {
                base: copy.base,
                fields: [...copy.looser, ...copy.refused].join(', '),
                by: copy.by,
                reason: copy.reason
              }
            }
          )
        ]
      : [])
  ];
};

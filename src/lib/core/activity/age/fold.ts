import type { BodyOf } from '../../record/events.ts';
import { houseSlice, put } from '../../record/house-slice.ts';
import { changeLast, goesOn, pieceSlice } from '../../record/slice.ts';
import { stamp, type Stamped } from '../../record/stamped.ts';
import { AGEING_RULES } from './lists.ts';

export interface AgeRun extends Stamped {
  readonly plan: BodyOf<'age.started'>;
  readonly weighIns: readonly (Stamped & BodyOf<'age.weighed'>)[];
  readonly looks: readonly (Stamped & BodyOf<'age.looked'>)[];
  /** Where on which rack it is now. */
  readonly place: string;
  readonly spot: string;
  readonly ended: (Stamped & BodyOf<'age.ended'>) | null;
}

export const ageSlice = pieceSlice<{ ages: AgeRun[] }>({
  start: () => ({ ages: [] }),
  on: {
    'age.started': ({ ages }, event, piece) => {
      const { place, spot, mass } = event.body;
      ages.push({ ...stamp(event), plan: event.body, weighIns: [], looks: [], place, spot, ended: null });
      piece.grams = mass.si;
      piece.comesBack(event, null);
      piece.liesIn(event, place, 'age');
    },
    'age.weighed': ({ ages }, event, piece) => {
      changeLast(ages, (run) => ({ weighIns: [...run.weighIns, { ...stamp(event), ...event.body }] }), goesOn);
      piece.grams = event.body.mass.si;
    },
    'age.looked': ({ ages }, event) =>
      changeLast(ages, (run) => ({ looks: [...run.looks, { ...stamp(event), ...event.body }] }), goesOn),
    'age.moved': ({ ages }, event, piece) => {
      const { place, spot } = event.body;
      if (place !== ages.at(-1)?.place) piece.liesIn(event, place, 'age');
      changeLast(ages, () => ({ place, spot }), goesOn);
    },
    'age.ended': ({ ages }, event, piece) => {
      changeLast(ages, () => ({ ended: { ...stamp(event), ...event.body } }), goesOn);
      if (event.body.massAfter) piece.grams = event.body.massAfter.si;
      if (event.body.place !== '') piece.liesIn(event, event.body.place);
    }
  }
});

export type Service = Omit<BodyOf<'service.set'>, 'withdrawn'>;
/** What the house keeps of its ageing, and the sittings it is to be ready for. */
export interface AgeBooks {
  readonly ageing: BodyOf<'ageing.set'> & { readonly by: string; readonly seq: number };
  readonly racks: Readonly<Record<string, BodyOf<'rack.set'>>>;
  readonly services: Readonly<Record<string, Service>>;
}
export const ageBooks = houseSlice<AgeBooks>({
  start: { ageing: { ...AGEING_RULES, reason: '', looser: [], by: '', seq: 0 }, racks: {}, services: {} },
  on: {
    'ageing.set': (_, { body, actor: by, seq }) => ({ ageing: { ...body, by, seq } }),
    'rack.set': ({ racks }, { body }) => ({ racks: { ...racks, [body.place]: body } }),
    'service.set': ({ services }, event) => {
      const { withdrawn, ...own } = event.body;
      return { services: put(services, own, withdrawn) };
    }
  }
});

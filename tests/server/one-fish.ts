import { stateAt, type Route } from '../../src/lib/core/codes/window.ts';
import { type TestHouse } from './house.ts';

export const state = (house: TestHouse, piece: string, route: Route) =>
  stateAt(
    house.store.projections.piece(piece).windows.find((window) => window.route === route)!,
    house.clock.now(),
    7200
  );
export const P = 'ARC-0309-1-A';
export const L = 'ARC-0309-1';

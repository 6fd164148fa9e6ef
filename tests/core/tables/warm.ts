import { celsius, event } from '../build.ts';

export const read = (hours: number, c: number) => event('cold.read', hours, { reading: celsius(c), place: '' });

export const minute = 1 / 60;

export const cold = celsius(2);
